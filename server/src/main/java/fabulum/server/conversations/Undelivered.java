package fabulum.server.conversations;

import fabulum.core.conversation.ConversationState;
import fabulum.core.delivery.Failure;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.conversations.store.EntryMapper;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * Texts of ours that were not delivered. Until someone has dealt with each of them it is our turn:
 * by sending it again, by sending it to another number, or by leaving it so. To be used within a
 * transaction that holds the conversation.
 */
@Component
public class Undelivered {
  private final ConversationMapper conversations;
  private final EntryMapper entries;
  private final Bookkeeping books;

  Undelivered(ConversationMapper conversations, EntryMapper entries, Bookkeeping books) {
    this.conversations = conversations;
    this.entries = entries;
    this.books = books;
  }

  /** A text was not delivered, and needs a hand. */
  public void mark(Conversation row, Entry text, Failure failure, String reason) {
    entries.setWaitedSince(text.id(), failure.waiting());
    entries.setNeedsHand(text.id(), true);
    conversations.setFailed(row.id(), true, reason);
    books.save(row, row.state().notDelivered(failure.waiting()), books.now());
  }

  /** The ids of those of a conversation that nobody has dealt with. */
  Set<Long> of(Conversation row) {
    return listOf(row).stream().map(Entry::id).collect(Collectors.toSet());
  }

  /** What a page shows of a conversation now. */
  public Shown shown(Conversation row) {
    return new Shown(entries.getLastId(row.id()), of(row));
  }

  /** Those of a conversation that nobody has dealt with; the newest first. */
  public List<Entry> listOf(Conversation row) {
    return row.failed() ? entries.listNeedingHand(row.id()) : List.of();
  }

  /** Someone has dealt with all of them. The answer is which they were. */
  Set<Long> settleAll(Conversation row) {
    Set<Long> all = of(row);
    settle(row, all);
    return all;
  }

  private void settle(Conversation row, Collection<Long> which) {
    if (which.isEmpty()) {
      return;
    }
    which.forEach(id -> entries.setNeedsHand(id, false));
    List<Entry> left = entries.listNeedingHand(row.id());
    conversations.setFailed(
        row.id(), !left.isEmpty(), left.isEmpty() ? null : left.get(0).failureReason());
  }

  /** Someone has dealt with one of them. The answer is how the conversation then stands. */
  public ConversationState settle(Conversation row, long text) {
    settle(row, Set.of(text));
    Stream<Instant> unanswered = Stream.ofNullable(entries.findFirstUnanswered(row.id()));
    Optional<Instant> left = Stream.concat(unanswered, waits(row)).min(Comparator.naturalOrder());
    return row.state().dealtWith(left, books.now());
  }

  private Stream<Instant> waits(Conversation row) {
    return listOf(row).stream().map(Entry::answeredSince).filter(Objects::nonNull);
  }

  /**
   * How a conversation stands after a person's answer: their turn, unless there are texts that were
   * not delivered and that the answer does not replace.
   *
   * @param again the text that was not delivered and is sent again with this answer; 0 for none
   */
  public ConversationState answered(Conversation row, Instant at, long again) {
    if (again != 0) {
      settle(row, Set.of(again));
    }
    ConversationState answered = row.state().personAnswered(at);
    return waits(row).min(Comparator.naturalOrder()).map(answered::notDelivered).orElse(answered);
  }

  /** Lets exactly these need a hand. */
  public void restore(Conversation row, Set<Long> needing) {
    Set<Long> now = of(row);
    now.stream().filter(id -> !needing.contains(id)).forEach(id -> entries.setNeedsHand(id, false));
    needing.stream().filter(id -> !now.contains(id)).forEach(id -> entries.setNeedsHand(id, true));
    List<Entry> left = needing.isEmpty() ? List.of() : entries.listNeedingHand(row.id());
    conversations.setFailed(
        row.id(), !left.isEmpty(), left.isEmpty() ? null : left.get(0).failureReason());
  }
}
