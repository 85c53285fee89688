package fabulum.server.conversations.store;

import fabulum.core.conversation.Back;
import fabulum.core.conversation.ConversationState;
import fabulum.core.conversation.Group;
import fabulum.core.conversation.Turn;
import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** How a conversation stands, as columns of its row. */
public record StandingRow(
    Group box,
    Turn turn,
    Instant since,
    Instant openedAt,
    @Nullable Instant asideUntil,
    @Nullable Back back,
    boolean finishedUnanswered,
    @Nullable Instant dueAt,
    Instant sortAt) {
  private static final Duration A_LIFETIME = Duration.ofDays(36_500);

  /** The columns of a state. */
  public static StandingRow of(ConversationState state, Instant openedAt, @Nullable Instant dueAt) {
    return new StandingRow(
        state.group(),
        state.turn(),
        state.since(),
        openedAt,
        state.asideUntil().orElse(null),
        state.back().orElse(null),
        state.finishedUnanswered(),
        dueAt,
        sortAt(state, dueAt));
  }

  /**
   * Its place in the group: on our turn by what is due, set aside by when it comes back, and last
   * there where that is never; else by since when it stands so.
   */
  private static Instant sortAt(ConversationState state, @Nullable Instant due) {
    Instant never = state.since().plus(A_LIFETIME);
    return switch (state.group()) {
      case OUR_TURN -> due == null ? never : due;
      case SET_ASIDE -> state.asideUntil().orElse(never);
      case THEIR_TURN, DONE, BLANK -> state.since();
    };
  }
}
