package fabulum.server.messaging;

import fabulum.core.delivery.DeliveryState;
import fabulum.server.conversations.EntryId;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import fabulum.server.messaging.Deliveries.Report;
import fabulum.server.messaging.store.OutboxMapper;
import fabulum.server.messaging.store.WaitingRow;
import java.time.Clock;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Texts that waited to go to a number that opted out: they are not sent, and their writers hear so.
 */
@Component
class HeldBack {
  /** The reason that a text was not sent, for programs. */
  static final String CODE = "opted-out";

  /** The reason that a text was not sent, for people. */
  static final String REASON = "The customer opted out before it went.";

  private final OutboxMapper outbox;
  private final NeverTaken neverTaken;
  private final Deliveries deliveries;
  private final Clock clock;

  HeldBack(OutboxMapper outbox, NeverTaken neverTaken, Deliveries deliveries, Clock clock) {
    this.deliveries = deliveries;
    this.outbox = outbox;
    this.neverTaken = neverTaken;
    this.clock = clock;
  }

  /**
   * Takes back all that waits for a number. What is with the network at this moment is looked at by
   * the attempt itself.
   *
   * @param line the line that may not text it any more; null for all
   */
  void from(NumberId number, @Nullable LineId line) {
    Long only = line == null ? null : line.value();
    for (WaitingRow row : outbox.listWaitingFor(number.value(), only, clock.instant())) {
      if (deliveries.leaveOut(new EntryId(row.entryId()), number, report())) {
        continue;
      }
      if (outbox.deleteUnclaimed(row.id(), clock.instant()) == 1) {
        neverTaken.report(new EntryId(row.entryId()), report());
      }
    }
  }

  static Report report() {
    return new Report(DeliveryState.NOT_DELIVERED, null, CODE, REASON, null);
  }
}
