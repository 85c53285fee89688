package fabulum.core.attendance;

import java.time.Instant;

/** What someone said of themselves: in or away, and when they said so. */
public record ByHand(boolean in, Instant at) {}
