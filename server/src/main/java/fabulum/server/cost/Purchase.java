package fabulum.server.cost;

import java.math.BigDecimal;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * Parts bought at once.
 *
 * @param parts negative to balance a mistake
 * @param price of all of them
 * @param currency of the price, ISO 4217
 * @param staffId who noted it
 */
public record Purchase(
    LocalDate day,
    int parts,
    BigDecimal price,
    String currency,
    String remark,
    @Nullable Long staffId) {}
