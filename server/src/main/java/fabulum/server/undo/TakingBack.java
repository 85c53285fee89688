package fabulum.server.undo;

import fabulum.server.conversations.ActSteps;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.Undelivered;
import fabulum.server.conversations.UndoStep;
import fabulum.server.conversations.UndoStep.Snapshot;
import java.util.ArrayList;
import java.util.List;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Takes back one act on one conversation. */
@Component
class TakingBack {
  private final InSight inSight;
  private final Bookkeeping books;
  private final ActSteps steps;
  private final Undelivered undelivered;
  private final ApplicationEventPublisher events;

  TakingBack(
      InSight inSight,
      Bookkeeping books,
      ActSteps steps,
      Undelivered undelivered,
      ApplicationEventPublisher events) {
    this.inSight = inSight;
    this.books = books;
    this.steps = steps;
    this.undelivered = undelivered;
    this.events = events;
  }

  /**
   * Takes a step back, if nothing has happened to the conversation since. The person who made the
   * step may take it back also where it took the conversation out of their sight.
   *
   * @return false when something has happened since; nothing was changed then
   */
  @Transactional
  public boolean takeBack(UndoStep step) {
    Conversation row = inSight.lockForUndo(step.conversation(), step.by());
    Snapshot now = steps.snapshot(row);
    if (!now.equals(step.after())) {
      return false;
    }
    Snapshot before = step.before();
    undelivered.restore(row, before.undelivered());
    steps.restore(row, now, before);
    books.setUndone(step.event());
    long event = books.event(row, EventKind.UNDONE, step.by(), step.kind().name());
    events.publishEvent(new StepTakenBack(step.conversation(), step.event()));
    books.sightChanged(step.conversation(), row.spot());
    List<Long> touched = new ArrayList<>(List.of(step.event().value(), event));
    touched.addAll(before.undelivered());
    books.changed(row.id(), touched);
    return true;
  }

  /**
   * Lets a conversation be as it was before a text that never left, or, where something has
   * happened to it since, lets at least the customer wait as before.
   */
  void unsay(UndoStep step) {
    Conversation row = books.lock(step.conversation());
    Snapshot now = steps.snapshot(row);
    Snapshot before = step.before();
    if (now.equals(step.after())) {
      undelivered.restore(row, before.undelivered());
      steps.restore(row, now, before);
      books.sightChanged(step.conversation(), row.spot());
    } else {
      before
          .state()
          .waitingSince()
          .ifPresent(since -> books.save(row, row.state().answerTakenBack(since), books.now()));
    }
    List<Long> touched = new ArrayList<>(List.of(step.event().value()));
    touched.addAll(before.undelivered());
    books.changed(row.id(), touched);
  }
}
