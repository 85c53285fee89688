package fabulum.core.sentence;

import java.time.Duration;
import java.util.Optional;

/**
 * A span of working time left until an answer is due; late is less than nothing.
 *
 * @param from at least this much is left, in whole minutes; empty for however late
 * @param to less than this is left, in whole minutes; empty for however much
 */
public record Left(Optional<Duration> from, Optional<Duration> to) {
  /** Beyond a year there is no difference. */
  private static final Duration MOST = Duration.ofDays(366);

  /** Whatever is late. */
  public static final Left LATE = new Left(Optional.empty(), Optional.of(Duration.ZERO));

  public Left {
    if (from.isEmpty() && to.isEmpty()) {
      throw new IllegalArgumentException("A span of time left has an end");
    }
    if (isOff(from) || isOff(to)) {
      throw new IllegalArgumentException("Time left is said in whole minutes, at most a year");
    }
    if (from.isPresent() && to.isPresent() && from.get().compareTo(to.get()) >= 0) {
      throw new IllegalArgumentException("A span of time left ends after it begins");
    }
  }

  private static boolean isOff(Optional<Duration> end) {
    return end.filter(time -> time.toSecondsPart() != 0 || time.abs().compareTo(MOST) > 0)
        .isPresent();
  }

  /** Whether so much time left lies in the span. */
  public boolean holds(Duration left) {
    return from.filter(least -> left.compareTo(least) < 0).isEmpty()
        && to.filter(most -> left.compareTo(most) >= 0).isEmpty();
  }
}
