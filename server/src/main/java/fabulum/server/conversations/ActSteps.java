package fabulum.server.conversations;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.UndoStep.Snapshot;
import fabulum.server.conversations.changes.ActDone;
import fabulum.server.conversations.store.EntryMapper;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/**
 * What an act changes: how a conversation stood before it and stands after it, so that it can be
 * taken back. To be used within a transaction.
 */
@Component
public class ActSteps {
  private final Bookkeeping books;
  private final EntryMapper entries;
  private final Spans spans;
  private final ApplicationEventPublisher events;

  ActSteps(Bookkeeping books, EntryMapper entries, Spans spans, ApplicationEventPublisher events) {
    this.books = books;
    this.entries = entries;
    this.spans = spans;
    this.events = events;
  }

  /** How a conversation stands now. */
  public Snapshot snapshot(Conversation row) {
    return new Snapshot(
        row.state(),
        row.openedAt(),
        row.ownerId(),
        row.teamId(),
        row.handedEntry(),
        row.startedBy(),
        books.topicsOf(row.id()),
        undelivered(row));
  }

  private Set<Long> undelivered(Conversation row) {
    return row.failed()
        ? entries.listNeedingHand(row.id()).stream().map(Entry::id).collect(Collectors.toSet())
        : Set.of();
  }

  /** Someone is about to do something with a conversation whose row is held. */
  public record Doing(Conversation row, StaffId by, Snapshot before) {}

  /** Notes how a conversation stands before someone does something with it. */
  public Doing doing(Conversation row, StaffId by) {
    return new Doing(row, by, snapshot(row));
  }

  /** The step that an act was; told to the program in the same transaction. */
  public UndoStep done(Doing doing, EventKind kind, EntryId event, List<Long> touched) {
    ConversationId id = new ConversationId(doing.row().id());
    Snapshot after = snapshot(books.row(id));
    books.changed(id.value(), touched);
    String name = UUID.randomUUID().toString();
    UndoStep step = new UndoStep(name, doing.by(), id, kind, event, doing.before(), after);
    events.publishEvent(new ActDone(step));
    return step;
  }

  /** Lets a conversation be as it was, but for its script. */
  public void restore(Conversation row, Snapshot now, Snapshot wanted) {
    now.topics().stream()
        .filter(topic -> !wanted.topics().contains(topic))
        .forEach(topic -> spans.removeTopic(row.id(), topic));
    wanted.topics().stream()
        .filter(topic -> !now.topics().contains(topic))
        .forEach(topic -> spans.addTopic(row.id(), topic));
    books.setOwner(row, wanted.owner());
    books.setTeam(row, wanted.team());
    books.setHanded(row, wanted.handed());
    books.setStartedBy(row, wanted.startedBy());
    books.saveAsOpenedAt(row, wanted.state(), wanted.openedAt());
  }
}
