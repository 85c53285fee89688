package fabulum.core.attendance;

import java.time.LocalDate;
import java.util.OptionalLong;

/**
 * Days someone will be away, known ahead.
 *
 * @param first day of it
 * @param last day of it, included
 * @param cover who receives what would come to them; empty for the usual cover
 */
public record Absence(LocalDate first, LocalDate last, OptionalLong cover) {

  /** The longest absence, in days. */
  public static final int LONGEST_DAYS = 366;

  /** Whether it holds on a day. */
  public boolean covers(LocalDate day) {
    return !day.isBefore(first) && !day.isAfter(last);
  }
}
