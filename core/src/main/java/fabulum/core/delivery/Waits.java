package fabulum.core.delivery;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;

/**
 * Waits before something that failed is tried again: retry waits that grow.
 *
 * @param each the wait after the first, second, … failed attempt; the last one repeats
 */
public record Waits(List<Duration> each) {
  public Waits {
    each = List.copyOf(each);
    if (each.isEmpty()) {
      throw new IllegalArgumentException("Without a wait nothing can be tried again");
    }
  }

  /**
   * Each wait twice the one before. {@code doubling(1 s, 5 s)} is 1, 2, 4, 5, 5, … s.
   *
   * @param first more than 0
   * @param longest the wait that repeats in the end; at least the first
   */
  public static Waits doubling(Duration first, Duration longest) {
    if (first.isZero() || first.isNegative() || longest.compareTo(first) < 0) {
      throw new IllegalArgumentException("Waits grow from more than 0");
    }
    List<Duration> waits = new ArrayList<>();
    for (Duration wait = first; wait.compareTo(longest) < 0; wait = wait.multipliedBy(2)) {
      waits.add(wait);
    }
    waits.add(longest);
    return new Waits(waits);
  }

  /**
   * The wait after a failed attempt.
   *
   * @param attempts how many there have been, 1 or more
   */
  public Duration after(int attempts) {
    return each.get(Math.min(attempts, each.size()) - 1);
  }
}
