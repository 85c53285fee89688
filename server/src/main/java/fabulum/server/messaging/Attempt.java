package fabulum.server.messaging;

import fabulum.core.delivery.ClientReference;
import fabulum.core.delivery.DeliveryState;
import fabulum.core.delivery.Gateway;
import fabulum.core.delivery.Gateway.LookUp;
import fabulum.core.delivery.Gateway.OutgoingText;
import fabulum.core.delivery.Media;
import fabulum.core.delivery.NextStep;
import fabulum.core.delivery.NextStep.WaitForNetwork;
import fabulum.core.delivery.ReportPlan;
import fabulum.core.delivery.RetryPlan;
import fabulum.core.delivery.SendOutcome;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Sender;
import fabulum.server.attachments.MediaLinks;
import fabulum.server.conversations.EntryId;
import fabulum.server.lines.Lines;
import fabulum.server.messaging.Deliveries.Outgoing;
import fabulum.server.messaging.Deliveries.Report;
import fabulum.server.messaging.store.OutboxMapper;
import fabulum.server.messaging.store.OutboxRow;
import fabulum.server.messaging.store.UnreportedMapper;
import fabulum.server.platform.DatabaseSettings;
import fabulum.server.platform.NetworkSettings;
import fabulum.server.platform.RaceRetry;
import fabulum.server.sending.Decisions;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * One attempt to hand one text over, and what follows from it. The network is never spoken to
 * inside a transaction.
 */
@Component
class Attempt {
  private static final String FILE_MISSING = "attachment-missing";

  private final Deliveries deliveries;
  private final NeverTaken neverTaken;
  private final MediaLinks links;
  private final Lines lines;
  private final Decisions decisions;
  private final OutboxMapper outbox;
  private final UnreportedMapper unreported;
  private final Gateway gateway;
  private final TransactionTemplate transactions;
  private final Clock clock;
  private final String node;

  /** Longer than asking and sending can take; then another process may take the text over. */
  private final Duration claim;

  Attempt(
      Deliveries deliveries,
      NeverTaken neverTaken,
      MediaLinks links,
      Lines lines,
      Decisions decisions,
      OutboxMapper outbox,
      UnreportedMapper unreported,
      Gateway gateway,
      TransactionTemplate transactions,
      Clock clock,
      NetworkSettings settings,
      DatabaseSettings database) {
    this.deliveries = deliveries;
    this.neverTaken = neverTaken;
    this.links = links;
    this.lines = lines;
    this.decisions = decisions;
    this.outbox = outbox;
    this.unreported = unreported;
    this.gateway = gateway;
    this.transactions = transactions;
    this.clock = clock;
    this.node = database.node();
    this.claim = settings.timeout().multipliedBy(4).plusMinutes(1);
  }

  /** What came of an attempt. */
  sealed interface Result {
    /** The text has left the outbox, one way or the other. */
    record Left() implements Result {}

    /** It stays in the outbox. */
    record Stays() implements Result {}

    /** The network does not deal with us; nothing was tried with this text. */
    record Closed(WaitForNetwork until) implements Result {}
  }

  /**
   * Makes the attempt, once the text is claimed: since it was listed, another process or an attempt
   * just before this one may have taken it.
   *
   * @param closedTries how often the network did not deal with us, in a row
   */
  Result at(long outboxId, int closedTries) {
    Instant now = clock.instant();
    boolean claimed = outbox.claim(outboxId, node, now, now.plus(claim)) == 1;
    return claimed ? at(outbox.get(outboxId), closedTries) : new Result.Stays();
  }

  private Result at(OutboxRow row, int closedTries) {
    Outgoing text = deliveries.find(new EntryId(row.entryId())).orElseThrow();
    SendOutcome outcome = row.askFirst() ? askThenSend(row, text) : send(row, text);
    int attempts = outcome instanceof SendOutcome.Closed ? closedTries + 1 : row.attempts() + 1;
    NextStep step = RetryPlan.USUAL.after(outcome, attempts, row.wantedAt(), clock.instant());
    if (step instanceof WaitForNetwork until) {
      outbox.release(row.id(), node);
      return new Result.Closed(until);
    }
    // Who writes in the conversation at the same time may hold it for longer than a lock is waited
    // for.
    RaceRetry.run(() -> transactions.execute(status -> settled(row, text, step, status)));
    return step instanceof NextStep.TryAgain ? new Result.Stays() : new Result.Left();
  }

  /**
   * What came of an attempt could not be written down. The text may have gone, so the network is
   * asked before it is sent again, and each time later.
   */
  void broke(long outboxId) {
    outbox
        .findClaimed(outboxId, node)
        .ifPresent(row -> {
          Duration wait = RetryPlan.USUAL.waits().after(row.attempts() + 1);
          outbox.tryAgain(row.id(), node, clock.instant().plus(wait), true);
        });
  }

  private SendOutcome askThenSend(OutboxRow row, Outgoing text) {
    LookUp found = gateway.find(new ClientReference(text.reference()));
    if (found instanceof LookUp.Known known) {
      return new SendOutcome.Accepted(known.networkId());
    }
    if (found instanceof LookUp.Closed closed) {
      return new SendOutcome.Closed(closed.code(), closed.reason());
    }
    return found instanceof LookUp.NoAnswer silent
        ? new SendOutcome.Unclear(silent.why())
        : send(row, text);
  }

  private SendOutcome send(OutboxRow row, Outgoing text) {
    List<PhoneNumber> to = row.owed() ? numbers(text.to()) : withoutOptedOut(text);
    if (to.isEmpty()) {
      return new SendOutcome.RefusedForGood(HeldBack.CODE, HeldBack.REASON);
    }
    PhoneNumber from = new PhoneNumber(lines.get(text.line()).number());
    Optional<List<Media>> media = links.of(text.id().value());
    return media.isEmpty()
        ? new SendOutcome.RefusedForGood(FILE_MISSING, "Its attachment is missing on the server.")
        : gateway.send(
            new OutgoingText(
                new ClientReference(text.reference()),
                from,
                to,
                text.group(),
                text.words(),
                media.get()));
  }

  private static List<PhoneNumber> numbers(List<Sender> to) {
    return to.stream().map(one -> one.answerable().orElseThrow()).toList();
  }

  /** Who of a group opted out since it was written is left out, and that is said. */
  private List<PhoneNumber> withoutOptedOut(Outgoing text) {
    List<Sender> out =
        text.to().stream().filter(one -> decisions.hasOptedOut(one, text.line())).toList();
    List<Sender> in = text.to().stream().filter(one -> !out.contains(one)).toList();
    if (!in.isEmpty()) {
      out.forEach(one ->
          RaceRetry.run(
              () -> deliveries.reported(text.reference(), HeldBack.report().about(one.address()))));
    }
    return numbers(in);
  }

  private boolean settled(OutboxRow row, Outgoing text, NextStep step, TransactionStatus status) {
    boolean settled = settle(row, text.reference(), step);
    if (!settled) {
      // Another process has taken it over, and settles it.
      status.setRollbackOnly();
    }
    return settled;
  }

  private boolean settle(OutboxRow row, String reference, NextStep step) {
    if (step instanceof NextStep.TryAgain again) {
      return outbox.tryAgain(row.id(), node, again.at(), again.askFirst()) == 1;
    }
    if (step instanceof NextStep.Sent sent) {
      deliveries.reported(
          reference, new Report(DeliveryState.SENT, sent.networkId(), null, null, null));
      Instant now = clock.instant();
      unreported.insert(row.entryId(), now, ReportPlan.next(now, 0).orElse(null));
    } else {
      neverTaken.report(new EntryId(row.entryId()), failed((NextStep.GiveUp) step));
    }
    return outbox.delete(row.id(), node) == 1;
  }

  private static Report failed(NextStep.GiveUp givenUp) {
    return new Report(DeliveryState.NOT_DELIVERED, null, givenUp.code(), givenUp.reason(), null);
  }
}
