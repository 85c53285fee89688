package fabulum.server.work;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * An address; what it is says only its maker, once.
 *
 * @param siteId only appointments of customers of this site; null for all
 */
public record CalendarAddress(
    long id, @Nullable Long siteId, Instant madeAt, @Nullable Instant lastUsedAt) {}
