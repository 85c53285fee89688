package fabulum.core.hours;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Working time from one instant to many others: as {@link Hours#between} says it, but what the
 * others share (the days in between, the spans of a day) is worked out once. For one thread.
 */
public final class WorkingTime {
  private final Hours hours;
  private final Instant from;
  private final LocalDate first;
  private final WholeDays days;
  private final Map<LocalDate, Day> known = new HashMap<>();

  WorkingTime(Hours hours, Instant from) {
    this.hours = hours;
    this.from = from;
    this.first = hours.dateOf(from);
    this.days = WholeDays.of(hours);
  }

  /**
   * A local date.
   *
   * @param before working time from the first instant to its start; negative when it began earlier
   */
  private record Day(Duration before, List<OpenDay.Open> open) {}

  /** Working time to this instant; negative when it comes first. */
  public Duration to(Instant at) {
    Day day = known.computeIfAbsent(hours.dateOf(at), this::day);
    return day.before().plus(until(at, day.open()));
  }

  private Day day(LocalDate date) {
    Duration gone = until(from, OpenDay.of(hours, first));
    Duration start =
        date.isAfter(first) ? days.between(first, date) : days.between(date, first).negated();
    return new Day(start.minus(gone), OpenDay.of(hours, date));
  }

  private static Duration until(Instant end, List<OpenDay.Open> day) {
    Duration sum = Duration.ZERO;
    for (OpenDay.Open open : day) {
      sum = sum.plus(open.within(Instant.MIN, end));
    }
    return sum;
  }
}
