package fabulum.server.writing;

import java.time.Instant;

/**
 * What a note said before it was changed.
 *
 * @param at when it was changed
 */
public record NoteBefore(Instant at, String words) {}
