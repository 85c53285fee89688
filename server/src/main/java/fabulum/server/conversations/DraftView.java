package fabulum.server.conversations;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Words begun and not yet sent.
 *
 * @param seen the newest entry that stood there when they were begun
 */
public record DraftView(Paper paper, String words, Instant at, @Nullable Long seen) {}
