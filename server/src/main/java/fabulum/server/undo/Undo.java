package fabulum.server.undo;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.UndoStep;
import fabulum.server.conversations.changes.ActDone;
import fabulum.server.platform.DiskReserve;
import fabulum.server.platform.Problem;
import fabulum.server.undo.store.UndoMapper;
import fabulum.server.undo.store.UndoRow;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;

/**
 * Takes back what was done a moment ago. Steps are written in the transaction of the act, so they
 * survive a restart, and are kept for two minutes: after that a person does the opposite.
 */
@Service
public class Undo {
  private static final Duration KEPT = Duration.ofMinutes(2);

  private final UndoMapper steps;
  private final TakingBack takingBack;
  private final Bookkeeping books;
  private final DiskReserve reserve;
  private final Clock clock;

  Undo(
      UndoMapper steps,
      TakingBack takingBack,
      Bookkeeping books,
      DiskReserve reserve,
      Clock clock) {
    this.steps = steps;
    this.takingBack = takingBack;
    this.books = books;
    this.reserve = reserve;
    this.clock = clock;
  }

  /**
   * What taking back came to.
   *
   * @param undone conversations that are as they were
   * @param left conversations left alone, because something has happened to them since; by name
   */
  public record TakenBack(int undone, List<String> left) {
    public TakenBack {
      left = List.copyOf(left);
    }
  }

  @EventListener
  void keep(ActDone done) {
    steps.insert(UndoRow.of(done.step()), clock.instant());
  }

  /** Gives a step the name of a group of steps that are taken back together. */
  public void join(UndoStep step, String name) {
    steps.rename(step.name(), name);
  }

  /** Whether there is something a person can take back under a name. */
  public boolean isKept(String name, StaffId by) {
    return steps.isKept(name, by.value(), expiry());
  }

  private Instant expiry() {
    return clock.instant().minus(KEPT);
  }

  /** Takes back what someone did themselves; each conversation on its own. */
  public TakenBack undo(String name, StaffId by) {
    if (!isKept(name, by) || isOfText(name, by)) {
      throw Problem.conflict(
          Problem.Kind.TOO_LATE, "That is too long ago to undo. Nothing was changed.");
    }
    int undone = 0;
    List<String> left = new ArrayList<>();
    for (UndoRow row : steps.list(name, by.value())) {
      UndoStep step = row.step();
      if (takingBack.takeBack(step)) {
        undone++;
      } else {
        left.add(books.name(step.conversation()));
      }
    }
    // Only what was taken back is gone: a failure on the way can be tried again.
    steps.delete(name);
    if (undone == 0) {
      throw Problem.conflict(
          Problem.Kind.CHANGED_MEANWHILE, "Something changed there since, so it was not undone.");
    }
    return new TakenBack(undone, left);
  }

  private boolean isOfText(String name, StaffId by) {
    return steps.list(name, by.value()).stream()
        .anyMatch(row -> row.kind() == EventKind.TAKEN_BACK);
  }

  /**
   * Lets conversations be as they were before a text of ours that never left. Where something has
   * happened since, only the wait that the text had ended goes on. To be used within the
   * transaction that takes the text back, which holds its conversation.
   *
   * @return the conversations for which a step was kept
   */
  public List<ConversationId> unsay(String name, StaffId by) {
    List<ConversationId> restored = new ArrayList<>();
    for (UndoRow row : steps.list(name, by.value())) {
      takingBack.unsay(row.step());
      restored.add(row.step().conversation());
    }
    steps.delete(name);
    return restored;
  }

  @Scheduled(initialDelay = 1, fixedDelay = 1, timeUnit = TimeUnit.MINUTES)
  void forget() {
    if (!reserve.isStopped()) {
      steps.deleteOlderThan(expiry());
    }
  }
}
