package fabulum.server.cost;

import fabulum.core.cost.Price;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;

/**
 * A price as it is set up.
 *
 * @param lineId the line it holds for; null for all that have none of their own
 * @param from the first day on which it holds
 */
public record PriceSetup(
    @Nullable Long lineId, Price.Kind kind, LocalDate from, BigDecimal amount) {

  Price price() {
    return new Price(
        lineId == null ? OptionalLong.empty() : OptionalLong.of(lineId), kind, from, amount);
  }
}
