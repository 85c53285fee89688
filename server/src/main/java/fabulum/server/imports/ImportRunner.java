package fabulum.server.imports;

import fabulum.core.imports.RowReader.Customer;
import fabulum.server.imports.store.ImportMapper;
import fabulum.server.platform.RaceRetry;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Takes imports in and back, one after the other, some rows at a time, so that everybody else goes
 * on. One that was cut off is taken back at the next start.
 */
@Component
class ImportRunner {
  private static final Logger log = LoggerFactory.getLogger(ImportRunner.class);
  private static final int CHUNK = 100;
  private static final Duration KEPT = Duration.ofDays(7);

  private final ImportMapper rows;
  private final ImportTaking taking;
  private final ImportUndoing undoing;
  private final ImportFiles files;
  private final TransactionTemplate transactions;
  private final Clock clock;
  private final Set<Long> cancelled = ConcurrentHashMap.newKeySet();
  private final ExecutorService worker = Executors.newSingleThreadExecutor(ImportRunner::daemon);

  ImportRunner(
      ImportMapper rows,
      ImportTaking taking,
      ImportUndoing undoing,
      ImportFiles files,
      TransactionTemplate transactions,
      Clock clock) {
    this.rows = rows;
    this.taking = taking;
    this.undoing = undoing;
    this.files = files;
    this.transactions = transactions;
    this.clock = clock;
  }

  private static Thread daemon(Runnable work) {
    Thread thread = new Thread(work, "imports");
    thread.setDaemon(true);
    thread.setPriority(Thread.MIN_PRIORITY);
    return thread;
  }

  @PreDestroy
  void stop() {
    worker.shutdownNow();
  }

  @EventListener(ApplicationReadyEvent.class)
  void goOn() {
    for (ImportView one : rows.list(100)) {
      if (one.state() == ImportState.RUNNING) {
        rows.setWhy(one.id(), "Fabulum stopped before it was through, so nothing of it was kept.");
        rows.setState(one.id(), ImportState.RUNNING, ImportState.UNDOING, clock.instant());
        undo(one);
      } else if (one.state() == ImportState.UNDOING) {
        undo(one);
      }
    }
    for (long left : rows.listLeft(clock.instant().minus(KEPT))) {
      files.forget(left);
      rows.delete(left);
    }
  }

  /** Takes rows in, in the background. */
  void begin(long id, List<PlannedRow> planned, ImportTaking.Of of) {
    worker.execute(() -> take(id, planned, of));
  }

  /** Waits until all that was begun is through. */
  void settle() {
    CompletableFuture.runAsync(() -> {}, worker).join();
  }

  /** Stops an import before it is through; it is taken back. */
  void cancel(long id) {
    cancelled.add(id);
  }

  /** Takes an import back, in the background. */
  void undo(ImportView one) {
    worker.execute(() -> undoNow(one.id(), one.act(), one.staffId()));
  }

  private void undoNow(long id, @Nullable Long act, long staff) {
    try {
      int stay = act == null ? 0 : undoing.undo(act, staff);
      if (stay > 0) {
        rows.setWhy(
            id,
            stay
                + (stay == 1 ? " customer stays" : " customers stay")
                + ", because more was said of them since.");
      }
      rows.setState(id, ImportState.UNDOING, ImportState.UNDONE, clock.instant());
    } catch (RuntimeException e) {
      log.error("An import could not be taken back; it goes on at the next start", e);
    }
  }

  private void take(long id, List<PlannedRow> planned, ImportTaking.Of of) {
    Progress progress = new Progress(id);
    try {
      for (int i = 0; i < planned.size(); i += CHUNK) {
        if (cancelled.remove(id)) {
          giveUp(id, of, "It was cancelled, so nothing of it was kept.");
          return;
        }
        List<PlannedRow> some = planned.subList(i, Math.min(planned.size(), i + CHUNK));
        RaceRetry.run(() -> transactions.execute(status -> progress.with(take(some, of))));
        progress.keep();
      }
      rows.setState(id, ImportState.RUNNING, ImportState.DONE, clock.instant());
      files.forget(id);
    } catch (RuntimeException e) {
      log.error("An import broke and is taken back", e);
      giveUp(id, of, "Something broke on our side, so nothing of it was kept. Please try again.");
    }
  }

  private void giveUp(long id, ImportTaking.Of of, String why) {
    rows.setWhy(id, why);
    rows.setState(id, ImportState.RUNNING, ImportState.UNDOING, clock.instant());
    undoNow(id, of.act(), of.by().value());
  }

  /** What some rows came to. */
  private record Came(int done, int added, int changed) {}

  private Came take(List<PlannedRow> some, ImportTaking.Of of) {
    int added = 0;
    int changed = 0;
    for (PlannedRow row : some) {
      Customer customer = row.customer();
      if (customer == null) {
        continue;
      }
      if (row.fate() == Fate.NEW) {
        taking.add(customer, of);
        added++;
      } else if (row.fate() == Fate.CHANGED && row.known() != null) {
        changed += taking.change(row.known(), customer, of) ? 1 : 0;
      }
    }
    return new Came(some.size(), added, changed);
  }

  /** How far it has come. */
  private final class Progress {
    private final long id;
    private Came all = new Came(0, 0, 0);
    private Came next = all;

    Progress(long id) {
      this.id = id;
    }

    boolean with(Came came) {
      next =
          new Came(
              all.done() + came.done(), all.added() + came.added(), all.changed() + came.changed());
      rows.setProgress(id, next.done(), next.added(), next.changed());
      return true;
    }

    void keep() {
      all = next;
    }
  }
}
