package fabulum.server.conversations;

import fabulum.core.conversation.Back;
import fabulum.core.conversation.ConversationState;
import fabulum.core.phone.Sender;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.conversations.store.ConversationRow;
import fabulum.server.conversations.store.DraftMapper;
import fabulum.server.conversations.store.EntryMapper;
import fabulum.server.conversations.store.EntryRow;
import fabulum.server.conversations.store.EntryRow.WaitEnded;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import fabulum.server.people.StaffId;
import fabulum.server.platform.Problem;
import fabulum.server.topics.TopicId;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
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
  private final ApplicationEventPublisher events;

  Conversations(
      ConversationMapper conversations,
      EntryMapper entries,
      DraftMapper drafts,
      Customers customers,
      Bookkeeping books,
      ApplicationEventPublisher events) {
    this.conversations = conversations;
    this.entries = entries;
    this.drafts = drafts;
    this.customers = customers;
    this.books = books;
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
    touched.add(entries.insert(EntryRow.received(id, text.at(), text.words(), text.networkId())));
    known.ifPresent(row -> touched.addAll(customerWrote(row, text.at())));
    // A text that comes late stands where it belongs, and does not pass for the last one.
    if (known.isEmpty() || !text.at().isBefore(known.get().lastAt())) {
      conversations.setLast(
          id, text.at(), ConversationRow.beginning(text.words()), SpokeLast.CUSTOMER);
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
        ConversationState.begunByCustomer(text.at()),
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

  /** The line and the other side of a conversation. */
  public Ends ends(ConversationId id) {
    ConversationRow row = books.row(id);
    return new Ends(new LineId(row.lineId()), Sender.ofAddress(row.address()));
  }

  /** The line and the other side of a conversation. */
  public record Ends(LineId line, Sender other) {}

  /**
   * Writes an answer into the script, waiting to be sent, and makes it the customer's turn. What
   * was nobody's becomes the writer's. To be called in the transaction that also puts the text into
   * the outbox.
   *
   * @param reference ours, made once for this answer
   * @return the new entry, or empty when an answer with this reference is already here
   */
  public Optional<EntryId> answer(ConversationId id, String words, String reference, StaffId by) {
    ConversationRow row = books.lock(id);
    if (isKnown(row, words, reference)) {
      return Optional.empty();
    }
    Instant at = books.now();
    List<Long> touched = new ArrayList<>();
    if (row.ownerId() == null) {
      conversations.setOwner(row.id(), by.value());
      touched.add(books.event(row, EventKind.TAKEN, by, null));
    }
    WaitEnded wait = waitEnded(row, at);
    long entry = entries.insert(EntryRow.answer(row.id(), at, words, by.value(), reference, wait));
    touched.add(entry);
    books.save(row, row.state().personAnswered(at), at);
    if (!row.state().isOpen()) {
      conversations.setStartedBy(row.id(), by.value());
    }
    conversations.setLast(row.id(), at, ConversationRow.beginning(words), SpokeLast.US);
    conversations.setFailed(row.id(), false);
    drafts.delete(by.value(), row.id(), Paper.REPLY);
    books.changed(row.id(), touched);
    return Optional.of(new EntryId(entry));
  }

  /** The wait that an answer ends, if the customer waits. */
  private @Nullable WaitEnded waitEnded(ConversationRow row, Instant at) {
    return row.state()
        .waitingSince()
        .map(since ->
            new WaitEnded(
                books.workingSeconds(row, since, at),
                !entries.existsAnswerSince(row.id(), row.openedAt())))
        .orElse(null);
  }

  /** Adds a note. Adding it twice under one reference adds it once. */
  @Transactional
  public void note(ConversationId id, String words, String reference, StaffId by) {
    ConversationRow row = books.lock(id);
    if (!isKnown(row, words, reference)) {
      long entry =
          entries.insert(EntryRow.note(row.id(), books.now(), words, by.value(), reference));
      drafts.delete(by.value(), row.id(), Paper.NOTE);
      books.changed(row.id(), List.of(entry));
    }
  }

  /**
   * A reference names one entry for good: with other words, or elsewhere, it is not the same text
   * again.
   */
  private boolean isKnown(ConversationRow row, String words, String reference) {
    EntryRow known = entries.findByReference(reference);
    if (known != null && (known.conversationId() != row.id() || !words.equals(known.words()))) {
      throw Problem.conflict(
          Problem.Kind.SENT_WITH_OTHER_WORDS,
          "An earlier try did get through, with other words; the script shows them."
              + " These words are kept: send them again if they are still wanted.");
    }
    return known != null;
  }

  /** When the newest text the network told us of was received. */
  public Optional<Instant> findLastReceived() {
    return Optional.ofNullable(entries.findLastReceived());
  }

  /**
   * Reckons anew when answers are due, after hours or promises have changed.
   *
   * @return how many conversations are due at another time than before
   */
  @Transactional
  public int reckonDue() {
    int changed = 0;
    Map<Long, Set<Long>> topics = books.topicsOfAll();
    for (ConversationRow listed : conversations.listWaiting()) {
      if (isDueOtherwise(listed, topics.getOrDefault(listed.id(), Set.of()))) {
        ConversationRow row = books.lock(new ConversationId(listed.id()));
        if (isDueOtherwise(row, books.topicsOf(row.id()))) {
          books.save(row, row.state(), books.now());
          books.changed(row.id(), List.of());
          changed++;
        }
      }
    }
    return changed;
  }

  private boolean isDueOtherwise(ConversationRow row, Set<Long> topics) {
    return !Objects.equals(row.dueAt(), books.due(new LineId(row.lineId()), row.state(), topics));
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
