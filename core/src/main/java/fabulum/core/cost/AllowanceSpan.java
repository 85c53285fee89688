package fabulum.core.cost;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;

/**
 * The time for which an allowance holds. It is counted in local days, so one with a clock change in
 * it has 23 or 25 hours and is one day all the same.
 */
public enum AllowanceSpan {
  /** From midnight to midnight. */
  DAY("today"),
  /** From Monday to Sunday (ISO 8601). */
  WEEK("this week"),
  /** A calendar month. */
  MONTH("this month");

  private final String said;

  AllowanceSpan(String said) {
    this.said = said;
  }

  /** As people say it: {@code today}, {@code this week}, {@code this month}. */
  public String said() {
    return said;
  }

  /** The first day of the span in which a day lies. */
  public LocalDate first(LocalDate day) {
    return switch (this) {
      case DAY -> day;
      case WEEK -> day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
      case MONTH -> day.withDayOfMonth(1);
    };
  }

  /** The last day of the span in which a day lies. */
  public LocalDate last(LocalDate day) {
    return switch (this) {
      case DAY -> day;
      case WEEK -> first(day).plusDays(6);
      case MONTH -> day.with(TemporalAdjusters.lastDayOfMonth());
    };
  }
}
