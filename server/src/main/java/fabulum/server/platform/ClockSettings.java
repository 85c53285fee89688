package fabulum.server.platform;

import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * What time it is taken to be.
 *
 * @param at a moment at which the clock stands, ISO 8601 with offset; empty for the real time
 * @param runs with {@code at}: the clock runs on from there
 */
@ConfigurationProperties("fabulum.clock")
public record ClockSettings(@Nullable OffsetDateTime at, boolean runs) {}
