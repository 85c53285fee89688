package fabulum.core.cost;

import java.math.BigDecimal;

/**
 * A way in which a network charges for a month.
 *
 * @param fee for the month, whatever is sent
 * @param included parts in the fee
 * @param over for each part over those
 */
public record PricePlan(Money fee, long included, Money over) {
  public PricePlan {
    if (!fee.currency().equals(over.currency())) {
      throw new IllegalArgumentException("Both prices of a plan are in one currency");
    }
    if (fee.amount().signum() < 0 || over.amount().signum() < 0 || included < 0) {
      throw new IllegalArgumentException("Nothing of a plan is below zero");
    }
  }

  /**
   * What a month would have cost: with 20 for 1,000 parts and 0.01 over them, 1,500 parts cost 25.
   *
   * @param parts sent in that month, not below 0
   */
  public Money month(long parts) {
    BigDecimal beyond = BigDecimal.valueOf(Math.max(0, parts - included));
    return new Money(fee.amount().add(over.amount().multiply(beyond)), fee.currency());
  }
}
