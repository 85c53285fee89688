package fabulum.core.promise;

import fabulum.core.hours.Hours;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * The working time within which a line answers.
 *
 * @param within more than nothing, at most {@link #LONGEST}
 */
public record Promise(Duration within) {
  /** The longest promise: thirty working days of twenty-four hours. Longer is no promise. */
  public static final Duration LONGEST = Duration.ofDays(30);

  public Promise {
    if (!isPossible(within)) {
      throw new IllegalArgumentException(
          "A promise is longer than nothing and at most 30 days of working time");
    }
  }

  /** Whether a promise may be so long. */
  public static boolean isPossible(Duration within) {
    return !within.isNegative() && !within.isZero() && within.compareTo(LONGEST) <= 0;
  }

  /**
   * When an answer is due.
   *
   * @param waitingSince the first text that no person has answered
   * @return empty when the line is closed for good
   */
  public Optional<Instant> due(Instant waitingSince, Hours hours) {
    return hours.plus(waitingSince, within);
  }
}
