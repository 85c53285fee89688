package fabulum.core.cost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PricePlanTest {
  private static Money usd(String amount) {
    return new Money(new BigDecimal(amount), "USD");
  }

  @ParameterizedTest
  @CsvSource({"0, 20", "999, 20", "1000, 20", "1001, 20.01", "1500, 25"})
  void theFeeHoldsUpToWhatItIncludesAndEachPartOverItCosts(long parts, String cost) {
    assertThat(new PricePlan(usd("20"), 1_000, usd("0.01")).month(parts)).isEqualTo(usd(cost));
  }

  @Test
  void aPlanIsInOneCurrencyAndNothingOfItBelowZero() {
    Money euro = new Money(BigDecimal.ONE, "EUR");
    assertThatThrownBy(() -> new PricePlan(usd("1"), 0, euro))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new PricePlan(usd("1"), -1, usd("1")))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
