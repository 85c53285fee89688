package fabulum.core.identify;

import java.time.Instant;

/**
 * A text that was said.
 *
 * @param ours whether we sent it
 */
public record Spoken(Instant at, boolean ours, String words) {}
