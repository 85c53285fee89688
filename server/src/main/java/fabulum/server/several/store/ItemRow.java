package fabulum.server.several.store;

import org.jspecify.annotations.Nullable;

/** A row of batch_item. */
public record ItemRow(long conversationId, Outcome outcome, @Nullable String why) {

  /** What became of one conversation. */
  public enum Outcome {
    PENDING,
    DONE,
    SKIPPED
  }
}
