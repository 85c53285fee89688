package fabulum.core.delivery;

import java.time.Instant;

/** What to do with a text after an attempt. */
public sealed interface NextStep {

  /** It is with the network. */
  record Sent(String networkId) implements NextStep {}

  /**
   * Try again.
   *
   * @param at not before this
   * @param askFirst look up the reference before sending, because the network may have it
   */
  record TryAgain(Instant at, boolean askFirst, String why) implements NextStep {}

  /**
   * Wait until the network deals with us again, and with it everything that is to go. However long
   * that takes, nothing is given up.
   *
   * @param at when to try next
   */
  record WaitForNetwork(Instant at, String code, String why) implements NextStep {}

  /** Give up, for this reason. */
  record GiveUp(String code, String reason) implements NextStep {}
}
