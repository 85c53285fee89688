package fabulum.server.notices.store;

import java.time.Instant;

/**
 * A conversation that has reached a step it has not taken yet.
 *
 * @param since when its wait began
 */
public record ReachedRow(long id, Instant since) {}
