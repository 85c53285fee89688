package fabulum.core.conversation;

import java.time.Instant;
import java.util.Optional;

/** How a conversation stands, apart from whose turn it is. */
public sealed interface Standing {

  /**
   * In sight.
   *
   * @param back why it is back from being set aside, until someone acts on it
   */
  record Open(Optional<Back> back) implements Standing {}

  /**
   * Out of sight.
   *
   * @param until when it comes back; empty for only when the customer writes
   */
  record Aside(Optional<Instant> until) implements Standing {}

  /**
   * Finished until the customer, or we, write again.
   *
   * @param unanswered done while it was our turn, so without an answer
   */
  record Done(boolean unanswered) implements Standing {}

  /** Opened in order to write; nothing has been said. */
  record Blank() implements Standing {}

  /** In sight, and not just back. */
  Standing OPEN = new Open(Optional.empty());

  /**
   * How a conversation of a group stands.
   *
   * @param back for one in sight
   * @param asideUntil for one set aside
   * @param unanswered for one that is done
   */
  static Standing of(
      Group group, Optional<Back> back, Optional<Instant> asideUntil, boolean unanswered) {
    return switch (group) {
      case OUR_TURN, THEIR_TURN -> new Open(back);
      case SET_ASIDE -> new Aside(asideUntil);
      case DONE -> new Done(unanswered);
      case BLANK -> new Blank();
    };
  }
}
