package fabulum.core.schedule;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.YearMonth;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Which dates a rule names in each of its periods: days, weeks that begin on Monday, months or
 * years of the ISO calendar. A period is counted from the one in which the first date lies.
 */
public sealed interface Cycle {

  /** The dates of the period that lies this many periods after the one with that date, in order. */
  Stream<LocalDate> dates(LocalDate first, long periods);

  /**
   * How many periods lie between the ones with these dates; negative when the second is earlier.
   */
  long between(LocalDate first, LocalDate then);

  /** What a rule does where a month is too short for its day. */
  enum Missing {
    /** It names no date there. */
    LEFT_OUT,
    /** It names the last day. */
    LAST_DAY
  }

  /** Every day. */
  record Daily() implements Cycle {
    @Override
    public Stream<LocalDate> dates(LocalDate first, long periods) {
      return Stream.of(first.plusDays(periods));
    }

    @Override
    public long between(LocalDate first, LocalDate then) {
      return ChronoUnit.DAYS.between(first, then);
    }
  }

  /**
   * Days of the week.
   *
   * @param days at least one
   */
  record Weekly(Set<DayOfWeek> days) implements Cycle {
    public Weekly {
      if (days.isEmpty()) {
        throw new IllegalArgumentException("Choose at least one day of the week.");
      }
      days = Collections.unmodifiableSet(EnumSet.copyOf(days));
    }

    @Override
    public Stream<LocalDate> dates(LocalDate first, long periods) {
      LocalDate monday = monday(first).plusWeeks(periods);
      return days.stream().map(day -> monday.plusDays(day.getValue() - 1L));
    }

    @Override
    public long between(LocalDate first, LocalDate then) {
      return ChronoUnit.WEEKS.between(monday(first), monday(then));
    }

    private static LocalDate monday(LocalDate day) {
      return day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }
  }

  /**
   * A day of the month.
   *
   * @param day 1 to 31; 31 with {@link Missing#LAST_DAY} is the last day of each month
   */
  record Monthly(int day, Missing missing) implements Cycle {
    public Monthly {
      if (day < 1 || day > 31) {
        throw new IllegalArgumentException("A month has days 1 to 31.");
      }
    }

    @Override
    public Stream<LocalDate> dates(LocalDate first, long periods) {
      return inMonth(YearMonth.from(first).plusMonths(periods), day, missing).stream();
    }

    @Override
    public long between(LocalDate first, LocalDate then) {
      return ChronoUnit.MONTHS.between(YearMonth.from(first), YearMonth.from(then));
    }
  }

  /**
   * A day of the week in a month, such as the second Tuesday.
   *
   * @param nth 1 to 4, or −1 for the last
   */
  record MonthlyWeekday(int nth, DayOfWeek day) implements Cycle {
    public MonthlyWeekday {
      if (nth != -1 && (nth < 1 || nth > 4)) {
        throw new IllegalArgumentException("Choose the first to the fourth, or the last.");
      }
    }

    @Override
    public Stream<LocalDate> dates(LocalDate first, long periods) {
      LocalDate month = YearMonth.from(first).plusMonths(periods).atDay(1);
      return Stream.of(month.with(TemporalAdjusters.dayOfWeekInMonth(nth, day)));
    }

    @Override
    public long between(LocalDate first, LocalDate then) {
      return ChronoUnit.MONTHS.between(YearMonth.from(first), YearMonth.from(then));
    }
  }

  /**
   * A day of the year.
   *
   * @param day one that the month has at least in some years
   * @param missing what holds for 29 February in years without it
   */
  record Yearly(Month month, int day, Missing missing) implements Cycle {
    public Yearly {
      if (day < 1 || day > month.maxLength()) {
        throw new IllegalArgumentException("That month has days 1 to " + month.maxLength() + ".");
      }
    }

    @Override
    public Stream<LocalDate> dates(LocalDate first, long periods) {
      int year = Math.toIntExact(first.getYear() + periods);
      return inMonth(YearMonth.of(year, month), day, missing).stream();
    }

    @Override
    public long between(LocalDate first, LocalDate then) {
      return (long) then.getYear() - first.getYear();
    }
  }

  private static Optional<LocalDate> inMonth(YearMonth month, int day, Missing missing) {
    if (day <= month.lengthOfMonth()) {
      return Optional.of(month.atDay(day));
    }
    return missing == Missing.LAST_DAY ? Optional.of(month.atEndOfMonth()) : Optional.empty();
  }
}
