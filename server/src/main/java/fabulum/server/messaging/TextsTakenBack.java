package fabulum.server.messaging;

import fabulum.core.sending.Author;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.InSight;
import fabulum.server.lines.LineId;
import fabulum.server.messaging.store.OutboxMapper;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.RaceRetry;
import fabulum.server.sending.Decisions;
import fabulum.server.undo.Undo;
import fabulum.server.writing.Draft;
import fabulum.server.writing.Drafts;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes texts back before they leave. */
@Service
public class TextsTakenBack {
  private final Bookkeeping books;
  private final InSight inSight;
  private final OutboxMapper outbox;
  private final Undo undo;
  private final Decisions decisions;
  private final Drafts drafts;
  private final TransactionTemplate transactions;

  TextsTakenBack(
      Bookkeeping books,
      InSight inSight,
      OutboxMapper outbox,
      Undo undo,
      Decisions decisions,
      Drafts drafts,
      TransactionTemplate transactions) {
    this.books = books;
    this.inSight = inSight;
    this.outbox = outbox;
    this.undo = undo;
    this.decisions = decisions;
    this.drafts = drafts;
    this.transactions = transactions;
  }

  /**
   * A text that was taken back.
   *
   * @param words as its writer typed them; they are kept as a draft, above what they have written
   *     since
   */
  public record TakenBack(ConversationId conversation, String words) {}

  /**
   * Takes back a text of the writer's own that has not left: everything is as if it had not been
   * sent, and its words are a draft again. Its script tells that a text was taken back, but not
   * what it said.
   *
   * @throws Problem when it is not there, or is on its way or has left; nothing was changed then
   */
  public TakenBack takeBack(EntryId id, StaffId by) {
    return RaceRetry.run(
        () -> Objects.requireNonNull(transactions.execute(status -> takeBackNow(id, by))));
  }

  private TakenBack takeBackNow(EntryId id, StaffId by) {
    Entry sent = find(id, by).orElseThrow(() -> Problem.notFound("text"));
    ConversationId conversation = new ConversationId(sent.conversationId());
    LineId line = new LineId(books.row(conversation).lineId());
    decisions.hold(new Author.Person(by.value()), line);
    Conversation row = inSight.lockForUndo(conversation, by);
    Entry text = find(id, by).orElseThrow(() -> Problem.notFound("text"));
    if (outbox.deleteUntried(id.value()) == 0) {
      throw Problem.conflict(
          Kind.TOO_LATE, "The text is on its way already, so it cannot be taken back.");
    }
    int parts = text.parts() == null ? 0 : text.parts();
    decisions.staysHere(Optional.of(by), line, id, text.at(), parts);
    books.takeBack(row, text);
    if (!undo.unsay(TakeBackSteps.name(id), by).contains(conversation)) {
      waitAgain(row, text);
    }
    drafts.giveBack(conversation, Draft.of(text), by);
    return new TakenBack(conversation, text.typedWords());
  }

  private Optional<Entry> find(EntryId id, StaffId by) {
    return books
        .findEntry(id.value())
        .filter(entry -> entry.kind() == EntryKind.OUT)
        .filter(entry -> Objects.equals(entry.speakerId(), by.value()));
  }

  /** It has waited for so long that how it all stood before is not kept any more. */
  private void waitAgain(Conversation row, Entry text) {
    if (text.answeredSince() != null) {
      books.save(row, row.state().answerTakenBack(text.answeredSince()), books.now());
    }
    books.changed(row.id(), List.of(text.id()));
  }
}
