package fabulum.server.messaging;

import fabulum.core.access.Act;
import fabulum.core.delivery.ClientReference;
import fabulum.core.sending.Author;
import fabulum.core.sending.Reason;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.attachments.AttachmentView;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.Said;
import fabulum.server.messaging.Messaging.Look;
import fabulum.server.messaging.Messaging.Result;
import fabulum.server.ownership.Eligible;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.RaceRetry;
import fabulum.server.sending.Wanted;
import fabulum.server.writing.SecondLook;
import fabulum.server.writing.SecondLooks;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.TransactionTemplate;

/** Sends texts that waited for a second look, once a colleague has said yes. */
@Service
public class Approving {
  private final SecondLooks looks;
  private final Messaging messaging;
  private final InSight inSight;
  private final Eligible eligible;
  private final Permits permits;
  private final People people;
  private final TransactionTemplate transactions;

  Approving(
      SecondLooks looks,
      Messaging messaging,
      InSight inSight,
      Eligible eligible,
      Permits permits,
      People people,
      TransactionTemplate transactions) {
    this.looks = looks;
    this.messaging = messaging;
    this.inSight = inSight;
    this.eligible = eligible;
    this.permits = permits;
    this.people = people;
    this.transactions = transactions;
  }

  /**
   * A colleague's yes.
   *
   * @param words as the colleague leaves them
   * @param seen the newest entry that the colleague saw; null for whatever stands there
   * @param confirmed what the colleague knows to speak against the text
   */
  public record Approval(String words, @Nullable Long seen, Set<Reason> confirmed) {
    public Approval {
      confirmed = Set.copyOf(confirmed);
    }
  }

  /**
   * Sends a text in its writer's name, at once: looking at it was the pause. Of two colleagues who
   * approve, only the first sends it.
   *
   * @throws Problem when it does not wait any more, or its writer may not text this customer now
   */
  public Result approve(long id, Approval approval, StaffId by) {
    return RaceRetry.run(() ->
        Objects.requireNonNull(transactions.execute(status -> approve(id, approval, by, status))));
  }

  private Result approve(long id, Approval approval, StaffId by, TransactionStatus transaction) {
    SecondLook look = looks.get(id, by);
    looks.requireMayLook(look, by);
    requireWriterMay(look, by);
    List<Long> attached = attached(look);
    looks.end(look);
    Recipient to = Recipient.in(new ConversationId(look.conversation()));
    Result result = messaging.send(to, said(look, approval, attached, by));
    if (result.text().isPresent()) {
      looks.approved(look, !approval.words().equals(look.words()), by);
    } else {
      // It may not go, so it waits on.
      transaction.setRollbackOnly();
    }
    return result;
  }

  private List<Long> attached(SecondLook look) {
    return looks.attachmentsOf(List.of(look)).getOrDefault(look.id(), List.of()).stream()
        .map(AttachmentView::id)
        .toList();
  }

  private static Said said(SecondLook look, Approval approval, List<Long> attached, StaffId by) {
    return new Said(
        approval.words(),
        new Author.Approved(look.staff(), by.value()),
        new ClientReference(look.reference()),
        approval.seen(),
        look.again(),
        null,
        approval.confirmed(),
        null,
        look.template(),
        attached);
  }

  private void requireWriterMay(SecondLook look, StaffId by) {
    StaffView writer = people.get(new StaffId(look.staff()));
    boolean may =
        writer.active()
            && permits.of(new StaffId(writer.id())).may(Act.TEXT)
            && eligible.sees(writer.id(), inSight.row(new ConversationId(look.conversation()), by));
    if (!may) {
      throw Problem.conflict(
          Kind.CHANGED_MEANWHILE,
          writer.name()
              + " may not text this customer any more. Nothing was sent: copy the words and answer"
              + " yourself, then return this one.");
    }
  }

  /** What speaks against a waiting text as a colleague has changed it, and how it would leave. */
  public Look look(long id, String words, @Nullable Long seen, StaffId by) {
    SecondLook look = looks.get(id, by);
    requireWriterMay(look, by);
    Author author = new Author.Approved(look.staff(), by.value());
    Wanted wanted = Wanted.of(words, author, look.reference());
    return messaging.look(new ConversationId(look.conversation()), wanted, attached(look), seen);
  }
}
