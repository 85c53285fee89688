package fabulum.server.cost;

import fabulum.core.cost.Money;
import fabulum.core.cost.PriceBook;
import fabulum.core.sending.SendQuestion.Allowance;
import fabulum.server.access.StaffId;
import fabulum.server.cost.store.CostMapper;
import fabulum.server.cost.store.CostSettingsRow;
import fabulum.server.lines.LineView;
import fabulum.server.platform.BriefMemory;
import fabulum.server.platform.CachedSetUp;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** What texts cost. */
@Service
public class Costs implements CachedSetUp {
  private final CostMapper rows;
  private final Allowances allowances;
  private final BriefMemory<PriceBook> book;

  Costs(CostMapper rows, Allowances allowances) {
    this.rows = rows;
    this.allowances = allowances;
    this.book = new BriefMemory<>(this::readBook);
  }

  private PriceBook readBook() {
    return new PriceBook(
        rows.settings().currency(), rows.listPrices().stream().map(PriceSetup::price).toList());
  }

  /** What a text of ours costs that leaves a line now; empty where no price holds. */
  public Optional<Money> textOut(LineView line, int parts, Instant now) {
    return book.get().textOut(line.id(), day(line, now), parts, 0);
  }

  /** What a text costs that came in on a line; empty where no price holds. */
  public Optional<Money> textIn(LineView line, Instant at) {
    return book.get().textIn(line.id(), day(line, at));
  }

  /** The day it is on a line. */
  static LocalDate day(LineView line, Instant at) {
    return LocalDate.ofInstant(at, ZoneId.of(line.zone()));
  }

  /** The allowances a text is counted in, with what was counted so far. */
  public List<Allowance> allowances(StaffId writer, LineView line) {
    return allowances.of(writer, line);
  }

  /** All allowances there are, with what was counted until a day. */
  public List<Allowance> allowancesOn(LocalDate today) {
    return allowances.on(today);
  }

  /**
   * Holds the allowances a text is counted in, so that texts counted in one of them follow each
   * other. To be used first within the transaction that sends the text.
   */
  public void hold(StaffId writer, LineView line) {
    allowances.hold(writer, line);
  }

  /**
   * Counts a text that goes, or with negative numbers one that is taken back. To be used within the
   * transaction that sends it or takes it back.
   *
   * @param writer empty for the program itself, whose texts are counted in no allowance
   * @param at when it was sent
   */
  public void count(Optional<StaffId> writer, LineView line, Instant at, int texts, int parts) {
    allowances.count(writer, line, at, texts, parts);
  }

  /** As they are in the database. */
  public CostSettings read() {
    CostSettingsRow row = rows.settings();
    return new CostSettings(row.currency(), rows.listPrices(), allowances.list(), row.version());
  }

  /**
   * Changes prices and allowances. What texts have cost stays as it was stored with them. To be
   * used within a transaction.
   *
   * @return false when another person changed them since {@code wanted.version()}
   */
  public boolean change(CostSettings wanted) {
    if (rows.update(wanted.currency(), wanted.version()) == 0) {
      return false;
    }
    rows.deletePrices();
    wanted.prices().forEach(rows::insertPrice);
    allowances.set(wanted.allowances());
    forget();
    return true;
  }

  @Override
  public void forget() {
    book.forget();
    allowances.forget();
  }
}
