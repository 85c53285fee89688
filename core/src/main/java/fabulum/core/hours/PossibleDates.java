package fabulum.core.hours;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;

/** Dates that someone can mean; anything else is a slip, or an attempt to break something. */
public final class PossibleDates {
  private static final int FIRST_YEAR = 1900;
  private static final int LAST_YEAR = 2199;

  private PossibleDates() {}

  /** Whether a date lies in a year from 1900 to 2199. */
  public static boolean isOne(LocalDate day) {
    return day.getYear() >= FIRST_YEAR && day.getYear() <= LAST_YEAR;
  }

  /** Whether an instant lies, in UTC, in a year from 1900 to 2199. */
  public static boolean isOne(Instant at) {
    return !at.isBefore(start(FIRST_YEAR)) && at.isBefore(start(LAST_YEAR + 1));
  }

  private static Instant start(int year) {
    return LocalDate.of(year, 1, 1).atStartOfDay(ZoneOffset.UTC).toInstant();
  }
}
