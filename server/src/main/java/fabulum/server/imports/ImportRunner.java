package fabulum.server.imports;

import static java.util.stream.Collectors.toMap;

import fabulum.core.imports.Subject;
import fabulum.server.imports.ImportKind.Came;
import fabulum.server.imports.store.ImportMapper;
import fabulum.server.platform.RaceRetry;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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
  private static final int CHUNK = 250;
  private static final Duration KEPT = Duration.ofDays(7);

  private final ImportMapper rows;
  private final Map<Subject, ImportKind> kinds;
  private final ImportFiles files;
  private final TransactionTemplate transactions;
  private final Clock clock;
  private final Set<Long> cancelled = ConcurrentHashMap.newKeySet();
  private final ExecutorService worker = Executors.newSingleThreadExecutor(ImportRunner::daemon);

  ImportRunner(
      ImportMapper rows,
      List<ImportKind> kinds,
      ImportFiles files,
      TransactionTemplate transactions,
      Clock clock) {
    this.rows = rows;
    this.kinds = kinds.stream().collect(toMap(ImportKind::subject, kind -> kind));
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

  /** What becomes of files about a subject. */
  ImportKind kind(Subject subject) {
    return Objects.requireNonNull(kinds.get(subject));
  }

  /** Takes rows in, in the background. */
  void begin(ImportView one, List<PlannedRow> planned, ImportTaking.Of of) {
    worker.execute(() -> take(one, planned, of));
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
    worker.execute(() -> undoNow(one, one.act(), one.staffId()));
  }

  private void undoNow(ImportView one, @Nullable Long act, long staff) {
    long id = one.id();
    try {
      int stay = act == null ? 0 : kind(one.subject()).undo(act, staff);
      if (stay > 0) {
        rows.setWhy(id, kind(one.subject()).stay(stay));
      }
      rows.setState(id, ImportState.UNDOING, ImportState.UNDONE, clock.instant());
    } catch (RuntimeException e) {
      log.error("An import could not be taken back; it goes on at the next start", e);
    }
  }

  private void take(ImportView one, List<PlannedRow> planned, ImportTaking.Of of) {
    long id = one.id();
    ImportKind kind = kind(one.subject());
    Progress progress = new Progress(id);
    try {
      for (int i = 0; i < planned.size(); i += CHUNK) {
        if (cancelled.remove(id)) {
          giveUp(one, of, "It was cancelled, so nothing of it was kept.");
          return;
        }
        List<PlannedRow> some = planned.subList(i, Math.min(planned.size(), i + CHUNK));
        RaceRetry.run(
            () -> transactions.execute(status -> progress.with(some.size(), kind.take(some, of))));
        progress.keep();
      }
      rows.setState(id, ImportState.RUNNING, ImportState.DONE, clock.instant());
      files.forget(id);
    } catch (RuntimeException e) {
      log.error("An import broke and is taken back", e);
      giveUp(one, of, "Something broke on our side, so nothing of it was kept. Please try again.");
    }
  }

  private void giveUp(ImportView one, ImportTaking.Of of, String why) {
    long id = one.id();
    rows.setWhy(id, why);
    rows.setState(id, ImportState.RUNNING, ImportState.UNDOING, clock.instant());
    undoNow(one, of.act(), of.by().value());
  }

  /** How far it has come. */
  private final class Progress {
    private final long id;
    private Far all = new Far(0, 0, 0);
    private Far next = all;

    private record Far(int done, int added, int changed) {}

    Progress(long id) {
      this.id = id;
    }

    boolean with(int done, Came came) {
      next = new Far(all.done() + done, all.added() + came.added(), all.changed() + came.changed());
      rows.setProgress(id, next.done(), next.added(), next.changed());
      return true;
    }

    void keep() {
      all = next;
    }
  }
}
