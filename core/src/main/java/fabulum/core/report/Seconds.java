package fabulum.core.report;

import java.util.Arrays;
import java.util.Collection;
import java.util.OptionalLong;

/**
 * Times in whole seconds, every one of them kept, so that a median of many days is exact and not a
 * mean of medians. In a table they take one to three bytes each.
 */
public final class Seconds {
  /** No times. */
  public static final Seconds NONE = new Seconds(new long[0]);

  private final long[] sorted;

  private Seconds(long[] sorted) {
    this.sorted = sorted;
  }

  /**
   * These times, in any order.
   *
   * @throws IllegalArgumentException for one below zero
   */
  public static Seconds of(long... seconds) {
    long[] sorted = seconds.clone();
    Arrays.sort(sorted);
    if (sorted.length > 0 && sorted[0] < 0) {
      throw new IllegalArgumentException("A time is not below zero: " + sorted[0]);
    }
    return sorted.length == 0 ? NONE : new Seconds(sorted);
  }

  /** All times of several. */
  public static Seconds join(Collection<Seconds> several) {
    long[] all = new long[several.stream().mapToInt(Seconds::count).sum()];
    int at = 0;
    for (Seconds each : several) {
      System.arraycopy(each.sorted, 0, all, at, each.sorted.length);
      at += each.sorted.length;
    }
    Arrays.sort(all);
    return new Seconds(all);
  }

  /** How many. */
  public int count() {
    return sorted.length;
  }

  /**
   * The smallest of the times that at least this share of all did not exceed (the nearest-rank
   * percentile): of 10, 20, 30 and 40 the 50th is 20 and the 90th 40.
   *
   * @param percent 1 to 100
   * @return empty when there are no times
   */
  public OptionalLong percentile(int percent) {
    if (percent < 1 || percent > 100) {
      throw new IllegalArgumentException("A percentile is 1 to 100");
    }
    if (sorted.length == 0) {
      return OptionalLong.empty();
    }
    long rank = ((long) sorted.length * percent + 99) / 100;
    return OptionalLong.of(sorted[(int) rank - 1]);
  }

  /**
   * As they are kept: the differences in ascending order, each in groups of seven bits (LEB128).
   */
  public byte[] bytes() {
    long[] differences = sorted.clone();
    for (int i = sorted.length - 1; i > 0; i--) {
      differences[i] -= sorted[i - 1];
    }
    return Packed.of(differences);
  }

  /**
   * What {@link #bytes()} wrote.
   *
   * @throws IllegalArgumentException when the bytes end within a number
   */
  public static Seconds read(byte[] bytes) {
    long[] values = Packed.read(bytes);
    for (int i = 1; i < values.length; i++) {
      values[i] += values[i - 1];
    }
    return of(values);
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Seconds seconds && Arrays.equals(sorted, seconds.sorted);
  }

  @Override
  public int hashCode() {
    return Arrays.hashCode(sorted);
  }

  @Override
  public String toString() {
    return Arrays.toString(sorted);
  }
}
