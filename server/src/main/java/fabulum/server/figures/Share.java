package fabulum.server.figures;

import java.time.Duration;

/**
 * Keeps work that is done again and again to a share of the time: after each round there is a rest
 * of some times as long as the round took. Times are those of {@link System#nanoTime}.
 */
final class Share {
  private final int times;
  private final long longestNanos;
  private long restsUntil;
  private boolean rests;

  /**
   * Begins without a rest.
   *
   * @param times how many times as long as a round a rest is
   * @param longest but no longer than this
   */
  Share(int times, Duration longest) {
    this.times = times;
    this.longestNanos = longest.toNanos();
  }

  /** Whether the rest after the last round is over. */
  boolean isDue(long now) {
    return !rests || now - restsUntil >= 0;
  }

  /** A round has been done. */
  void done(long began, long ended) {
    rests = true;
    restsUntil = ended + Math.min(longestNanos, (ended - began) * times);
  }
}
