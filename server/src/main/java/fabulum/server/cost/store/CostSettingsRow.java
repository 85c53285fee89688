package fabulum.server.cost.store;

/** The row of cost_settings. */
public record CostSettingsRow(String currency, long version) {}
