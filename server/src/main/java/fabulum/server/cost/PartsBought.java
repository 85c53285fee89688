package fabulum.server.cost;

import fabulum.core.cost.Stock;
import fabulum.server.access.StaffId;
import fabulum.server.cost.store.CostMapper;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The ledger of parts bought ahead. What is in it is never changed; a mistake is balanced. */
@Service
public class PartsBought {
  private final CostMapper rows;
  private final Clock clock;

  PartsBought(CostMapper rows, Clock clock) {
    this.rows = rows;
    this.clock = clock;
  }

  /** All purchases, the first one first. */
  public List<Purchase> list() {
    return rows.listBought();
  }

  /** Notes a purchase. */
  @Transactional
  public void add(Purchase bought, StaffId by) {
    rows.insertBought(bought, by.value());
  }

  /**
   * What is left, and how long it lasts; empty when nothing was ever bought ahead.
   *
   * @param zone in which today is meant
   */
  public Optional<Stock> stock(ZoneId zone) {
    List<Purchase> bought = rows.listBought();
    if (bought.isEmpty()) {
      return Optional.empty();
    }
    LocalDate first = bought.get(0).day();
    LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
    int days = Stock.paceDays(first, today);
    long sum = bought.stream().mapToLong(Purchase::parts).sum();
    // Lines in other zones may be a day ahead.
    long used = rows.sumSent(first, today.plusDays(1));
    long lately = rows.sumSent(today.minusDays(days), today.minusDays(1));
    return Optional.of(new Stock(sum, used, lately, days));
  }
}
