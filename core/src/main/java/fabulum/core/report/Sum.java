package fabulum.core.report;

import java.util.Collection;
import java.util.OptionalLong;

/**
 * What was counted of one {@link Measure}.
 *
 * @param count how many
 * @param kept of those with a promise: how many kept it
 * @param seconds the times of those that have one
 */
public record Sum(long count, long kept, Seconds seconds) {
  /** Nothing. */
  public static final Sum NONE = new Sum(0, 0, Seconds.NONE);

  /** The sum of several. */
  public static Sum of(Collection<Sum> several) {
    return new Sum(
        several.stream().mapToLong(Sum::count).sum(),
        several.stream().mapToLong(Sum::kept).sum(),
        Seconds.join(several.stream().map(Sum::seconds).toList()));
  }

  /** How many broke their promise, where each has one. */
  public long late() {
    return count - kept;
  }

  /** Half of all took no longer than this; empty where nothing was timed. */
  public OptionalLong median() {
    return seconds.percentile(50);
  }

  /** Nine of ten took no longer than this; empty where nothing was timed. */
  public OptionalLong ninetieth() {
    return seconds.percentile(90);
  }
}
