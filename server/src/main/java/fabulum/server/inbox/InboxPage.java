package fabulum.server.inbox;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A stretch of the list.
 *
 * @param places where the rows stand in the order of the list
 * @param ascending whether the row with the earliest place comes first
 * @param seen up to when the person who asks has read these conversations; those they never opened
 *     are left out
 * @param next where the following stretch begins; empty at the end
 */
public record InboxPage(
    List<ConversationView> rows,
    List<InOrder> places,
    boolean ascending,
    List<Seen> seen,
    @Nullable String next) {

  /** Where a conversation stands: by this instant, and then by its id. */
  public record InOrder(long conversationId, Instant at) {}
}
