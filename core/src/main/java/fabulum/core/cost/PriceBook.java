package fabulum.core.cost;

import fabulum.core.cost.Price.Kind;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * All prices of the business. A price holds from its day until the day of the next one of the same
 * line and kind; a line's own go before those of all lines.
 *
 * @param currency of all of them, ISO 4217
 */
public record PriceBook(String currency, List<Price> prices) {
  public PriceBook {
    prices = List.copyOf(prices);
  }

  /**
   * What a text of ours costs.
   *
   * @param day on which it goes, in the zone of its line
   * @return empty when no price holds on that day, so that it is not known
   */
  public Optional<Money> textOut(long line, LocalDate day, int parts, int attachments) {
    return sum(
        of(line, day, Kind.TEXT_OUT),
        of(line, day, Kind.PART).map(each -> each.multiply(BigDecimal.valueOf(parts))),
        attachments == 0
            ? Optional.empty()
            : of(line, day, Kind.ATTACHMENT)
                .map(each -> each.multiply(BigDecimal.valueOf(attachments))));
  }

  /** What a text that comes in costs; empty when no price holds on that day. */
  public Optional<Money> textIn(long line, LocalDate day) {
    return sum(of(line, day, Kind.TEXT_IN), Optional.empty(), Optional.empty());
  }

  private Optional<Money> sum(
      Optional<BigDecimal> one, Optional<BigDecimal> two, Optional<BigDecimal> three) {
    return List.of(one, two, three).stream()
        .flatMap(Optional::stream)
        .reduce(BigDecimal::add)
        .map(amount -> new Money(amount, currency));
  }

  private Optional<BigDecimal> of(long line, LocalDate day, Kind kind) {
    List<Price> holding =
        prices.stream()
            .filter(price -> price.kind() == kind && !price.from().isAfter(day))
            .toList();
    return newest(holding.stream().filter(price -> isOf(price, line)).toList())
        .or(() -> newest(holding.stream().filter(price -> price.line().isEmpty()).toList()));
  }

  private static boolean isOf(Price price, long line) {
    return price.line().isPresent() && price.line().getAsLong() == line;
  }

  private static Optional<BigDecimal> newest(List<Price> of) {
    return of.stream().max(Comparator.comparing(Price::from)).map(Price::amount);
  }
}
