package fabulum.server.writing;

import fabulum.core.conversation.Back;
import fabulum.core.conversation.ConversationState;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.InSight;
import fabulum.server.ownership.Eligible;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.writing.store.ToDoMapper;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Notes that say what is to be done, by whom and when. */
@Service
public class ToDos {
  private static final int MOST = 200;
  private static final Duration FARTHEST = Duration.ofDays(3_660);

  private final ToDoMapper rows;
  private final Bookkeeping books;
  private final InSight inSight;
  private final Eligible eligible;
  private final People people;
  private final ApplicationEventPublisher events;

  ToDos(
      ToDoMapper rows,
      Bookkeeping books,
      InSight inSight,
      Eligible eligible,
      People people,
      ApplicationEventPublisher events) {
    this.rows = rows;
    this.books = books;
    this.inSight = inSight;
    this.eligible = eligible;
    this.people = people;
    this.events = events;
  }

  /** What is open in a conversation, the soonest first. */
  public List<ToDo> list(ConversationId id, StaffId asking) {
    inSight.row(id, asking);
    return rows.list(id.value());
  }

  /** What is open for a person, the soonest first. */
  public List<ToDo> listOf(StaffId me) {
    return rows.listOf(me.value(), MOST);
  }

  /** Refuses what cannot be asked of someone. */
  void require(Conversation row, ToDo.Wanted wanted) {
    StaffView who = people.byId().get(wanted.staff());
    if (who == null || !who.active()) {
      throw bad("staff", "Choose a colleague who works here.");
    }
    if (!eligible.sees(who.id(), row)) {
      throw bad("staff", who.name() + " does not see this conversation. Nothing was added.");
    }
    Instant now = books.now();
    if (!wanted.at().isAfter(now)) {
      throw bad("at", "That time has passed already. Nothing was added.");
    }
    if (wanted.at().isAfter(now.plus(FARTHEST))) {
      throw bad("at", "Choose a time within ten years. Nothing was added.");
    }
  }

  private static Problem bad(String field, String why) {
    return Problem.fields(List.of(new FieldProblem(field, why)));
  }

  /** Keeps what a note asks for. To be used in the transaction that adds the note. */
  void add(Conversation row, EntryId note, ToDo.Wanted wanted, StaffId by) {
    rows.insert(note.value(), row.id(), wanted, by.value());
  }

  /** Asks another person, or for another time. */
  @Transactional
  public void change(EntryId note, ToDo.Wanted wanted, StaffId by) {
    ToDo toDo = open(note, by);
    Conversation row = inSight.lockToNote(new ConversationId(toDo.conversation()), by);
    require(row, wanted);
    rows.update(note.value(), wanted);
    books.changed(row.id(), List.of(note.value()));
  }

  /** Ticks something off. A wait that began with it ends. Ticking off twice changes nothing. */
  @Transactional
  public void tick(EntryId note, StaffId by) {
    ToDo toDo = present(note, by);
    Conversation row = inSight.lockToNote(new ConversationId(toDo.conversation()), by);
    Instant now = books.now();
    if (rows.setDone(note.value(), now, by.value()) == 0) {
      return;
    }
    Instant brought = toDo.broughtAt();
    ConversationState after = brought == null ? row.state() : row.state().toDoIsDone(brought, now);
    List<Long> touched = new ArrayList<>(List.of(note.value()));
    if (!after.equals(row.state())) {
      books.save(row, after, now);
    }
    touched.add(books.event(row, EventKind.TO_DO_DONE, by, toDo.words()));
    books.changed(row.id(), touched);
  }

  /** Takes back that it was ticked off; the conversation stays as it is until its time comes. */
  @Transactional
  public void untick(EntryId note, StaffId by) {
    ToDo toDo = present(note, by);
    Conversation row = inSight.lockToNote(new ConversationId(toDo.conversation()), by);
    if (rows.setDone(note.value(), null, null) > 0) {
      long event = books.event(row, EventKind.UNDONE, by, EventKind.TO_DO_DONE.name());
      books.changed(row.id(), List.of(note.value(), event));
    }
  }

  private ToDo open(EntryId note, StaffId by) {
    ToDo toDo = present(note, by);
    if (toDo.doneAt() != null) {
      throw Problem.conflict(
          Problem.Kind.CHANGED_MEANWHILE, "A colleague has ticked this off in the meantime.");
    }
    return toDo;
  }

  private ToDo present(EntryId note, StaffId by) {
    ToDo toDo = rows.find(note.value()).orElseThrow(() -> Problem.notFound("to do"));
    inSight.row(new ConversationId(toDo.conversation()), by);
    return toDo;
  }

  /** The note is withdrawn, and with it what it asked for. */
  void withdraw(EntryId note) {
    rows.delete(note.value());
  }

  /** Brings the conversation back because of what is due in it. */
  @Transactional
  void bringBack(long note) {
    ToDo toDo = rows.find(note).filter(one -> one.broughtAt() == null).orElse(null);
    if (toDo == null || toDo.doneAt() != null) {
      return;
    }
    Conversation row = books.lock(new ConversationId(toDo.conversation()));
    Instant now = books.now();
    rows.setBrought(note, now);
    books.save(row, row.state().toDoIsDue(now), now);
    String words = Back.TO_DO.name() + " " + toDo.words();
    long event = books.event(row, EventKind.BACK, null, words);
    books.changed(row.id(), List.of(note, event));
    events.publishEvent(new ToDoDue(toDo));
  }
}
