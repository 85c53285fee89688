package fabulum.server.ownership;

import fabulum.core.access.Act;
import fabulum.server.access.Guest;
import fabulum.server.access.Guests;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.changes.GuestLeft;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.util.List;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Colleagues of other teams who are brought into one conversation: they see it, write notes in it
 * and, where that is allowed, answer, until it is done or they are let out. The customer sees
 * nothing of it.
 */
@Service
public class BroughtIn {
  private final Guests guests;
  private final InSight inSight;
  private final Bookkeeping books;
  private final People people;
  private final Permits permits;
  private final ApplicationEventPublisher events;

  BroughtIn(
      Guests guests,
      InSight inSight,
      Bookkeeping books,
      People people,
      Permits permits,
      ApplicationEventPublisher events) {
    this.guests = guests;
    this.inSight = inSight;
    this.books = books;
    this.people = people;
    this.permits = permits;
    this.events = events;
  }

  /** A colleague was brought in. */
  public record Brought(ConversationId id, StaffId who, StaffId by, long event) {}

  /** Colleagues who could be brought in: they work here and do not see the conversation. */
  public List<StaffView> possible(ConversationId id, StaffId asking) {
    Conversation row = inSight.row(id, asking);
    return people.list().stream()
        .filter(StaffView::active)
        .filter(one -> permits.of(new StaffId(one.id())).may(Act.WORK))
        .filter(one -> !inSight.isTheirs(row, new StaffId(one.id())))
        .filter(one -> guests.find(id.value(), new StaffId(one.id())).isEmpty())
        .toList();
  }

  /** Brings a colleague in, or changes whether they may answer. */
  @Transactional
  public void bringIn(ConversationId id, StaffId who, boolean mayAnswer, StaffId by) {
    Conversation row = inSight.lock(id, by);
    StaffView colleague = people.get(who);
    if (!colleague.active() || !permits.of(who).may(Act.WORK)) {
      throw bad(colleague.name() + " does not work on conversations.");
    }
    if (inSight.isTheirs(row, who)) {
      throw bad(colleague.name() + " sees this conversation already.");
    }
    if (!row.state().isOpen()) {
      throw bad("This conversation is done. Reopen it first.");
    }
    boolean was = guests.find(id.value(), who).isPresent();
    guests.put(new Guest(id.value(), who.value(), by.value(), mayAnswer, books.now()));
    if (was) {
      books.changed(row.id(), List.of());
      return;
    }
    long event = say(row, EventKind.BROUGHT_IN, who, by);
    events.publishEvent(new Brought(id, who, by, event));
  }

  /** Lets a colleague out; who was brought in may leave by themselves. */
  @Transactional
  public void letOut(ConversationId id, StaffId who, StaffId by) {
    Conversation row = who.equals(by) ? inSight.lockToNote(id, by) : inSight.lock(id, by);
    if (guests.remove(id.value(), who)) {
      say(row, EventKind.LET_OUT, who, by);
      events.publishEvent(new GuestLeft(id, who));
    }
  }

  private long say(Conversation row, EventKind kind, StaffId who, StaffId by) {
    long event =
        books.append(
            Entry.event(row.id(), books.now(), kind, by.value(), null, null)
                .about(null, who.value(), null));
    books.changed(row.id(), List.of(event));
    return event;
  }

  private static Problem bad(String why) {
    return Problem.fields(List.of(new FieldProblem("staff", why)));
  }
}
