package fabulum.server.templates.store;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * An answer made from a template.
 *
 * @param next the customer's next text within a day; null for none
 */
public record UseRow(long entryId, long staffId, Instant usedAt, @Nullable Long next) {}
