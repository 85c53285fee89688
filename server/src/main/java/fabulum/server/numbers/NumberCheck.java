package fabulum.server.numbers;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * What is known of a number from outside.
 *
 * @param reach null while it was never checked
 * @param carrier who carries its calls and texts; null for unknown
 * @param registeredTo the name it is registered under; null for unknown
 * @param checkedAt null while it was never checked
 * @param asked whether it is being checked now
 */
public record NumberCheck(
    String number,
    @Nullable Reach reach,
    @Nullable String carrier,
    @Nullable String registeredTo,
    @Nullable Instant checkedAt,
    boolean asked) {}
