package fabulum.server.conversations;

import fabulum.core.conversation.ConversationState;
import fabulum.server.access.StaffId;
import java.time.Instant;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * One act on one conversation, as far as it must be known to take it back.
 *
 * @param name by which it is taken back, unique; several acts can be given one name
 * @param by who did it
 * @param event the entry that tells of it
 */
public record UndoStep(
    String name,
    StaffId by,
    ConversationId conversation,
    EventKind kind,
    EntryId event,
    Snapshot before,
    Snapshot after) {

  /**
   * A conversation at one moment.
   *
   * @param handed the event of the last handing over that nobody has acted on
   * @param undelivered texts of ours that were not delivered and that nobody has dealt with
   */
  public record Snapshot(
      ConversationState state,
      Instant openedAt,
      @Nullable Long owner,
      @Nullable Long team,
      @Nullable Long handed,
      @Nullable Long startedBy,
      Set<Long> topics,
      Set<Long> undelivered) {
    public Snapshot {
      topics = Set.copyOf(topics);
      undelivered = Set.copyOf(undelivered);
    }
  }
}
