package fabulum.server.conversations;

import fabulum.core.conversation.ConversationState;
import fabulum.core.phone.Sender;
import fabulum.core.sending.Author;
import fabulum.core.sending.Author.Effect;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.conversations.store.ConversationRow;
import fabulum.server.conversations.store.DraftMapper;
import fabulum.server.conversations.store.EntryMapper;
import fabulum.server.conversations.store.EntryRow;
import fabulum.server.conversations.store.EntryRow.WaitEnded;
import fabulum.server.lines.LineId;
import fabulum.server.people.StaffId;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/**
 * Writes texts of ours into scripts. What a text does to its conversation depends on its author,
 * and is three steps: it is appended, it ends the wait, it changes the owner. To be used in the
 * transaction that also puts the text into the outbox.
 */
@Service
public class Saying {
  private final ConversationMapper conversations;
  private final EntryMapper entries;
  private final DraftMapper drafts;
  private final Bookkeeping books;
  private final Undelivered undelivered;
  private final InSight inSight;
  private final References references;

  Saying(
      ConversationMapper conversations,
      EntryMapper entries,
      DraftMapper drafts,
      Bookkeeping books,
      Undelivered undelivered,
      InSight inSight,
      References references) {
    this.conversations = conversations;
    this.entries = entries;
    this.drafts = drafts;
    this.books = books;
    this.undelivered = undelivered;
    this.inSight = inSight;
    this.references = references;
  }

  /** The line and the other side of a conversation. */
  public record Ends(LineId line, Sender other) {}

  /** The line and the other side of a conversation, as far as the author sees it. */
  public Ends ends(ConversationId id, Author author) {
    Optional<StaffId> writer = writer(author);
    ConversationRow row = writer.map(by -> inSight.row(id, by)).orElseGet(() -> books.row(id));
    return new Ends(new LineId(row.lineId()), Sender.ofAddress(row.address()));
  }

  private static Optional<StaffId> writer(Author author) {
    return author.writer().isPresent()
        ? Optional.of(new StaffId(author.writer().getAsLong()))
        : Optional.empty();
  }

  /**
   * Writes a text into the script, waiting to be sent.
   *
   * @return the new entry, or empty when a text with this reference is already here
   */
  public Optional<EntryId> say(ConversationId id, Said said) {
    Optional<StaffId> writer = writer(said.author());
    Optional<EntryRow> lost = lost(said);
    Optional<ConversationRow> elsewhere =
        lost.filter(text -> text.conversationId() != id.value())
            .map(text -> hold(new ConversationId(text.conversationId()), writer));
    ConversationRow row = hold(id, writer);
    if (references.isKnown(row, said.words(), said.reference())) {
      return Optional.empty();
    }
    writer.ifPresent(by -> references.requireNobodyAnswered(row, said.seen(), by));
    long again = lost.filter(EntryRow::needsHand).map(EntryRow::id).orElse(0L);
    long here = elsewhere.isEmpty() ? again : 0;
    Instant at = books.now();
    Effect effect = said.author().effect();
    List<Long> touched = new ArrayList<>();
    if (effect.takesOwnership()) {
      writer.ifPresent(by -> touched.addAll(own(row, by)));
    }
    long entry = append(row, said, at);
    touched.add(entry);
    if (here != 0) {
      touched.add(here);
    }
    books.save(row, after(row, effect, here, at), at);
    writer.ifPresent(by -> drafts.delete(by.value(), row.id(), Paper.REPLY));
    books.changed(row.id(), touched);
    elsewhere
        .filter(other -> again != 0)
        .ifPresent(other -> sentElsewhere(other, again, row, writer.orElse(null)));
    return Optional.of(new EntryId(entry));
  }

  private ConversationRow hold(ConversationId id, Optional<StaffId> writer) {
    return writer.map(by -> inSight.lock(id, by)).orElseGet(() -> books.lock(id));
  }

  /** The text that was not delivered and is sent again with this one. */
  private Optional<EntryRow> lost(Said said) {
    return Optional.ofNullable(said.again())
        .flatMap(id -> Optional.ofNullable(entries.find(id)))
        .filter(text -> text.kind() == EntryKind.OUT);
  }

  private long append(ConversationRow row, Said said, Instant at) {
    WaitEnded wait = said.author().effect().endsWait() ? waitEnded(row, at) : null;
    long entry = entries.insert(EntryRow.said(row.id(), at, said, wait));
    conversations.setLast(row.id(), at, ConversationRow.beginning(said.words()), SpokeLast.US);
    return entry;
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

  private ConversationState after(ConversationRow row, Effect effect, long again, Instant at) {
    if (!effect.endsWait()) {
      return row.state().automaticallyAnswered();
    }
    conversations.setHanded(row.id(), null);
    return undelivered.answered(row, at, again);
  }

  /** What was nobody's becomes the writer's; what was not open is begun by them. */
  private List<Long> own(ConversationRow row, StaffId by) {
    if (!row.state().isOpen()) {
      conversations.setStartedBy(row.id(), by.value());
    }
    if (row.ownerId() != null) {
      return List.of();
    }
    conversations.setOwner(row.id(), by.value());
    return List.of(books.event(row, EventKind.TAKEN, by, null));
  }

  /** What was not delivered in one conversation was sent again in another, to another number. */
  private void sentElsewhere(
      ConversationRow other, long text, ConversationRow where, @Nullable StaffId by) {
    books.save(other, undelivered.settle(other, text), books.now());
    long event = books.event(other, EventKind.SENT_AGAIN, by, where.address());
    books.changed(other.id(), List.of(text, event));
  }
}
