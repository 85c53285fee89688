package fabulum.server.conversations;

import fabulum.core.attachment.FileKind;
import fabulum.core.conversation.Back;
import fabulum.core.conversation.ConversationState;
import fabulum.core.conversation.Participants;
import fabulum.core.cost.Money;
import fabulum.server.attachments.Attachments;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.conversations.store.EntryMapper;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Which conversation something belongs to, and its beginning. Every change locks the conversation,
 * so that two at once follow each other.
 */
@Service
public class Conversations {
  private final ConversationMapper conversations;
  private final EntryMapper entries;
  private final Customers customers;
  private final Matching matching;
  private final Lines lines;
  private final Bookkeeping books;
  private final Attachments attachments;

  Conversations(
      ConversationMapper conversations,
      EntryMapper entries,
      Customers customers,
      Matching matching,
      Lines lines,
      Bookkeeping books,
      Attachments attachments) {
    this.attachments = attachments;
    this.conversations = conversations;
    this.entries = entries;
    this.customers = customers;
    this.matching = matching;
    this.lines = lines;
    this.books = books;
  }

  /**
   * A text that was taken in.
   *
   * @param newWait whether nobody had waited before it
   * @param touched the entries that this wrote into the script
   */
  public record Received(ConversationId id, boolean newWait, List<Long> touched) {}

  /**
   * Takes in a text from a customer, which is not here yet: adds it to the script and moves the
   * turn. To be used within a transaction, which then tells of the change.
   *
   * @param waits whether the customer waits for an answer to it
   * @param cost what it cost; empty where no price holds
   */
  public Received receive(ReceivedText text, boolean waits, Optional<Money> cost) {
    NumberId from = customers.numberOf(text.from());
    if (text.isFromNumber()) {
      customers.wrote(from, text.when().at());
    }
    Optional<Conversation> known = find(text.line(), text.participants());
    long id = known.map(Conversation::id).orElseGet(() -> begin(text, waits));
    List<Long> touched = new ArrayList<>();
    long entry = entries.insert(Entry.received(id, from, text, cost));
    attachments.announce(id, entry, text.media());
    touched.add(entry);
    Instant at = text.when().at();
    conversations.setHeard(id, at);
    // A text that comes late stands where it belongs, and does not pass for the last one.
    if (known.isEmpty() || !at.isBefore(known.get().lastAt())) {
      conversations.setLast(id, at, beginning(text), SpokeLast.CUSTOMER);
    }
    boolean newWait = known.map(row -> row.state().waitingSince().isEmpty()).orElse(true);
    if (waits) {
      known.ifPresent(row -> touched.addAll(customerWrote(row, at)));
    }
    return new Received(new ConversationId(id), newWait, touched);
  }

  private static String beginning(ReceivedText text) {
    List<FileKind> kinds = text.media().stream().map(one -> FileKind.of(one.type())).toList();
    return Conversation.beginning(text.words().isBlank() ? FileKind.said(kinds) : text.words());
  }

  private List<Long> customerWrote(Conversation row, Instant at) {
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

  /** The conversation that a line and others have, held until the end of the transaction. */
  public Optional<Conversation> find(LineId line, Participants others) {
    return lock(line, others).flatMap(conversations::find);
  }

  /** The groups of a line in which the first of some numbers takes part, the latest first. */
  public List<Participants> listGroups(LineId line, Participants others) {
    String address = others.members().get(0).address();
    return conversations.listGroups(line.value(), others.channel(), address).stream()
        .map(key -> Participants.ofKey(others.channel(), key))
        .toList();
  }

  /** The groups of all lines in which a number takes part. */
  public List<ConversationId> listGroupsOf(NumberId number) {
    return conversations.listGroupsOf(number.value()).stream().map(ConversationId::new).toList();
  }

  private Optional<Long> lock(LineId line, Participants others) {
    return conversations.lockByParticipants(line.value(), others.channel(), others.key());
  }

  private long begin(ReceivedText text, boolean waits) {
    return begin(
        text.line(),
        text.participants(),
        waits
            ? ConversationState.begunByCustomer(text.when().at())
            : ConversationState.begunByHistory(text.when().at()));
  }

  /** A group belongs to no single customer; it is to identify while one of its numbers is. */
  long begin(LineId line, Participants others, ConversationState state) {
    List<NumberId> numbers = others.members().stream().map(customers::numberOf).toList();
    boolean answerable = others.members().get(0).answerable().isPresent();
    long id =
        conversations.insert(
            line.value(),
            numbers.get(0).value(),
            others.channel(),
            others.key(),
            matching.of(numbers, 0, answerable),
            books.firstStanding(line, state),
            "",
            SpokeLast.US);
    numbers.forEach(number -> conversations.insertParticipant(id, number.value()));
    return id;
  }

  /**
   * The conversation of a line with these participants, made when there is none. A new one is in no
   * list until something is said in it. When two make the same at once, one fails and is tried
   * again.
   *
   * @throws Problem when the line does not allow so large a group
   */
  @Transactional
  public ConversationId open(LineId line, Participants others) {
    if (others.isGroup()) {
      requireFits(others, line);
    }
    return new ConversationId(
        lock(line, others)
            .orElseGet(() -> begin(line, others, ConversationState.blank(books.now()))));
  }

  /** Refuses a group that is larger than the line allows. */
  private void requireFits(Participants others, LineId line) {
    int limit = lines.get(line).groupLimit();
    if (!others.fits(limit)) {
      throw Problem.fields(
          List.of(
              new FieldProblem(
                  "numbers", "A group on this line has at most " + limit + " numbers.")));
    }
  }

  /**
   * Works out anew whose every conversation with a number is, in the transaction that decides it.
   */
  public void matchAgain(NumberId number) {
    matching.matchAgain(number, Map.of());
  }

  /** Holds it until the transaction ends; false when there is no such conversation. */
  public boolean hold(ConversationId id) {
    return conversations.lock(id.value()).isPresent();
  }
}
