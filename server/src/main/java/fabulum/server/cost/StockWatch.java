package fabulum.server.cost;

import fabulum.core.access.Role;
import fabulum.core.cost.Stock;
import fabulum.server.access.StaffId;
import fabulum.server.lines.Lines;
import fabulum.server.mail.Mail;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.platform.DiskReserve;
import fabulum.server.platform.Troubles;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Tells leads before the parts bought ahead are used up: on every page of theirs until more are
 * bought, and once by mail.
 */
@Component
public class StockWatch {
  private final PartsBought bought;
  private final Lines lines;
  private final People people;
  private final Mail mail;
  private final Troubles troubles;
  private final DiskReserve reserve;

  StockWatch(
      PartsBought bought,
      Lines lines,
      People people,
      Mail mail,
      Troubles troubles,
      DiskReserve reserve) {
    this.bought = bought;
    this.lines = lines;
    this.people = people;
    this.mail = mail;
    this.troubles = troubles;
    this.reserve = reserve;
  }

  /** What is left, in days of the first line; empty when nothing was ever bought ahead. */
  public Optional<Stock> stock() {
    ZoneId zone =
        lines.list().stream()
            .findFirst()
            .<ZoneId>map(line -> ZoneId.of(line.zone()))
            .orElse(ZoneOffset.UTC);
    return bought.stock(zone);
  }

  /** Looks how much is left now, and tells leads if they have to know. */
  @Scheduled(initialDelay = 10, fixedDelay = 60, timeUnit = TimeUnit.SECONDS)
  @Transactional
  public void look() {
    Optional<Stock> stock = stock().filter(Stock::endsSoon);
    if (stock.isEmpty()) {
      troubles.over(Troubles.Kind.PARTS);
      return;
    }
    String sentence = sentence(stock.get());
    troubles.report(Troubles.Kind.PARTS, sentence);
    if (!reserve.isStopped()) {
      people.list().stream()
          .filter(person -> person.active() && person.role() == Role.LEAD)
          .forEach(lead -> mail(lead, sentence, stock.get().bought()));
    }
  }

  private void mail(StaffView lead, String sentence, long boughtSoFar) {
    // Named by what was bought so far, so that each stock is told of once.
    String reference = "parts-" + boughtSoFar + "-" + lead.id();
    people
        .findEmail(new StaffId(lead.id()))
        .ifPresent(address ->
            mail.send(address, "Parts bought ahead will soon be used up", sentence, reference));
  }

  private static String sentence(Stock stock) {
    int days = stock.lastsDays().orElse(0);
    String next = " Buy more, and note it under Set-up, Costs.";
    if (days == 0) {
      return stock.left() > 0
          ? "The parts bought ahead last less than a day at the present pace." + next
          : "All parts bought ahead are used. Texts still go out." + next;
    }
    return "The parts bought ahead last about "
        + (days == 1 ? "1 day" : days + " days")
        + " at the present pace."
        + next;
  }
}
