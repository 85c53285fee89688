package fabulum.server.undo.store;

import fabulum.core.conversation.Back;
import fabulum.core.conversation.ConversationState;
import fabulum.core.conversation.Group;
import fabulum.core.conversation.Standing;
import fabulum.core.conversation.Turn;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.UndoStep;
import fabulum.server.conversations.UndoStep.Snapshot;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;

/**
 * A step that can be taken back.
 *
 * @param before how the conversation stood, as JSON
 * @param after how the act left it, as JSON
 */
public record UndoRow(
    String name,
    long staffId,
    long conversationId,
    EventKind kind,
    long eventId,
    String before,
    String after) {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  /** The row of a step. */
  public static UndoRow of(UndoStep step) {
    return new UndoRow(
        step.name(),
        step.by().value(),
        step.conversation().value(),
        step.kind(),
        step.event().value(),
        JSON.writeValueAsString(Flat.of(step.before())),
        JSON.writeValueAsString(Flat.of(step.after())));
  }

  /** The step. */
  public UndoStep step() {
    return new UndoStep(
        name,
        new StaffId(staffId),
        new ConversationId(conversationId),
        kind,
        new EntryId(eventId),
        JSON.readValue(before, Flat.class).snapshot(),
        JSON.readValue(after, Flat.class).snapshot());
  }

  /** The snapshot without sealed types. */
  record Flat(
      Group group,
      Turn turn,
      Instant since,
      @Nullable Back back,
      @Nullable Instant asideUntil,
      boolean unanswered,
      Instant openedAt,
      @Nullable Long owner,
      @Nullable Long team,
      @Nullable Long handed,
      @Nullable Long startedBy,
      Set<Long> topics,
      Set<Long> undelivered) {

    static Flat of(Snapshot snapshot) {
      ConversationState state = snapshot.state();
      return new Flat(
          state.group(),
          state.turn(),
          state.since(),
          state.back().orElse(null),
          state.asideUntil().orElse(null),
          state.finishedUnanswered(),
          snapshot.openedAt(),
          snapshot.owner(),
          snapshot.team(),
          snapshot.handed(),
          snapshot.startedBy(),
          snapshot.topics(),
          snapshot.undelivered());
    }

    Snapshot snapshot() {
      Standing standing =
          Standing.of(
              group, Optional.ofNullable(back), Optional.ofNullable(asideUntil), unanswered);
      return new Snapshot(
          new ConversationState(turn, since, standing),
          openedAt,
          owner,
          team,
          handed,
          startedBy,
          topics,
          undelivered);
    }
  }
}
