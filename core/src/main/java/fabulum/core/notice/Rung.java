package fabulum.core.notice;

import fabulum.core.hours.Hours;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * A step of a ladder: when somebody is told that an answer nears its promise, is late, or is late
 * by so much more.
 *
 * @param after working time after the promise is due; negative for before it
 */
public record Rung(Duration after) {
  /** The earliest and the latest there is. */
  public static final Duration FARTHEST = Duration.ofDays(7);

  /** When an answer nears its promise, where nobody chose otherwise. */
  public static final Rung SOON = new Rung(Duration.ofMinutes(-15));

  /** When it is late. */
  public static final Rung LATE = new Rung(Duration.ZERO);

  public Rung {
    if (after.abs().compareTo(FARTHEST) > 0) {
      throw new IllegalArgumentException("A step lies within a week of the promise");
    }
  }

  /**
   * The latest due time for which the step is reached now. Steps are only taken in working time.
   *
   * @return empty outside working time, or when there is none
   */
  public Optional<Instant> reachedBy(Instant now, Hours hours) {
    return hours.isOpen(now) ? hours.latest(now, after.negated()) : Optional.empty();
  }
}
