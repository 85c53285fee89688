package fabulum.server.figures.store;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** An entry behind a figure. */
public record BehindRow(
    long entryId,
    long conversationId,
    Instant at,
    @Nullable Long speakerId,
    @Nullable Long seconds,
    @Nullable Long promiseSeconds,
    @Nullable String reason) {

  /** How long beyond what was promised; without a promise, how long. */
  public long beyond() {
    return (seconds == null ? 0 : seconds) - (promiseSeconds == null ? 0 : promiseSeconds);
  }
}
