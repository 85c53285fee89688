package fabulum.server.figures.store;

import java.time.Instant;

/**
 * A customer waited.
 *
 * @param endedAt now for one who still waits
 */
public record WaitRow(long lineId, Instant since, Instant endedAt) {}
