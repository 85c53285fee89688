package fabulum.server.numbers;

import java.math.BigDecimal;

/**
 * How numbers are checked.
 *
 * @param automatic whether a number that nobody knows is checked by itself
 * @param price of one check; 0 for nothing
 * @param currency ISO 4217
 */
public record Setting(boolean automatic, BigDecimal price, String currency) {}
