package fabulum.server.figures;

import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What texts cost in past months, what the coming one will bring, and what other plans would cost.
 *
 * @param months the last twelve with this one, the latest first
 * @param coming the next calendar month at the present pace
 * @param allowances with what was sent of each so far
 * @param plans what each plan would have cost, in the order of {@code months}, for the coming month
 *     and for the volume that was asked for
 */
public record CostOutlook(
    List<MonthView> months,
    MonthView coming,
    List<AllowanceUse> allowances,
    List<PricePlanCost> plans) {

  /**
   * A month.
   *
   * @param month ISO 8601, {@code 2026-06}
   * @param costs one for each currency
   */
  public record MonthView(String month, long parts, List<MoneyView> costs) {}

  /** An amount in a currency. */
  public record MoneyView(BigDecimal amount, String currency) {}

  /**
   * An allowance.
   *
   * @param whose a person's or team's name, or “The business”
   * @param span as people say it: {@code today}, {@code this week}, {@code this month}
   */
  public record AllowanceUse(String whose, String span, long most, long used) {}

  /**
   * What a plan costs.
   *
   * @param volume for the number of parts that was asked for; null for none
   */
  public record PricePlanCost(
      PricePlanView plan,
      List<BigDecimal> months,
      BigDecimal coming,
      @Nullable BigDecimal volume) {}
}
