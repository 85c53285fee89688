package fabulum.core.cost;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.OptionalLong;

/**
 * What one thing costs from a day on.
 *
 * @param line the line it holds for; empty for all that have no price of that kind of their own
 * @param from the first day, in the zone of the line, on which it holds
 */
public record Price(OptionalLong line, Kind kind, LocalDate from, BigDecimal amount) {
  public Price {
    if (amount.signum() < 0) {
      throw new IllegalArgumentException("A price is not negative");
    }
  }

  /** What has a price. */
  public enum Kind {
    /** Each text that goes out, besides its parts. */
    TEXT_OUT,
    /** Each part of a text that goes out. */
    PART,
    /** Each text that comes in. */
    TEXT_IN,
    /** Each attachment that goes out. */
    ATTACHMENT
  }
}
