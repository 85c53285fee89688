package fabulum.server.messaging;

import fabulum.core.sending.Author;
import fabulum.core.sending.Author.Lane;
import fabulum.server.access.StaffId;
import fabulum.server.attachments.Attachment;
import fabulum.server.attachments.Attachments;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.Leaving;
import fabulum.server.conversations.Said;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import fabulum.server.messaging.Saying.Ends;
import fabulum.server.messaging.store.OutboxMapper;
import fabulum.server.sending.Decisions;
import fabulum.server.sending.Decisions.Decided;
import fabulum.server.writing.SecondLooks;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/**
 * Puts a text that may go into its script and into the outbox. To be used within the transaction
 * that decided about it.
 */
@Component
class Posting {
  private final Saying saying;
  private final Decisions decisions;
  private final Bookkeeping books;
  private final OutboxMapper outbox;
  private final SecondLooks looks;
  private final Attachments attachments;
  private final ApplicationEventPublisher events;

  Posting(
      Saying saying,
      Decisions decisions,
      Bookkeeping books,
      OutboxMapper outbox,
      SecondLooks looks,
      Attachments attachments,
      ApplicationEventPublisher events) {
    this.saying = saying;
    this.decisions = decisions;
    this.books = books;
    this.outbox = outbox;
    this.looks = looks;
    this.attachments = attachments;
    this.events = events;
  }

  /** Whether texts of an author wait for a colleague's yes before they are posted. */
  boolean waitsForLook(Author author) {
    return author.waitsForLook() && looks.isNeeded(new StaffId(author.writer().orElseThrow()));
  }

  /** What is to go with a text; refused when some of it is not there any more. */
  List<Attachment> listToSend(Ends ends, Said said) {
    return ends.conversation().isEmpty() || said.author().writer().isEmpty()
        ? List.of()
        : attachments.listToSend(
            ends.conversation().get().id(),
            writer(said.author()),
            said.attachments(),
            said.again());
  }

  /** What of these is there to go with a text that is being written. */
  List<Attachment> listThere(ConversationId id, Author author, List<Long> wanted) {
    return wanted.isEmpty() || author.writer().isEmpty()
        ? List.of()
        : attachments.listThere(id.value(), writer(author), wanted);
  }

  private static StaffId writer(Author author) {
    return new StaffId(author.writer().orElseThrow());
  }

  /** Lets a text wait for a colleague's yes. */
  void askForLook(ConversationId id, Said said) {
    looks.ask(id, said, new StaffId(said.author().writer().orElseThrow()));
  }

  /**
   * Posts a text.
   *
   * @param at not to go before
   * @return the new entry; empty when a text with this reference is here already
   */
  Optional<EntryId> post(ConversationId id, Said said, Decided decided, Instant at) {
    Leaving leaving =
        new Leaving(
            decided.content().leaving(),
            decided.decision().parts(),
            at,
            decided.cost(),
            decided.numbers());
    Optional<EntryId> entry = saying.say(id, said, leaving);
    entry.ifPresent(text -> {
      Author author = said.author();
      putIntoOutbox(text, id, author, at);
      Conversation row = books.row(id);
      List<NumberId> to = row.isGroup() ? decided.numbers() : List.of(new NumberId(row.numberId()));
      decisions.goes(decided, author, new LineId(row.lineId()), to, text);
      events.publishEvent(new OutboxFilled(text));
      if (author.isAnswering()) {
        StaffId by = new StaffId(author.writer().orElseThrow());
        events.publishEvent(new AnswerSent(text, id, by, said.words(), said.template()));
      }
    });
    return entry;
  }

  private void putIntoOutbox(EntryId text, ConversationId id, Author author, Instant at) {
    Lane lane = author.effect().lane();
    outbox.insert(text.value(), id.value(), lane, at, author.isOwedToOptedOut());
    if (lane == Lane.SINGLE) {
      // Texts of one conversation go in order, so earlier ones must not wait in the other lane.
      outbox.moveUp(id.value());
    }
  }
}
