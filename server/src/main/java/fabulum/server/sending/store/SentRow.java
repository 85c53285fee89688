package fabulum.server.sending.store;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A text of ours.
 *
 * @param writer the name of who wrote it; null for Fabulum
 */
public record SentRow(Instant at, @Nullable String writer) {}
