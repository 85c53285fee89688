package fabulum.core.cost;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Currency;
import java.util.Locale;

/**
 * An amount in a currency. A part costs less than a cent, so amounts have up to five decimals,
 * whatever the minor unit of the currency is.
 *
 * @param currency ISO 4217, for example {@code USD}
 */
public record Money(BigDecimal amount, String currency) {
  /** Decimals that are kept. */
  public static final int SCALE = 5;

  public Money {
    if (!isCurrency(currency)) {
      throw new IllegalArgumentException("Not a currency: " + currency);
    }
    amount = amount.setScale(SCALE, RoundingMode.HALF_UP);
  }

  /** Whether this is a currency that is in use or was. */
  public static boolean isCurrency(String code) {
    return Currency.getAvailableCurrencies().stream()
        .anyMatch(each -> each.getCurrencyCode().equals(code));
  }

  /**
   * As people say it: {@code USD 12.30}, {@code JPY 120}; with more decimals than the currency has
   * where they are not zero: {@code USD 0.0158}.
   */
  public String said() {
    int usual = Math.max(0, Currency.getInstance(currency).getDefaultFractionDigits());
    BigDecimal bare = amount.stripTrailingZeros();
    int decimals = Math.max(usual, bare.scale());
    return String.format(Locale.ROOT, "%s %s", currency, bare.setScale(decimals).toPlainString());
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Money money
        && money.amount.compareTo(amount) == 0
        && money.currency.equals(currency);
  }

  @Override
  public int hashCode() {
    return amount.stripTrailingZeros().hashCode() * 31 + currency.hashCode();
  }
}
