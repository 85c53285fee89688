package fabulum.server.identify;

import fabulum.core.meaning.Meaning;
import fabulum.core.meaning.Viewpoint;
import fabulum.server.customers.CustomersRemoved;
import fabulum.server.meaning.RememberedMeaning;
import fabulum.server.meaning.SentenceModel;
import java.time.Duration;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * What the words mean that evidence is weighed by. One thread asks the model, some 5 ms a text;
 * what it was asked lately is remembered, in memory only.
 */
@Component
class Meant implements DisposableBean {
  private static final Logger log = LoggerFactory.getLogger(Meant.class);

  private static final Duration TO_END = Duration.ofSeconds(20);

  private final SentenceModel model;
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "who writes");
        thread.setDaemon(true);
        return thread;
      });
  private volatile @Nullable RememberedMeaning remembered;

  /** No model is shipped or used, or it does not run here. */
  private volatile boolean without;

  private volatile boolean ending;

  Meant(SentenceModel model) {
    this.model = model;
  }

  /**
   * Where these words lie, known for all of them; empty where there is no model, or it takes longer
   * than anyone has patience.
   */
  Optional<Meaning> of(Set<String> words, Duration patience) {
    if (without || knows(words)) {
      return Optional.ofNullable(remembered);
    }
    try {
      Future<?> work = worker.submit(() -> look(() -> words));
      work.get(patience.toMillis(), TimeUnit.MILLISECONDS);
      return Optional.ofNullable(remembered);
    } catch (TimeoutException | RejectedExecutionException late) {
      return Optional.empty();
    } catch (ExecutionException failed) {
      log.warn("What texts mean could not be worked out; words alone decide", failed.getCause());
      return Optional.empty();
    } catch (InterruptedException ended) {
      Thread.currentThread().interrupt();
      return Optional.empty();
    }
  }

  /** Whether it is known where all of these lie. */
  boolean knows(Set<String> words) {
    RememberedMeaning there = remembered;
    return there != null && there.knows(words);
  }

  /** Looks words up before someone waits for them. */
  void ahead(Supplier<Set<String>> words) {
    if (without || ending) {
      return;
    }
    worker.execute(() -> {
      try {
        look(words);
      } catch (RuntimeException e) {
        log.warn("What texts mean could not be worked out ahead", e);
      }
    });
  }

  private void look(Supplier<Set<String>> words) {
    RememberedMeaning open = opened();
    if (open == null) {
      return;
    }
    for (String each : words.get()) {
      if (ending) {
        return;
      }
      open.of(each);
    }
  }

  private @Nullable RememberedMeaning opened() {
    if (remembered == null && !without) {
      remembered =
          model.find().map(there -> new RememberedMeaning(new Viewpoint(there))).orElse(null);
      without = remembered == null;
    }
    return remembered;
  }

  /** Whether there is no model here. */
  boolean isWithout() {
    return without;
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void removed(CustomersRemoved removed) {
    RememberedMeaning there = remembered;
    if (there != null) {
      there.forgetAllBut(Set.of());
    }
  }

  /** The model's own code must not be cut off in its work: the process would not end well. */
  @Override
  public void destroy() throws InterruptedException {
    ending = true;
    worker.shutdown();
    worker.awaitTermination(TO_END.toMillis(), TimeUnit.MILLISECONDS);
  }
}
