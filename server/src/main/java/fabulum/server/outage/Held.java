package fabulum.server.outage;

import fabulum.core.delivery.Gateway.IncomingText;
import org.jspecify.annotations.Nullable;

/**
 * A text the network holds, beside what we have of it.
 *
 * @param line the line it came to; null for a number that is none of ours
 * @param state how it compares, and what became of it since
 * @param ours our words where they differ
 * @param entry the text in our script, once we have it; 0 before
 * @param conversation where it is; 0 before
 * @param problem why it could not be taken in
 */
record Held(
    IncomingText text,
    @Nullable Long line,
    State state,
    @Nullable String ours,
    long entry,
    long conversation,
    @Nullable String problem) {

  /** How a text of the network compares with what we have. */
  enum State {
    /** We do not have it. */
    MISSING,
    /** We have it with other words, or on another line. */
    DIFFERENT,
    /** It was missing and was taken in. */
    TAKEN,
    /** It was missing and cannot be taken in; it is kept aside for leads. */
    CANNOT
  }

  Held with(State next, @Nullable String why) {
    return new Held(text, line, next, ours, entry, conversation, why);
  }

  Held takenInto(long entryId, long conversationId) {
    return new Held(text, line, State.TAKEN, ours, entryId, conversationId, null);
  }
}
