package fabulum.server.platform;

import java.time.Duration;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Keeps a small thing that every page needs and hardly anything changes, such as the colleagues or
 * the lines, for one second. Under load it is then read about once a second and not once a row; a
 * change is seen by everyone soon after a second at most.
 *
 * <p>No caller waits while another one reads: a caller may hold the connection to the database that
 * the reader is waiting for.
 */
public final class BriefMemory<T> {
  private static final Duration KEPT = Duration.ofSeconds(1);

  private final Supplier<T> source;
  private final AtomicBoolean reading = new AtomicBoolean();
  private @Nullable Kept<T> kept;
  private long forgotten;

  /** Remembers what {@code source} gives. */
  public BriefMemory(Supplier<T> source) {
    this.source = source;
  }

  private record Kept<T>(T value, long at) {
    boolean isFresh() {
      return System.nanoTime() - at < KEPT.toNanos();
    }
  }

  /**
   * The thing. While one caller reads it again the others go on with what was; when it was
   * forgotten, everybody reads for themselves.
   */
  public T get() {
    Kept<T> had = kept();
    if (had == null) {
      return read();
    }
    if (had.isFresh() || !reading.compareAndSet(false, true)) {
      return had.value();
    }
    try {
      return read();
    } finally {
      reading.set(false);
    }
  }

  private synchronized @Nullable Kept<T> kept() {
    return kept;
  }

  private T read() {
    long before = timesForgotten();
    T value = source.get();
    keep(value, before);
    return value;
  }

  private synchronized long timesForgotten() {
    return forgotten;
  }

  /** What was read before a change must not outlive it. */
  private synchronized void keep(T value, long before) {
    if (forgotten == before) {
      kept = new Kept<>(value, System.nanoTime());
    }
  }

  /**
   * Reads it again the next time; within a transaction once more when that is committed, for others
   * may read what was before until then.
   */
  public void forget() {
    forgetNow();
    if (TransactionSynchronizationManager.isSynchronizationActive()) {
      TransactionSynchronizationManager.registerSynchronization(
          new TransactionSynchronization() {
            @Override
            public void afterCommit() {
              forgetNow();
            }
          });
    }
  }

  private synchronized void forgetNow() {
    forgotten++;
    kept = null;
  }
}
