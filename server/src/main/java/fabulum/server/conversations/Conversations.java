package fabulum.server.conversations;

import fabulum.core.conversation.ConversationState;
import fabulum.core.conversation.Group;
import fabulum.core.parts.PartCounter;
import fabulum.core.phone.Sender;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.conversations.store.ConversationRow;
import fabulum.server.conversations.store.DraftMapper;
import fabulum.server.conversations.store.EntryMapper;
import fabulum.server.conversations.store.EntryRow;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.people.StaffId;
import fabulum.server.platform.Problem;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What happens to conversations. Every change locks the conversation, so that two at once follow
 * each other.
 */
@Service
public class Conversations {
  private static final Duration A_LIFETIME = Duration.ofDays(36_500);

  private final ConversationMapper conversations;
  private final EntryMapper entries;
  private final DraftMapper drafts;
  private final Customers customers;
  private final Lines lines;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Conversations(
      ConversationMapper conversations,
      EntryMapper entries,
      DraftMapper drafts,
      Customers customers,
      Lines lines,
      ApplicationEventPublisher events,
      Clock clock) {
    this.conversations = conversations;
    this.entries = entries;
    this.drafts = drafts;
    this.customers = customers;
    this.lines = lines;
    this.events = events;
    this.clock = clock;
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
    EntryRow entry = EntryRow.received(id, text.at(), text.words(), text.networkId());
    long entryId = entries.insert(entry);
    known.ifPresent(row -> save(row, state(row).customerWrote(text.at())));
    // A text that comes late stands where it belongs, and does not pass for the last one.
    if (known.isEmpty() || !text.at().isBefore(known.get().lastAt())) {
      conversations.setLast(
          id, text.at(), ConversationRow.beginning(text.words()), SpokeLast.CUSTOMER);
    }
    changed(id, entryId);
    return true;
  }

  private long begin(ReceivedText text, NumberId number) {
    Optional<CustomerId> customer = customers.onlyHolder(number);
    ConversationState state = ConversationState.begunByCustomer(text.at());
    Instant due = due(text.line(), state);
    return conversations.insert(
        text.line().value(),
        number.value(),
        customer.map(CustomerId::value).orElse(null),
        state.group(),
        state.turn(),
        state.since(),
        due,
        sortAt(state, due),
        customer.isEmpty() && text.from().answerable().isPresent(),
        text.at(),
        ConversationRow.beginning(text.words()),
        SpokeLast.CUSTOMER);
  }

  /** The line and the other side of a conversation. */
  public Ends ends(ConversationId id) {
    return ends(row(id));
  }

  private static Ends ends(ConversationRow row) {
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
    ConversationRow row = lock(id);
    if (isKnown(row, words, reference)) {
      return Optional.empty();
    }
    Instant at = clock.instant();
    List<Long> touched = new ArrayList<>();
    if (row.ownerId() == null) {
      conversations.setOwner(row.id(), by.value());
      touched.add(entries.insert(EntryRow.event(row.id(), at, EventKind.TAKEN, by.value())));
    }
    int parts = PartCounter.count(words).count();
    long entry = entries.insert(EntryRow.answer(row.id(), at, words, by.value(), reference, parts));
    touched.add(entry);
    save(row, state(row).personAnswered(at));
    conversations.setLast(row.id(), at, ConversationRow.beginning(words), SpokeLast.US);
    conversations.setFailed(row.id(), false);
    drafts.delete(by.value(), row.id(), Paper.REPLY);
    changed(row.id(), touched);
    return Optional.of(new EntryId(entry));
  }

  /** Adds a note. Adding it twice under one reference adds it once. */
  @Transactional
  public void note(ConversationId id, String words, String reference, StaffId by) {
    ConversationRow row = lock(id);
    if (!isKnown(row, words, reference)) {
      long entry =
          entries.insert(EntryRow.note(row.id(), clock.instant(), words, by.value(), reference));
      drafts.delete(by.value(), row.id(), Paper.NOTE);
      changed(row.id(), entry);
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

  /** Makes it the colleague's own. */
  @Transactional
  public void take(ConversationId id, StaffId by) {
    ConversationRow row = lock(id);
    if (row.ownerId() == null || row.ownerId() != by.value()) {
      conversations.setOwner(row.id(), by.value());
      happened(row, EventKind.TAKEN, by);
    }
  }

  /** Back to nobody. */
  @Transactional
  public void letGo(ConversationId id, StaffId by) {
    ConversationRow row = lock(id);
    if (row.ownerId() != null) {
      conversations.setOwner(row.id(), null);
      happened(row, EventKind.LET_GO, by);
    }
  }

  /** Finishes it. */
  @Transactional
  public void finish(ConversationId id, StaffId by) {
    ConversationRow row = lock(id);
    ConversationState before = state(row);
    ConversationState after = before.finished(clock.instant());
    if (!after.equals(before)) {
      save(row, after);
      happened(row, after.finishedUnanswered() ? EventKind.DONE_UNANSWERED : EventKind.DONE, by);
    }
  }

  /** Opens it again. */
  @Transactional
  public void reopen(ConversationId id, StaffId by) {
    ConversationRow row = lock(id);
    ConversationState before = state(row);
    ConversationState after = before.reopened(clock.instant());
    if (!after.equals(before)) {
      save(row, after);
      happened(row, EventKind.REOPENED, by);
    }
  }

  /** When the newest text the network told us of was received. */
  public Optional<Instant> findLastReceived() {
    return Optional.ofNullable(entries.findLastReceived());
  }

  private ConversationRow row(ConversationId id) {
    return conversations.find(id.value()).orElseThrow(() -> Problem.notFound("conversation"));
  }

  /**
   * Holds the row first and reads it then: read in one go, it could be as it was before the wait.
   */
  private ConversationRow lock(ConversationId id) {
    return conversations
        .lock(id.value())
        .flatMap(conversations::find)
        .orElseThrow(() -> Problem.notFound("conversation"));
  }

  private static ConversationState state(ConversationRow row) {
    return new ConversationState(
        row.turn(), row.box() == Group.DONE, row.since(), row.finishedUnanswered());
  }

  private void save(ConversationRow row, ConversationState state) {
    Instant due = due(new LineId(row.lineId()), state);
    conversations.setState(
        row.id(),
        state.group(),
        state.turn(),
        state.since(),
        state.finishedUnanswered(),
        due,
        sortAt(state, due));
  }

  private @Nullable Instant due(LineId line, ConversationState state) {
    return state.waitingSince().flatMap(since -> lines.promise(line).due(since)).orElse(null);
  }

  /**
   * Its place in the group: by what is due on our turn, and last there where nothing ever is; else
   * by since when it stands so.
   */
  private static Instant sortAt(ConversationState state, @Nullable Instant due) {
    Instant never = state.since().plus(A_LIFETIME);
    return state.waitingSince().isEmpty() ? state.since() : due == null ? never : due;
  }

  /**
   * Reckons anew when answers are due, after hours or promises have changed.
   *
   * @return how many conversations are due at another time than before
   */
  @Transactional
  public int reckonDue() {
    int changed = 0;
    for (ConversationRow listed : conversations.listWaiting()) {
      ConversationRow row = lock(new ConversationId(listed.id()));
      if (!Objects.equals(row.dueAt(), due(new LineId(row.lineId()), state(row)))) {
        save(row, state(row));
        changed(row.id(), List.of());
        changed++;
      }
    }
    return changed;
  }

  private void happened(ConversationRow row, EventKind event, StaffId by) {
    changed(row.id(), entries.insert(EntryRow.event(row.id(), clock.instant(), event, by.value())));
  }

  private void changed(long conversation, long entry) {
    changed(conversation, List.of(entry));
  }

  private void changed(long conversation, List<Long> touched) {
    conversations.nextVersion(conversation);
    events.publishEvent(ConversationChanged.of(conversation, touched));
  }
}
