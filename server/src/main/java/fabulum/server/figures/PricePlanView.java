package fabulum.server.figures;

import java.math.BigDecimal;

/**
 * A way in which a network could charge.
 *
 * @param included parts in the fee of a month
 * @param overPrice for each part over those
 */
public record PricePlanView(
    long id, String name, String currency, BigDecimal fee, long included, BigDecimal overPrice) {}
