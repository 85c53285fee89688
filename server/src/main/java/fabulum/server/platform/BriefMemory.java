package fabulum.server.platform;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.time.Duration;
import java.util.function.Supplier;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Keeps a small thing that every page needs and hardly anything changes, such as the colleagues or
 * the lines, for one second. Under load it is then read once a second and not once a row; a change
 * is seen by everyone a second later at most.
 */
public final class BriefMemory<T> {
  private static final String ONLY = "it";

  private final LoadingCache<String, T> kept;

  /** Remembers what {@code source} gives. */
  public BriefMemory(Supplier<T> source) {
    this.kept =
        Caffeine.newBuilder().expireAfterWrite(Duration.ofSeconds(1)).build(key -> source.get());
  }

  /** The thing, at most a second old. */
  public T get() {
    return kept.get(ONLY);
  }

  /**
   * Reads it anew the next time; within a transaction once more when that is committed, for others
   * may read what was before until then.
   */
  public void forget() {
    kept.invalidateAll();
    if (TransactionSynchronizationManager.isSynchronizationActive()) {
      TransactionSynchronizationManager.registerSynchronization(
          new TransactionSynchronization() {
            @Override
            public void afterCommit() {
              kept.invalidateAll();
            }
          });
    }
  }
}
