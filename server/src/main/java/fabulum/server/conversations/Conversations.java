package fabulum.server.conversations;

import fabulum.core.conversation.Back;
import fabulum.core.conversation.ConversationState;
import fabulum.core.delivery.Failure.Sending;
import fabulum.core.phone.Sender;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.conversations.store.ConversationRow;
import fabulum.server.conversations.store.DraftMapper;
import fabulum.server.conversations.store.EntryMapper;
import fabulum.server.conversations.store.EntryRow;
import fabulum.server.conversations.store.EntryRow.Outgoing;
import fabulum.server.conversations.store.EntryRow.WaitEnded;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import fabulum.server.people.People;
import fabulum.server.people.StaffId;
import fabulum.server.platform.Problem;
import fabulum.server.topics.TopicId;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What is said in conversations. Every change locks the conversation, so that two at once follow
 * each other.
 */
@Service
public class Conversations {
  private final ConversationMapper conversations;
  private final EntryMapper entries;
  private final DraftMapper drafts;
  private final Customers customers;
  private final Bookkeeping books;
  private final Undelivered undelivered;
  private final InSight inSight;
  private final References references;
  private final GivingOutWork giving;
  private final People people;
  private final ApplicationEventPublisher events;

  Conversations(
      ConversationMapper conversations,
      EntryMapper entries,
      DraftMapper drafts,
      Customers customers,
      Bookkeeping books,
      Undelivered undelivered,
      InSight inSight,
      References references,
      GivingOutWork giving,
      People people,
      ApplicationEventPublisher events) {
    this.conversations = conversations;
    this.entries = entries;
    this.drafts = drafts;
    this.customers = customers;
    this.books = books;
    this.undelivered = undelivered;
    this.inSight = inSight;
    this.references = references;
    this.giving = giving;
    this.people = people;
    this.events = events;
  }

  /**
   * Takes in a text from a customer.
   *
   * @return false when it was already here
   */
  @Transactional
  public boolean receive(ReceivedText text) {
    if (entries.existsReceived(text.networkId())) {
      return false;
    }
    NumberId number = customers.numberOf(text.from());
    Optional<ConversationRow> known =
        conversations
            .lockByLineAndNumber(text.line().value(), number.value())
            .flatMap(conversations::find);
    long id = known.map(ConversationRow::id).orElseGet(() -> begin(text, number));
    List<Long> touched = new ArrayList<>();
    touched.add(entries.insert(EntryRow.received(id, text.when(), text.words(), text.networkId())));
    Instant at = text.when().at();
    // A text that comes late stands where it belongs, and does not pass for the last one.
    if (known.isEmpty() || !at.isBefore(known.get().lastAt())) {
      conversations.setLast(id, at, ConversationRow.beginning(text.words()), SpokeLast.CUSTOMER);
    }
    if (!text.when().history()) {
      boolean newWait = known.map(row -> row.state().waitingSince().isEmpty()).orElse(true);
      known.ifPresent(row -> touched.addAll(customerWrote(row, at)));
      touched.addAll(giving.arrived(new ConversationId(id), newWait));
    }
    books.changed(id, touched);
    return true;
  }

  private List<Long> customerWrote(ConversationRow row, Instant at) {
    ConversationState before = row.state();
    ConversationState after = before.customerWrote(at);
    books.save(row, after, at);
    if (!before.isOpen()) {
      conversations.setStartedBy(row.id(), null);
    }
    boolean back = after.back().isPresent() && before.back().isEmpty();
    return back
        ? List.of(books.event(row, EventKind.BACK, null, Back.CUSTOMER_WROTE.name()))
        : List.of();
  }

  private long begin(ReceivedText text, NumberId number) {
    return begin(
        text.line(),
        number,
        text.when().history()
            ? ConversationState.begunByHistory(text.when().at())
            : ConversationState.begunByCustomer(text.when().at()),
        text.from().answerable().isPresent());
  }

  private long begin(LineId line, NumberId number, ConversationState state, boolean answerable) {
    Optional<CustomerId> customer = customers.onlyHolder(number);
    return conversations.insert(
        line.value(),
        number.value(),
        customer.map(CustomerId::value).orElse(null),
        books.firstStanding(line, state),
        customer.isEmpty() && answerable,
        "",
        SpokeLast.US);
  }

  /**
   * The conversation of a line and a number, made when there is none. A new one is in no list until
   * something is said in it. When two make the same at once, one fails and is tried again.
   */
  @Transactional
  public ConversationId open(LineId line, Sender other) {
    NumberId number = customers.numberOf(other);
    return new ConversationId(
        conversations
            .lockByLineAndNumber(line.value(), number.value())
            .orElseGet(() -> begin(line, number, ConversationState.blank(books.now()), true)));
  }

  /**
   * Gives a number its first customer: every conversation with it, where nobody was known, is
   * theirs.
   */
  @Transactional
  public void identify(Sender other, CustomerId customer) {
    NumberId number = customers.numberOf(other);
    conversations.setCustomer(number.value(), customer.value());
    conversations.listByNumber(number.value()).forEach(id -> books.changed(id, List.of()));
  }

  /** The line and the other side of a conversation that somebody sees. */
  public Ends ends(ConversationId id, StaffId asking) {
    ConversationRow row = inSight.row(id, asking);
    return new Ends(new LineId(row.lineId()), Sender.ofAddress(row.address()));
  }

  /** The line and the other side of a conversation. */
  public record Ends(LineId line, Sender other) {}

  /**
   * Writes an answer into the script, waiting to be sent, and makes it the customer's turn. What
   * was nobody's becomes the writer's. To be called in the transaction that also puts the text into
   * the outbox.
   *
   * @param answer what is said
   * @return the new entry, or empty when an answer with this reference is already here
   */
  public Optional<EntryId> answer(ConversationId id, Answer answer, StaffId by) {
    Optional<EntryRow> lost = lost(answer);
    Optional<ConversationRow> elsewhere =
        lost.filter(text -> text.conversationId() != id.value())
            .map(text -> inSight.lock(new ConversationId(text.conversationId()), by));
    ConversationRow row = inSight.lock(id, by);
    String words = answer.words();
    if (references.isKnown(row, words, answer.reference())) {
      return Optional.empty();
    }
    if (answer.seen() != null) {
      requireNobodyAnswered(row, answer.seen(), by);
    }
    Instant at = books.now();
    List<Long> touched = new ArrayList<>();
    if (row.ownerId() == null) {
      conversations.setOwner(row.id(), by.value());
      touched.add(books.event(row, EventKind.TAKEN, by, null));
    }
    Outgoing text = new Outgoing(words, answer.reference(), by.value(), answer.sending());
    long entry = entries.insert(EntryRow.answer(row.id(), at, text, waitEnded(row, at)));
    touched.add(entry);
    long again = lost.filter(EntryRow::needsHand).map(EntryRow::id).orElse(0L);
    boolean here = again != 0 && elsewhere.isEmpty();
    books.save(row, undelivered.answered(row, at, here ? again : 0), at);
    if (here) {
      touched.add(again);
    }
    if (!row.state().isOpen()) {
      conversations.setStartedBy(row.id(), by.value());
    }
    conversations.setLast(row.id(), at, ConversationRow.beginning(words), SpokeLast.US);
    conversations.setHanded(row.id(), null);
    people.answered(by, at);
    drafts.delete(by.value(), row.id(), Paper.REPLY);
    books.changed(row.id(), touched);
    elsewhere.filter(other -> again != 0).ifPresent(other -> sentElsewhere(other, again, row, by));
    return Optional.of(new EntryId(entry));
  }

  /** The text that was not delivered and is sent again with an answer. */
  private Optional<EntryRow> lost(Answer answer) {
    return Optional.ofNullable(answer.again())
        .flatMap(id -> Optional.ofNullable(entries.find(id)))
        .filter(text -> text.kind() == EntryKind.OUT);
  }

  /** What was not delivered in one conversation was sent again in another, to another number. */
  private void sentElsewhere(ConversationRow other, long text, ConversationRow where, StaffId by) {
    books.save(other, undelivered.settle(other, text), books.now());
    long event = books.event(other, EventKind.SENT_AGAIN, by, where.address());
    books.changed(other.id(), List.of(text, event));
  }

  /** The wait that an answer ends, if the customer waits. */
  private @Nullable WaitEnded waitEnded(ConversationRow row, Instant at) {
    return row.state()
        .waitingSince()
        .map(since ->
            new WaitEnded(
                since,
                books.workingSeconds(row, since, at),
                !entries.existsAnswerSince(row.id(), row.openedAt())))
        .orElse(null);
  }

  /**
   * An answer.
   *
   * @param reference ours, made once for it
   * @param seen the newest entry that stood there when it was begun: when a colleague has answered
   *     since, it is refused and says so; null to send it whatever stands there
   * @param sending as what it is sent
   * @param again a text of ours that was not delivered and is replaced by this one; null for none
   */
  public record Answer(
      String words, String reference, @Nullable Long seen, Sending sending, @Nullable Long again) {

    /** One of many texts with the same words. */
    public static Answer oneOfMany(String words, String reference) {
      return new Answer(words, reference, null, Sending.ONE_OF_MANY, null);
    }
  }

  private void requireNobodyAnswered(ConversationRow row, long seen, StaffId by) {
    entries
        .findAnswerAfter(row.id(), seen, by.value())
        .ifPresent(other -> {
          String who =
              other.speakerId() == null
                  ? "A colleague"
                  : people.get(new StaffId(other.speakerId())).name();
          throw Problem.conflict(
              Problem.Kind.ANSWERED_MEANWHILE,
              who
                  + " answered since you began to write: “"
                  + ConversationRow.beginning(String.valueOf(other.words()))
                  + "” Nothing was sent; your words are kept.");
        });
  }

  /** Holds it until the transaction ends; false when there is no such conversation. */
  public boolean hold(ConversationId id) {
    return conversations.lock(id.value()).isPresent();
  }

  /** When the newest text the network told us of was received. */
  public Optional<Instant> findLastReceived() {
    return Optional.ofNullable(entries.findLastReceived());
  }

  /**
   * Replaces one topic by another on every conversation.
   *
   * @return how many had it
   */
  @Transactional
  public int mergeTopic(long from, long into) {
    conversations.copyTopic(from, into);
    int had = conversations.nextVersionByTopic(from);
    conversations.dropTopic(from);
    events.publishEvent(new TopicsMerged(new TopicId(from), new TopicId(into)));
    return had;
  }
}
