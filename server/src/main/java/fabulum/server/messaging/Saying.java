package fabulum.server.messaging;

import fabulum.core.conversation.ConversationState;
import fabulum.core.phone.Sender;
import fabulum.core.sending.Author;
import fabulum.core.sending.Author.Effect;
import fabulum.core.sending.SendQuestion.Sent;
import fabulum.server.access.StaffId;
import fabulum.server.attachments.Attachments;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.Entry.WaitEnded;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.Leaving;
import fabulum.server.conversations.Said;
import fabulum.server.conversations.SpokeLast;
import fabulum.server.conversations.Undelivered;
import fabulum.server.conversations.UndoStep.Snapshot;
import fabulum.server.lines.LineId;
import fabulum.server.messaging.store.TextMapper;
import fabulum.server.people.People;
import fabulum.server.writing.Drafts;
import fabulum.server.writing.Paper;
import fabulum.server.writing.References;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Writes texts of ours into scripts. What a text does to its conversation depends on its author,
 * and is three steps: it is appended, it ends the wait, it changes the owner. To be used in the
 * transaction that also puts the text into the outbox.
 */
@Component
class Saying {
  private final TextMapper texts;
  private final Drafts drafts;
  private final Bookkeeping books;
  private final Undelivered undelivered;
  private final InSight inSight;
  private final References references;
  private final People people;
  private final TakeBackSteps takeBacks;
  private final Attachments attachments;

  Saying(
      TextMapper texts,
      Drafts drafts,
      Bookkeeping books,
      Undelivered undelivered,
      InSight inSight,
      References references,
      People people,
      TakeBackSteps takeBacks,
      Attachments attachments) {
    this.attachments = attachments;
    this.texts = texts;
    this.drafts = drafts;
    this.books = books;
    this.undelivered = undelivered;
    this.inSight = inSight;
    this.references = references;
    this.people = people;
    this.takeBacks = takeBacks;
  }

  /** A line and the other side, and the conversation they have, if any. */
  record Ends(LineId line, Sender other, Optional<Conversation> conversation) {}

  /** The line and the other side of a conversation, as far as the author sees it. */
  Ends ends(ConversationId id, Author author) {
    return ends(writer(author).map(by -> inSight.row(id, by)).orElseGet(() -> books.row(id)));
  }

  /** The same, with the conversation held until the end of the transaction. */
  Ends heldEnds(ConversationId id, Author author) {
    return ends(hold(id, writer(author)));
  }

  private static Ends ends(Conversation row) {
    return new Ends(new LineId(row.lineId()), Sender.ofAddress(row.address()), Optional.of(row));
  }

  /** A colleague's answer that the writer has not seen. */
  Optional<Sent> answered(Ends ends, @Nullable Long seen, Author author) {
    return ends.conversation()
        .flatMap(row -> writer(author).flatMap(by -> references.findAnswer(row, seen, by)));
  }

  private static Optional<StaffId> writer(Author author) {
    return author.writer().isPresent()
        ? Optional.of(new StaffId(author.writer().getAsLong()))
        : Optional.empty();
  }

  /** Whether a text with this reference is here already, so that nothing more is to be decided. */
  boolean isSaid(Ends ends, Said said) {
    return ends.conversation().filter(row -> references.isKnown(row, said)).isPresent();
  }

  /**
   * Writes a text into the script, waiting to be sent.
   *
   * @return the new entry, or empty when a text with this reference is already here
   */
  Optional<EntryId> say(ConversationId id, Said said, Leaving leaving) {
    Optional<StaffId> writer = writer(said.author());
    Optional<Entry> lost = lost(said);
    Optional<Conversation> elsewhere =
        lost.filter(text -> text.conversationId() != id.value())
            .map(text -> hold(new ConversationId(text.conversationId()), writer));
    Conversation row = hold(id, writer);
    if (references.isKnown(row, said)) {
      return Optional.empty();
    }
    writer.ifPresent(by -> references.requireNobodyAnswered(row, said.seen(), by));
    long again = lost.filter(Entry::needsHand).map(Entry::id).orElse(0L);
    long here = elsewhere.isEmpty() ? again : 0;
    Instant at = books.now();
    Effect effect = said.author().effect();
    List<Long> touched = new ArrayList<>();
    boolean pauses = writer.isPresent() && leaving.at().isAfter(at);
    Optional<Snapshot> before = pauses ? Optional.of(takeBacks.before(row)) : Optional.empty();
    if (effect.takesOwnership()) {
      writer.filter(by -> inSight.isTheirs(row, by)).ifPresent(by -> touched.addAll(own(row, by)));
    }
    long entry = append(row, said, leaving, at);
    touched.add(entry);
    if (here != 0) {
      touched.add(here);
    }
    books.save(row, after(row, effect, here, at), at);
    writer
        .filter(by -> said.author().leavesPaper())
        .ifPresent(by -> {
          drafts.discard(id, Paper.REPLY, by);
          people.answered(by, at);
        });
    books.changed(row.id(), touched);
    before.ifPresent(had -> takeBacks.keep(row, writer.orElseThrow(), new EntryId(entry), had));
    elsewhere
        .filter(other -> again != 0)
        .ifPresent(other -> {
          Optional<Snapshot> there =
              pauses ? Optional.of(takeBacks.before(other)) : Optional.empty();
          sentElsewhere(other, again, row, writer.orElse(null));
          there.ifPresent(
              had -> takeBacks.keep(other, writer.orElseThrow(), new EntryId(entry), had));
        });
    return Optional.of(new EntryId(entry));
  }

  private Conversation hold(ConversationId id, Optional<StaffId> writer) {
    return writer.map(by -> inSight.lockToAnswer(id, by)).orElseGet(() -> books.lock(id));
  }

  /** The text that was not delivered and is sent again with this one. */
  private Optional<Entry> lost(Said said) {
    return Optional.ofNullable(said.again())
        .flatMap(books::findEntry)
        .filter(text -> text.kind() == EntryKind.OUT);
  }

  private long append(Conversation row, Said said, Leaving leaving, Instant at) {
    WaitEnded wait = said.author().effect().endsWait() ? waitEnded(row, at) : null;
    long entry =
        books.appendText(row, Entry.said(row.id(), at, said, leaving, wait), leaving.numbers());
    writer(said.author())
        .ifPresent(by -> attachments.goWith(row.id(), entry, by, said.attachments(), said.again()));
    books.setLast(row, at, books.said(said.words(), entry), SpokeLast.US);
    return entry;
  }

  /** The wait that an answer ends, if the customer waits. */
  private @Nullable WaitEnded waitEnded(Conversation row, Instant at) {
    return row.state()
        .waitingSince()
        .map(since ->
            new WaitEnded(
                since,
                books.workingSeconds(row, since, at),
                books.promise(row).within().toSeconds(),
                !texts.existsAnswerSince(row.id(), row.openedAt())))
        .orElse(null);
  }

  private ConversationState after(Conversation row, Effect effect, long again, Instant at) {
    if (!effect.endsWait()) {
      return row.state().automaticallyAnswered();
    }
    books.setHanded(row, null);
    return undelivered.answered(row, at, again);
  }

  /** What was nobody's becomes the writer's; what was not open is begun by them. */
  private List<Long> own(Conversation row, StaffId by) {
    if (!row.state().isOpen()) {
      books.setStartedBy(row, by.value());
    }
    if (row.ownerId() != null) {
      return List.of();
    }
    books.setOwner(row, by.value());
    return List.of(books.event(row, EventKind.TAKEN, by, null));
  }

  /** What was not delivered in one conversation was sent again in another, to another number. */
  private void sentElsewhere(
      Conversation other, long text, Conversation where, @Nullable StaffId by) {
    books.save(other, undelivered.settle(other, text), books.now());
    long event = books.event(other, EventKind.SENT_AGAIN, by, where.address());
    books.changed(other.id(), List.of(text, event));
  }
}
