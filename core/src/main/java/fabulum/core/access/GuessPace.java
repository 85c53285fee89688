package fabulum.core.access;

import java.time.Duration;

/**
 * How long a person who guesses passwords must wait. The first tries are free, because people
 * mistype; then the wait doubles.
 */
public final class GuessPace {
  /** Failures in a row before a wait. */
  public static final int FREE = 4;

  private static final Duration FIRST_WAIT = Duration.ofSeconds(2);
  private static final Duration LONGEST_WAIT = Duration.ofMinutes(5);
  private static final int MOST_DOUBLINGS = 20;

  private GuessPace() {}

  /**
   * The wait before the next try.
   *
   * @param failures failures in a row, 0 or more
   */
  public static Duration waitAfter(int failures) {
    if (failures < FREE) {
      return Duration.ZERO;
    }
    Duration doubled = FIRST_WAIT.multipliedBy(1L << Math.min(failures - FREE, MOST_DOUBLINGS));
    return doubled.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : doubled;
  }
}
