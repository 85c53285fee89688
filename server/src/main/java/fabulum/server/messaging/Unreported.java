package fabulum.server.messaging;

import fabulum.core.delivery.ClientReference;
import fabulum.core.delivery.DeliveryState;
import fabulum.core.delivery.Gateway;
import fabulum.core.delivery.Gateway.LookUp;
import fabulum.core.delivery.ReportPlan;
import fabulum.server.messaging.Deliveries.Report;
import fabulum.server.messaging.store.UnreportedMapper;
import fabulum.server.messaging.store.UnreportedRow;
import fabulum.server.platform.Steadily;
import java.time.Clock;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Asks the network about texts it took and never reported on, in case its report never reached us:
 * after ten minutes, an hour and a day.
 */
@Component
public class Unreported {
  private static final Logger log = LoggerFactory.getLogger(Unreported.class);
  private static final int AT_ONCE = 100;

  private final UnreportedMapper unreported;
  private final Inbound inbound;
  private final Gateway gateway;
  private final Clock clock;
  private final Steadily<UnreportedRow> steadily =
      new Steadily<>("A text could not be asked about");

  Unreported(UnreportedMapper unreported, Inbound inbound, Gateway gateway, Clock clock) {
    this.unreported = unreported;
    this.inbound = inbound;
    this.gateway = gateway;
    this.clock = clock;
  }

  @Scheduled(initialDelay = 5, fixedDelay = 5, timeUnit = TimeUnit.SECONDS)
  void ask() {
    try {
      steadily.each(
          unreported.listDue(clock.instant(), AT_ONCE + steadily.failing()), this::askAbout);
    } catch (RuntimeException e) {
      log.warn("Texts without a report could not be read; trying again", e);
    }
  }

  /** How many texts the network took and never reported on. */
  public int count() {
    return unreported.count();
  }

  /**
   * Asks about all of them within seconds.
   *
   * @return how many
   */
  public int askNow() {
    return unreported.askAllNow(clock.instant());
  }

  private void askAbout(UnreportedRow row) {
    LookUp found = gateway.find(new ClientReference(row.reference()));
    if (found instanceof LookUp.Known known && !known.each().isEmpty()) {
      known.each().stream()
          .filter(one -> one.state() != DeliveryState.SENT)
          .forEach(one ->
              inbound.report(
                  row.reference(),
                  new Report(one.state(), known.networkId(), one.code(), one.reason(), one.to())));
    } else if (found instanceof LookUp.Known known && known.state() != DeliveryState.SENT) {
      inbound.report(
          row.reference(),
          new Report(known.state(), known.networkId(), known.code(), known.reason(), null));
      return;
    }
    unreported.asked(row.entryId(), ReportPlan.next(row.sentAt(), row.asked() + 1).orElse(null));
  }
}
