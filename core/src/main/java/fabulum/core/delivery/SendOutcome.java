package fabulum.core.delivery;

import java.time.Duration;
import java.util.Optional;

/** What came of one attempt to hand a text to the network. */
public sealed interface SendOutcome {

  /**
   * The network has it.
   *
   * @param networkId the network's own name for it
   */
  record Accepted(String networkId) implements SendOutcome {}

  /**
   * Refused, and it may pass: too fast, briefly out of order.
   *
   * @param notBefore how long the network asks us to wait, where it says so
   */
  record RefusedForNow(String code, String reason, Optional<Duration> notBefore)
      implements SendOutcome {}

  /** Refused for good: an answer about this text or its number, and asking again will not help. */
  record RefusedForGood(String code, String reason) implements SendOutcome {}

  /**
   * The network does not deal with us at all just now: it does not know our key, or there is no
   * such network at the address we have. It says nothing about this text, which was not taken.
   */
  record Closed(String code, String reason) implements SendOutcome {}

  /** Nobody knows: the connection broke or the answer never came. The network may have it. */
  record Unclear(String why) implements SendOutcome {}
}
