package fabulum.core.notice;

import fabulum.core.hours.Hours;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * A point of an escalation: the moment, counted in working time from the promise, at which people
 * are alerted to an answer.
 *
 * @param after working time after the promise is due; negative for before it
 */
public record EscalationPoint(Duration after) {
  /** The earliest and the latest there is. */
  public static final Duration FARTHEST = Duration.ofDays(7);

  /** When an answer nears its promise, where nobody chose otherwise. */
  public static final EscalationPoint SOON = new EscalationPoint(Duration.ofMinutes(-15));

  /** When it is late. */
  public static final EscalationPoint LATE = new EscalationPoint(Duration.ZERO);

  public EscalationPoint {
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
