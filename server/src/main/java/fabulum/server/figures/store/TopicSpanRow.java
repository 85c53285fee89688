package fabulum.server.figures.store;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** From when until when a conversation was about a topic; still when there is no end. */
public record TopicSpanRow(
    long conversationId, long topicId, Instant fromAt, @Nullable Instant untilAt) {
  /** Whether it was about the topic then. */
  public boolean holds(Instant at) {
    return !at.isBefore(fromAt) && (untilAt == null || at.isBefore(untilAt));
  }
}
