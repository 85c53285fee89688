package fabulum.server.schedule;

import fabulum.core.delivery.ClientReference;
import fabulum.core.sending.Author;
import fabulum.core.sending.Objection;
import fabulum.core.sending.Reason;
import fabulum.server.access.StaffId;
import fabulum.server.attachments.Attachments;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Said;
import fabulum.server.messaging.Messaging;
import fabulum.server.messaging.Messaging.Result;
import fabulum.server.messaging.Recipient;
import fabulum.server.platform.RaceRetry;
import fabulum.server.schedule.store.PlannedMapper;
import fabulum.server.templates.Fills;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sends a planned text. That it goes and that it is over, or has its next date, is one transaction
 * with a version that only one can change: so it goes once, however many processes try, and also
 * when one of them dies.
 */
@Component
class PlanRun {
  private final PlannedMapper rows;
  private final PlanKeeping keeping;
  private final Messaging messaging;
  private final Attachments attachments;
  private final Bookkeeping books;
  private final Fills fills;
  private final TransactionTemplate transactions;

  PlanRun(
      PlannedMapper rows,
      PlanKeeping keeping,
      Messaging messaging,
      Attachments attachments,
      Bookkeeping books,
      Fills fills,
      TransactionTemplate transactions) {
    this.rows = rows;
    this.keeping = keeping;
    this.messaging = messaging;
    this.attachments = attachments;
    this.books = books;
    this.fills = fills;
    this.transactions = transactions;
  }

  /** What came of it. */
  sealed interface Outcome {
    /** It went, or waits for a colleague's yes. */
    record Went() implements Outcome {}

    /** Somebody else did something with it at the same time. */
    record Raced() implements Outcome {}

    /** The customer wrote before its time, and it was to go only if not. */
    record NotNeeded() implements Outcome {}

    /**
     * It may not go.
     *
     * @param why at least one
     */
    record Refused(List<Objection> why) implements Outcome {}
  }

  /**
   * Sends it now.
   *
   * @param as in whose name
   * @param confirmed what is known to speak against it
   * @param asked whether a person asked for it at this moment, whatever the customer wrote
   */
  Outcome go(Planned plan, StaffId as, Set<Reason> confirmed, boolean asked) {
    return RaceRetry.run(() ->
        Objects.requireNonNull(
            transactions.execute(status -> {
              Outcome outcome = send(plan, as, confirmed, asked);
              return keep(outcome, status);
            })));
  }

  private static Outcome keep(Outcome outcome, TransactionStatus status) {
    if (!(outcome instanceof Outcome.Went)) {
      status.setRollbackOnly();
    }
    return outcome;
  }

  private Outcome send(Planned plan, StaffId as, Set<Reason> confirmed, boolean asked) {
    ConversationId id = new ConversationId(plan.conversation());
    Conversation row = books.row(id);
    List<Long> files =
        plan.rule() == null
            ? attachments.takeFromPlanned(plan.id(), as)
            : attachments.copyFromPlanned(plan.id(), as);
    Said said =
        new Said(
            fills.fill(plan.words(), row, as),
            new Author.Schedule(as.value(), answers(plan, row)),
            new ClientReference("planned-" + plan.id() + "-" + plan.went()),
            null,
            null,
            null,
            confirmed,
            null,
            plan.template(),
            files);
    Result result = messaging.send(Recipient.in(id), said);
    List<Objection> against = result.decision().against(confirmed);
    if (!against.isEmpty()) {
      return new Outcome.Refused(against);
    }
    // The conversation is held from here on, so nothing comes in between.
    if (!asked && plan.unlessWritten() && hasWritten(plan)) {
      return new Outcome.NotNeeded();
    }
    if (!keeping.next(plan, row, 1)) {
      return new Outcome.Raced();
    }
    result.text().ifPresent(text -> rows.insertRun(text.value(), plan));
    return new Outcome.Went();
  }

  private boolean hasWritten(Planned plan) {
    return rows.existsReceivedSince(plan.conversation(), plan.watchedFrom());
  }

  /** What the customer wrote after it was planned it cannot answer. */
  private boolean answers(Planned plan, Conversation row) {
    return row.state().waitingSince().isPresent() && !hasWritten(plan);
  }
}
