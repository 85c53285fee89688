package fabulum.server.platform;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import com.github.benmanes.caffeine.cache.Ticker;
import java.time.Duration;
import java.util.concurrent.Executor;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Keeps a small thing that every page needs and hardly anything changes, such as the colleagues or
 * the lines, for one second. Under load it is then read about once a second and not once a row; a
 * change by another process is seen by everyone after two seconds at most.
 *
 * <p>No caller waits while another one reads: a caller may hold the connection to the database that
 * the reader is waiting for. So it is never read by the cache while a caller waits, only beside
 * them, or by each caller for themselves.
 */
public final class BriefMemory<T> {
  private static final Duration KEPT = Duration.ofSeconds(1);
  private static final Duration LONGEST = Duration.ofSeconds(2);
  private static final Boolean THING = Boolean.TRUE;
  private static final int READERS = 2;
  private static final Executor BESIDE = beside();

  private final Supplier<T> source;
  private final LoadingCache<Boolean, T> kept;
  private long forgotten;

  /** Remembers what {@code source} gives. */
  public BriefMemory(Supplier<T> source) {
    this(source, Ticker.systemTicker(), BESIDE);
  }

  BriefMemory(Supplier<T> source, Ticker nanos, Executor beside) {
    this.source = source;
    this.kept =
        Caffeine.newBuilder()
            .ticker(nanos)
            .executor(beside)
            .refreshAfterWrite(KEPT)
            .expireAfterWrite(LONGEST)
            .build(thing -> source.get());
  }

  /** Threads of our own: those of the common pool do not find the classes of a packed program. */
  private static Executor beside() {
    ThreadPoolExecutor readers =
        new ThreadPoolExecutor(
            READERS,
            READERS,
            10,
            TimeUnit.SECONDS,
            new LinkedBlockingQueue<>(),
            work -> {
              Thread thread = new Thread(work, "brief memory");
              thread.setDaemon(true);
              return thread;
            });
    readers.allowCoreThreadTimeOut(true);
    return readers;
  }

  /**
   * The thing. After a second it is read again beside those who ask, who go on with what was; when
   * it was forgotten, or nobody asked for two seconds, everybody reads for themselves.
   */
  public T get() {
    T had = kept.getIfPresent(THING);
    return had != null ? had : read();
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
      kept.put(THING, value);
    }
  }

  /**
   * Reads it again the next time; within a transaction once more when that has ended, for others
   * may read what was before until it is committed, and it may have read itself what is rolled
   * back.
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

            @Override
            public void afterCompletion(int status) {
              if (status != STATUS_COMMITTED) {
                forgetNow();
              }
            }
          });
    }
  }

  private synchronized void forgetNow() {
    forgotten++;
    kept.invalidate(THING);
  }
}
