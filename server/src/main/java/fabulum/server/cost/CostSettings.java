package fabulum.server.cost;

import java.util.List;

/**
 * What a lead has set about costs.
 *
 * @param currency of all prices, ISO 4217
 */
public record CostSettings(
    String currency, List<PriceSetup> prices, List<AllowanceSetup> allowances, long version) {
  public CostSettings {
    prices = List.copyOf(prices);
    allowances = List.copyOf(allowances);
  }
}
