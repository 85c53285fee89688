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
    @Nullable String reason) {}
