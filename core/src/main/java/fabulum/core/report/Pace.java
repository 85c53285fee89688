package fabulum.core.report;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.Map;

/**
 * What a month will bring at the present pace: for each of its days the mean of the same weekday
 * over the last {@link #WEEKS} weeks, today not counted, or fewer where there is less history.
 */
public final class Pace {
  /** Over how many weeks the pace is taken. */
  public static final int WEEKS = 8;

  private Pace() {}

  /**
   * @param sums of days; a day without one had nothing
   * @param firstDay the first day on which there was anything to count
   * @return to the nearest whole; 0 when there is not one whole week to go by
   */
  public static long month(
      YearMonth month, Map<LocalDate, Long> sums, LocalDate firstDay, LocalDate today) {
    double all = 0;
    for (DayOfWeek weekday : DayOfWeek.values()) {
      all += mean(weekday, sums, firstDay, today) * daysOf(month, weekday);
    }
    return Math.round(all);
  }

  private static double mean(
      DayOfWeek weekday, Map<LocalDate, Long> sums, LocalDate firstDay, LocalDate today) {
    long sum = 0;
    int days = 0;
    for (int back = 1; back <= WEEKS * 7; back++) {
      LocalDate day = today.minusDays(back);
      if (day.getDayOfWeek() == weekday && !day.isBefore(firstDay)) {
        sum += sums.getOrDefault(day, 0L);
        days++;
      }
    }
    return days == 0 || today.minusDays(7).isBefore(firstDay) ? 0 : (double) sum / days;
  }

  private static long daysOf(YearMonth month, DayOfWeek weekday) {
    return month
        .atDay(1)
        .datesUntil(month.atEndOfMonth().plusDays(1))
        .filter(day -> day.getDayOfWeek() == weekday)
        .count();
  }
}
