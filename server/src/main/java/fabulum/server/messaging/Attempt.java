package fabulum.server.messaging;

import fabulum.core.delivery.ClientReference;
import fabulum.core.delivery.DeliveryState;
import fabulum.core.delivery.Gateway;
import fabulum.core.delivery.Gateway.LookUp;
import fabulum.core.delivery.Gateway.OutgoingText;
import fabulum.core.delivery.NextStep;
import fabulum.core.delivery.RetryPlan;
import fabulum.core.delivery.SendOutcome;
import fabulum.core.phone.PhoneNumber;
import fabulum.server.conversations.Deliveries;
import fabulum.server.conversations.Deliveries.Outgoing;
import fabulum.server.conversations.Deliveries.Report;
import fabulum.server.conversations.EntryId;
import fabulum.server.lines.Lines;
import fabulum.server.messaging.store.OutboxMapper;
import fabulum.server.messaging.store.OutboxRow;
import java.time.Clock;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * One attempt to hand one text over, and what follows from it. The network is never spoken to
 * inside a transaction.
 */
@Component
class Attempt {
  private final Deliveries deliveries;
  private final Lines lines;
  private final OutboxMapper outbox;
  private final Gateway gateway;
  private final TransactionTemplate transactions;
  private final Clock clock;

  Attempt(
      Deliveries deliveries,
      Lines lines,
      OutboxMapper outbox,
      Gateway gateway,
      TransactionTemplate transactions,
      Clock clock) {
    this.deliveries = deliveries;
    this.lines = lines;
    this.outbox = outbox;
    this.gateway = gateway;
    this.transactions = transactions;
    this.clock = clock;
  }

  /**
   * Makes the attempt. The row is read anew: since it was listed, an attempt just before this one
   * may have sent it.
   *
   * @return true when the text has left the outbox, one way or the other
   */
  boolean at(long outboxId) {
    Optional<OutboxRow> due = outbox.findDue(outboxId, clock.instant());
    return due.isPresent() && at(due.get());
  }

  private boolean at(OutboxRow row) {
    Outgoing text = deliveries.find(new EntryId(row.entryId())).orElseThrow();
    SendOutcome outcome = row.askFirst() ? askThenSend(text) : send(text);
    NextStep step =
        RetryPlan.USUAL.after(outcome, row.attempts() + 1, row.wantedAt(), clock.instant());
    transactions.executeWithoutResult(status -> settle(row, text.reference(), step));
    return !(step instanceof NextStep.TryAgain);
  }

  private SendOutcome askThenSend(Outgoing text) {
    LookUp found = gateway.find(new ClientReference(text.reference()));
    if (found instanceof LookUp.Known known) {
      return new SendOutcome.Accepted(known.networkId());
    }
    return found instanceof LookUp.NoAnswer silent
        ? new SendOutcome.Unclear(silent.why())
        : send(text);
  }

  private SendOutcome send(Outgoing text) {
    PhoneNumber from = new PhoneNumber(lines.get(text.line()).number());
    PhoneNumber to = text.to().answerable().orElseThrow();
    return gateway.send(
        new OutgoingText(new ClientReference(text.reference()), from, to, text.words()));
  }

  private void settle(OutboxRow row, String reference, NextStep step) {
    if (step instanceof NextStep.TryAgain again) {
      outbox.tryAgain(row.id(), again.at(), again.askFirst());
      return;
    }
    Report report =
        step instanceof NextStep.Sent sent
            ? new Report(DeliveryState.SENT, sent.networkId(), null, null)
            : failed((NextStep.GiveUp) step);
    deliveries.reported(reference, report);
    outbox.delete(row.id());
  }

  private static Report failed(NextStep.GiveUp givenUp) {
    return new Report(DeliveryState.NOT_DELIVERED, null, givenUp.code(), givenUp.reason());
  }
}
