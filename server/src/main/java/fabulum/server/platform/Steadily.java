package fabulum.server.platform;

import fabulum.core.delivery.Waits;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.LongSupplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Works through rows one by one, again and again. A row that fails waits longer and longer before
 * it is tried again, and those behind it go on. What failed is remembered in memory only.
 *
 * @param <K> names a row
 */
public final class Steadily<K> {
  private static final Logger log = LoggerFactory.getLogger(Steadily.class);
  private static final Waits WAITS = Waits.doubling(Duration.ofSeconds(1), Duration.ofMinutes(10));

  private final String work;
  private final LongSupplier nanos;
  private final Map<K, Failed> failed = new HashMap<>();

  /**
   * Begins.
   *
   * @param work what is done, for the log: "A conversation could not be brought back"
   */
  public Steadily(String work) {
    this(work, System::nanoTime);
  }

  Steadily(String work, LongSupplier nanos) {
    this.work = work;
    this.nanos = nanos;
  }

  private record Failed(int times, long nextAt) {}

  /** How many rows are known to fail; a page of rows is to be longer by this number. */
  public synchronized int failing() {
    return failed.size();
  }

  /** Whether a row may be tried now. */
  public synchronized boolean isReady(K row) {
    Failed had = failed.get(row);
    return had == null || nanos.getAsLong() - had.nextAt() >= 0;
  }

  /** Does the work for each row that may be tried now. */
  public void each(List<K> rows, Consumer<K> one) {
    rows.forEach(row -> attempt(row, one));
  }

  /**
   * Does the work for one row, if it may be tried now.
   *
   * @return false when it was not tried, or failed
   */
  public boolean attempt(K row, Consumer<K> one) {
    if (!isReady(row)) {
      return false;
    }
    try {
      one.accept(row);
    } catch (RuntimeException e) {
      log.warn("{}: {}; trying again in {}", work, row, failed(row), e);
      return false;
    }
    succeeded(row);
    return true;
  }

  private synchronized void succeeded(K row) {
    failed.remove(row);
  }

  /** A row failed; the answer is how long it waits. */
  public synchronized Duration failed(K row) {
    Failed had = failed.get(row);
    int times = had == null ? 1 : had.times() + 1;
    Duration wait = WAITS.after(times);
    failed.put(row, new Failed(times, nanos.getAsLong() + wait.toNanos()));
    return wait;
  }
}
