package fabulum.core.cost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.core.cost.Price.Kind;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CostTest {
  private static final LocalDate JUNE = LocalDate.parse("2026-06-09");

  private static Price price(long line, Kind kind, String from, String amount) {
    OptionalLong of = line == 0 ? OptionalLong.empty() : OptionalLong.of(line);
    return new Price(of, kind, LocalDate.parse(from), new BigDecimal(amount));
  }

  private static final PriceBook BOOK =
      new PriceBook(
          "USD",
          List.of(
              price(0, Kind.PART, "2026-01-01", "0.0079"),
              price(0, Kind.PART, "2026-06-10", "0.0085"),
              price(2, Kind.PART, "2026-06-01", "0.01"),
              price(0, Kind.TEXT_OUT, "2026-01-01", "0.001"),
              price(0, Kind.ATTACHMENT, "2026-01-01", "0.02"),
              price(0, Kind.TEXT_IN, "2026-06-09", "0.002")));

  @ParameterizedTest
  @CsvSource({
    "1, 2026-06-09, 3, 0, 0.0247",
    "1, 2026-06-10, 3, 0, 0.0265",
    "2, 2026-06-10, 3, 0, 0.031",
    "2, 2026-05-31, 3, 0, 0.0247",
    "1, 2026-06-09, 1, 2, 0.0489",
  })
  void aTextCostsItsPartsByThePriceOfItsLineOnItsDay(
      long line, LocalDate day, int parts, int attachments, BigDecimal cost) {
    assertThat(BOOK.textOut(line, day, parts, attachments)).contains(new Money(cost, "USD"));
  }

  @Test
  void beforeTheFirstPriceItIsNotKnownWhatATextCosts() {
    LocalDate before = LocalDate.parse("2025-12-31");
    assertThat(BOOK.textOut(1, before, 1, 0)).isEmpty();
    assertThat(BOOK.textIn(1, JUNE.minusDays(1))).isEmpty();
    assertThat(BOOK.textIn(1, JUNE)).contains(new Money(new BigDecimal("0.002"), "USD"));
    assertThat(new PriceBook("USD", List.of()).textOut(1, JUNE, 1, 0)).isEqualTo(Optional.empty());
  }

  @ParameterizedTest
  @CsvSource({
    "USD, 12.3, USD 12.30",
    "USD, 0.0158, USD 0.0158",
    "JPY, 120, JPY 120",
    "JPY, 1.5, JPY 1.5",
    "XAU, 2, XAU 2",
    "KWD, 0.5, KWD 0.500",
  })
  void moneyIsSaidWithTheDecimalsOfItsCurrencyAndMoreWhereThereAreMore(
      String currency, BigDecimal amount, String said) {
    assertThat(new Money(amount, currency).said()).isEqualTo(said);
  }

  @Test
  void amountsAreTheSameWhateverTheirDecimalsAndOnlyInOneCurrency() {
    Money twelve = new Money(new BigDecimal("12.3"), "USD");
    assertThat(twelve)
        .isEqualTo(new Money(new BigDecimal("12.30000"), "USD"))
        .hasSameHashCodeAs(new Money(new BigDecimal("12.30000"), "USD"))
        .isNotEqualTo(new Money(new BigDecimal("12.30001"), "USD"))
        .isNotEqualTo(new Money(new BigDecimal("12.3"), "EUR"))
        .isNotEqualTo("USD 12.30");
  }

  @Test
  void whatIsNoCurrencyAndNoPriceIsRefused() {
    assertThatThrownBy(() -> new Money(BigDecimal.ONE, "usd"))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> price(0, Kind.PART, "2026-01-01", "-1"))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @ParameterizedTest
  @CsvSource({
    "DAY, 2026-06-09, 2026-06-09, 2026-06-09",
    "WEEK, 2026-06-09, 2026-06-08, 2026-06-14",
    "WEEK, 2026-06-08, 2026-06-08, 2026-06-14",
    "WEEK, 2026-06-14, 2026-06-08, 2026-06-14",
    "WEEK, 2027-01-01, 2026-12-28, 2027-01-03",
    "MONTH, 2026-06-09, 2026-06-01, 2026-06-30",
    "MONTH, 2028-02-29, 2028-02-01, 2028-02-29",
  })
  void aSpanHasAFirstAndALastDay(
      AllowanceSpan span, LocalDate day, LocalDate first, LocalDate last) {
    assertThat(span.first(day)).isEqualTo(first);
    assertThat(span.last(day)).isEqualTo(last);
  }

  /** On 8 March 2026 Chicago has 23 hours, on 1 November 25: each is one day. */
  @ParameterizedTest
  @CsvSource({
    "2026-03-08T06:00:00Z, 2026-03-09T04:59:59Z, 2026-03-09T05:00:00Z",
    "2026-11-01T05:00:00Z, 2026-11-02T05:59:59Z, 2026-11-02T06:00:00Z",
  })
  void aDayWithAClockChangeIsOneDay(Instant first, Instant last, Instant next) {
    ZoneId chicago = ZoneId.of("America/Chicago");
    LocalDate day = LocalDate.ofInstant(first, chicago);
    assertThat(AllowanceSpan.DAY.first(LocalDate.ofInstant(last, chicago))).isEqualTo(day);
    assertThat(AllowanceSpan.DAY.first(LocalDate.ofInstant(next, chicago)))
        .isEqualTo(day.plusDays(1));
  }

  @Test
  void partsBoughtAheadLastAsLongAsTheyDoAtThePresentPace() {
    Stock stock = new Stock(10_000, 4_000, 7_000, 14);
    assertThat(stock.left()).isEqualTo(6_000);
    assertThat(stock.lastsDays()).isEqualTo(OptionalInt.of(12));
    assertThat(stock.endsSoon()).isFalse();
    assertThat(new Stock(10_000, 6_600, 7_000, 14).endsSoon()).isTrue();
    assertThat(new Stock(10_000, 6_500, 7_000, 14).endsSoon()).isFalse();
  }

  @Test
  void partsThatNobodyUsesNeverEndAndThoseUsedUpHaveEnded() {
    assertThat(new Stock(10, 0, 0, 1).lastsDays()).isEmpty();
    assertThat(new Stock(10, 0, 0, 1).endsSoon()).isFalse();
    assertThat(new Stock(10, 12, 0, 14).lastsDays()).isEqualTo(OptionalInt.of(0));
    assertThat(new Stock(10, 12, 0, 14).endsSoon()).isTrue();
  }

  @ParameterizedTest
  @CsvSource({"2026-06-09, 1", "2026-06-08, 1", "2026-06-04, 5", "2026-01-01, 14"})
  void thePaceIsThatOfTwoWeeksOrSinceTheFirstPurchase(LocalDate bought, int days) {
    assertThat(Stock.paceDays(bought, JUNE)).isEqualTo(days);
  }
}
