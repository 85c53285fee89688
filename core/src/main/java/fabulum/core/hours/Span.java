package fabulum.core.hours;

import java.time.DayOfWeek;
import java.time.LocalTime;

/**
 * A stretch of opening hours in the week.
 *
 * @param day the day on which it begins
 * @param from when it begins, in whole minutes
 * @param minutes how long it is, 1 to 1440; it may run past midnight
 */
public record Span(DayOfWeek day, LocalTime from, int minutes) {
  static final int MINUTES_A_DAY = 24 * 60;

  public Span {
    if (minutes < 1 || minutes > MINUTES_A_DAY) {
      throw new IllegalArgumentException(
          "Opening hours last from a minute to a whole day, not " + minutes + " minutes");
    }
    if (from.getSecond() != 0 || from.getNano() != 0) {
      throw new IllegalArgumentException("Opening hours begin on a whole minute");
    }
  }

  /** From one time of a day to a later one; 00:00 as the end is midnight. */
  public static Span of(DayOfWeek day, LocalTime from, LocalTime to) {
    int end = to.equals(LocalTime.MIDNIGHT) ? MINUTES_A_DAY : minuteOfDay(to);
    return new Span(day, from, end - minuteOfDay(from));
  }

  /** From a time of one day past midnight to a time of the next. */
  public static Span pastMidnight(DayOfWeek day, LocalTime from, LocalTime to) {
    return new Span(day, from, MINUTES_A_DAY - minuteOfDay(from) + minuteOfDay(to));
  }

  /** The minute of the week at which it begins; Monday 00:00 is 0. */
  public int start() {
    return (day.getValue() - 1) * MINUTES_A_DAY + minuteOfDay(from);
  }

  private static int minuteOfDay(LocalTime time) {
    return time.getHour() * 60 + time.getMinute();
  }
}
