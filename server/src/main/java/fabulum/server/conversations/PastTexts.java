package fabulum.server.conversations;

import fabulum.core.arrival.Arrival;
import fabulum.core.conversation.ConversationState;
import fabulum.core.conversation.Group;
import fabulum.core.conversation.Participants;
import fabulum.core.phone.Sender;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.conversations.store.EntryMapper;
import fabulum.server.conversations.store.PastTextMapper;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Texts of the time before Fabulum: they stand in scripts where they belong, and nobody waits for
 * an answer to them or is told of them.
 */
@Service
public class PastTexts {
  /** Two programs may tell the time of the same text so differently. */
  private static final Duration SAME = Duration.ofSeconds(90);

  private final PastTextMapper past;
  private final ConversationMapper conversations;
  private final EntryMapper entries;
  private final Conversations all;
  private final Customers customers;
  private final Bookkeeping books;

  PastTexts(
      PastTextMapper past,
      ConversationMapper conversations,
      EntryMapper entries,
      Conversations all,
      Customers customers,
      Bookkeeping books) {
    this.past = past;
    this.conversations = conversations;
    this.entries = entries;
    this.all = all;
    this.customers = customers;
    this.books = books;
  }

  /**
   * A text of the time before.
   *
   * @param in whether it was received
   * @param author who wrote it, of a text of ours; null where that is not known
   * @param authorName their name, where they are nobody on the staff; null for none
   * @param outsideId how the other program names it; null for nothing
   */
  public record Past(
      LineId line,
      Sender other,
      Instant at,
      boolean in,
      String words,
      @Nullable StaffId author,
      @Nullable String authorName,
      @Nullable String outsideId) {

    /** The same for the same text, however often it is told. */
    public String mark() {
      String told =
          outsideId == null
              ? "at " + at.toEpochMilli() + " " + in + " " + words
              : "id " + outsideId;
      String whole = line.value() + " " + other.address() + " " + told;
      try {
        byte[] digest =
            MessageDigest.getInstance("SHA-256").digest(whole.getBytes(StandardCharsets.UTF_8));
        return HexFormat.of().formatHex(digest);
      } catch (NoSuchAlgorithmException impossible) {
        throw new IllegalStateException("Every Java has SHA-256", impossible);
      }
    }

    private EntryKind kind() {
      return in ? EntryKind.IN : EntryKind.OUT;
    }
  }

  /** Whether a text is here: out of a file, or because the network told it. */
  public boolean isHere(Past text) {
    return past.exists(text.mark())
        || past.existsLike(
            text.line().value(),
            text.other().address(),
            text.kind(),
            text.at().minus(SAME),
            text.at().plus(SAME),
            text.words());
  }

  /**
   * Adds those that are not here, within a transaction.
   *
   * @param act by which they are taken back
   * @return how many
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public int add(List<Past> texts, long act) {
    Set<Long> changed = new HashSet<>();
    int added = 0;
    for (Past text : texts) {
      if (!isHere(text)) {
        changed.add(add(text, act));
        added++;
      }
    }
    changed.forEach(books::scriptChanged);
    return added;
  }

  private long add(Past text, long act) {
    NumberId number = customers.numberOf(text.other());
    if (text.in()) {
      customers.wroteBefore(number, text.at());
    }
    Participants others = Participants.of(text.other());
    Optional<Conversation> known = all.find(text.line(), others);
    long id =
        known
            .map(Conversation::id)
            .orElseGet(
                () -> all.begin(text.line(), others, ConversationState.begunByHistory(text.at())));
    long entry = entries.insert(entry(id, number, text));
    past.insert(entry, act, text.mark(), text.authorName());
    if (text.in()) {
      conversations.setHeard(id, text.at());
    }
    boolean last =
        known.isEmpty() || isBlank(known.get()) || !text.at().isBefore(known.get().lastAt());
    if (last) {
      known
          .filter(PastTexts::isBlank)
          .ifPresent(
              row -> books.save(row, ConversationState.begunByHistory(text.at()), text.at()));
      SpokeLast by = text.in() ? SpokeLast.CUSTOMER : SpokeLast.US;
      conversations.setLast(id, text.at(), Conversation.beginning(text.words()), by);
    }
    return id;
  }

  private static boolean isBlank(Conversation row) {
    return row.state().group() == Group.BLANK;
  }

  private static Entry entry(long conversation, NumberId number, Past text) {
    if (!text.in()) {
      return Entry.sentBefore(conversation, text.at(), text.words(), text.author());
    }
    Arrival when = new Arrival(text.at(), Optional.empty(), Optional.empty(), true);
    return Entry.received(
        conversation,
        number,
        ReceivedText.of("past " + text.mark(), text.line(), text.other(), text.words(), when),
        Optional.empty());
  }

  /**
   * Takes some back, within a transaction. A conversation in which nothing is left is in no list.
   *
   * @return how many; 0 when there are no more
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public int takeBack(long act, int most) {
    List<Long> ids = past.listOf(act, most);
    if (ids.isEmpty()) {
      return 0;
    }
    Set<Long> changed = new HashSet<>();
    entries.listByIds(ids).forEach(entry -> changed.add(entry.conversationId()));
    changed.stream().sorted().forEach(id -> books.lock(new ConversationId(id)));
    past.delete(ids);
    past.deleteEntries(ids);
    changed.forEach(this::settle);
    return ids.size();
  }

  private void settle(long id) {
    Conversation row = books.row(new ConversationId(id));
    entries
        .findLastSaid(id)
        .ifPresentOrElse(
            last ->
                books.setLast(
                    row,
                    last.at(),
                    String.valueOf(last.words()),
                    last.kind() == EntryKind.IN ? SpokeLast.CUSTOMER : SpokeLast.US),
            () -> {
              if (row.state().group() == Group.DONE) {
                books.save(row, ConversationState.blank(row.lastAt()), row.lastAt());
              }
            });
    past.setHeardAgain(id);
    past.setFirstWroteAgain(row.numberId());
    books.scriptChanged(id);
  }
}
