package fabulum.server.writing;

import fabulum.core.access.Act;
import fabulum.core.text.OneLine;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.attachments.AttachmentView;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.Said;
import fabulum.server.people.People;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.writing.store.SecondLookMapper;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Texts of people, such as newcomers, that wait for a colleague's yes. Until then nothing has been
 * said: the customer waits on, and the conversation stays as it is.
 */
@Service
public class SecondLooks {
  private static final int MOST = 1_000;
  private static final int LONGEST_WORD = 300;

  private final SecondLookMapper looks;
  private final Drafts drafts;
  private final Bookkeeping books;
  private final InSight inSight;
  private final Permits permits;
  private final People people;
  private final ApplicationEventPublisher events;

  SecondLooks(
      SecondLookMapper looks,
      Drafts drafts,
      Bookkeeping books,
      InSight inSight,
      Permits permits,
      People people,
      ApplicationEventPublisher events) {
    this.looks = looks;
    this.drafts = drafts;
    this.books = books;
    this.inSight = inSight;
    this.permits = permits;
    this.people = people;
    this.events = events;
  }

  /** Whether a person's texts wait. */
  public boolean isNeeded(StaffId writer) {
    return people.needsSecondLook(writer);
  }

  /** Whether a text waits, or waited, under its reference already. */
  private boolean isKnown(ConversationId id, Said said) {
    Optional<SecondLook> known = looks.findByReference(said.reference().value());
    known
        .filter(one -> one.conversation() != id.value() || differs(one, said))
        .ifPresent(one -> {
          throw Problem.conflict(
              Kind.SENT_WITH_OTHER_WORDS,
              "An earlier try waits for a second look, with other words. These words are kept:"
                  + " send them again if you still want to.");
        });
    return known.isPresent();
  }

  private static boolean differs(SecondLook known, Said said) {
    return !known.words().isEmpty() && !known.words().equals(said.words());
  }

  /** Lets a text wait. To be used in the transaction that would send it otherwise, if any. */
  @Transactional
  public void ask(ConversationId id, Said said, StaffId by) {
    Conversation row = inSight.lockToAnswer(id, by);
    if (isKnown(id, said)) {
      return;
    }
    looks.insert(row.id(), by.value(), said, books.now());
    drafts.waitWith(
        looks.findByReference(said.reference().value()).orElseThrow(), said.attachments());
    if (said.author().leavesPaper()) {
      drafts.discard(id, Paper.REPLY, by);
    }
    changed(row, List.of());
  }

  private void changed(Conversation row, List<Long> entries) {
    books.changed(row.id(), entries);
    events.publishEvent(new SecondLooksChanged());
  }

  /** Those that wait in a conversation, the longest first. */
  public List<SecondLook> list(ConversationId id, StaffId asking) {
    inSight.row(id, asking);
    return looks.list(id.value());
  }

  /** Those that wait anywhere, the longest first; to be shown as far as each person sees. */
  public List<SecondLook> listAll() {
    return looks.listAll(MOST);
  }

  /** What waits with these, by look. */
  public Map<Long, List<AttachmentView>> attachmentsOf(List<SecondLook> some) {
    return drafts.attachmentsOf(some.stream().map(SecondLook::id).toList());
  }

  /** One that waits, in a conversation the person sees. */
  public SecondLook get(long id, StaffId asking) {
    SecondLook look = looks.find(id).orElseThrow(() -> Problem.notFound("text"));
    inSight.row(new ConversationId(look.conversation()), asking);
    if (look.endedAt() != null) {
      throw gone();
    }
    return look;
  }

  private static Problem gone() {
    return Problem.conflict(
        Kind.CHANGED_MEANWHILE,
        "This text does not wait any more: a colleague has looked at it, or it was taken back.");
  }

  /** Refuses who may not look: the writer, and others whose texts wait for a look as well. */
  public void requireMayLook(SecondLook look, StaffId by) {
    permits.require(by, Act.TEXT);
    if (look.staff() == by.value()) {
      throw Problem.notAllowed("Someone else has to look at your text. You can take it back.");
    }
    if (people.needsSecondLook(by)) {
      throw Problem.notAllowed("Your own texts wait for a second look, so you cannot approve any.");
    }
  }

  /** Notes that a colleague said yes. To be used in the transaction that sends it. */
  public void approved(SecondLook look, boolean changed, StaffId by) {
    Conversation row = books.lock(new ConversationId(look.conversation()));
    String words = people.get(new StaffId(look.staff())).name() + (changed ? " changed" : "");
    changed(row, List.of(books.event(row, EventKind.APPROVED, by, words)));
  }

  /**
   * Lets a text wait no longer. To be used first in the transaction that does something with it, so
   * that only one does.
   */
  public void end(SecondLook look) {
    if (looks.end(look.id(), books.now()) == 0) {
      throw gone();
    }
  }

  /** Takes back a person's own text; its words are a draft again. */
  @Transactional
  public void takeBack(long id, StaffId by) {
    SecondLook look = get(id, by);
    if (look.staff() != by.value()) {
      throw Problem.notAllowed("Only its writer can take it back. You can return it.");
    }
    end(look);
    Conversation row = inSight.lock(new ConversationId(look.conversation()), by);
    giveBack(look);
    changed(row, List.of());
  }

  /**
   * Returns a text to its writer: its words are their draft again.
   *
   * @param why what the colleague says to it; the script tells it, for the team only
   */
  @Transactional
  public void returnToWriter(long id, String why, StaffId by) {
    SecondLook look = get(id, by);
    requireMayLook(look, by);
    String word = why.strip();
    if (word.isEmpty() || word.length() > LONGEST_WORD) {
      throw bad("Say in 1 to 300 characters why. The text still waits.");
    }
    OneLine.objection(word)
        .ifPresent(objection -> {
          throw bad(objection);
        });
    end(look);
    Conversation row = inSight.lock(new ConversationId(look.conversation()), by);
    giveBack(look);
    long event = books.event(row, EventKind.RETURNED, by, word);
    changed(row, List.of(event));
    ConversationId conversation = new ConversationId(row.id());
    StaffId writer = new StaffId(look.staff());
    events.publishEvent(new TextReturned(conversation, new EntryId(event), writer, by, word));
  }

  private static Problem bad(String why) {
    return Problem.fields(List.of(new FieldProblem("why", why)));
  }

  private void giveBack(SecondLook look) {
    drafts.giveBackAttachments(look);
    if (look.words().isBlank()) {
      return;
    }
    Draft draft =
        new Draft(
            Paper.REPLY, look.words(), look.seen(), null, look.again(), look.template(), null);
    drafts.giveBack(new ConversationId(look.conversation()), draft, new StaffId(look.staff()));
  }
}
