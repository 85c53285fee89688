package fabulum.server.messaging;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.ActSteps;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.UndoStep;
import fabulum.server.conversations.UndoStep.Snapshot;
import fabulum.server.conversations.changes.ActDone;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/**
 * Keeps how conversations stood before a text that can be taken back. To be used within the
 * transaction that says it.
 */
@Component
class TakeBackSteps {
  private final Bookkeeping books;
  private final ActSteps steps;
  private final ApplicationEventPublisher events;

  TakeBackSteps(Bookkeeping books, ActSteps steps, ApplicationEventPublisher events) {
    this.books = books;
    this.steps = steps;
    this.events = events;
  }

  /** The name of the steps of a text. */
  static String name(EntryId text) {
    return "text-" + text.value();
  }

  /** How a conversation stands before the text is said. */
  Snapshot before(Conversation row) {
    return steps.snapshot(row);
  }

  void keep(Conversation row, StaffId by, EntryId text, Snapshot before) {
    ConversationId id = new ConversationId(row.id());
    Snapshot after = steps.snapshot(books.row(id));
    events.publishEvent(
        new ActDone(new UndoStep(name(text), by, id, EventKind.TAKEN_BACK, text, before, after)));
  }
}
