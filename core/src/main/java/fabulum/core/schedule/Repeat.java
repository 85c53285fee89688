package fabulum.core.schedule;

import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.LongStream;
import java.util.stream.Stream;

/**
 * A rule of dates: a subset of the recurrence rules of RFC 5545, section 3.3.10, over dates without
 * times. Text and sentence of a rule are in {@link RepeatText}.
 *
 * @param every 1 to {@value #MOST_EVERY} periods lie between those with dates
 * @param times after how many dates it ends, 1 to {@value #MOST_TIMES}; empty for no such end
 * @param until its last possible date; empty for none. Not together with {@code times}
 */
public record Repeat(Cycle cycle, int every, OptionalInt times, Optional<LocalDate> until) {
  /** The most periods between dates. */
  public static final int MOST_EVERY = 99;

  /** The most dates after which a rule can end. */
  public static final int MOST_TIMES = 1_000;

  /** No date after this year is worked out. */
  private static final int LAST_YEAR = 2199;

  public Repeat {
    if (every < 1 || every > MOST_EVERY) {
      throw new IllegalArgumentException("Repeat every 1 to " + MOST_EVERY + ".");
    }
    if (times.isPresent() && (times.getAsInt() < 1 || times.getAsInt() > MOST_TIMES)) {
      throw new IllegalArgumentException("End after 1 to " + MOST_TIMES + " times.");
    }
    if (times.isPresent() && until.isPresent()) {
      throw new IllegalArgumentException("End after a number of times or on a date, not both.");
    }
  }

  /**
   * Its dates in order, none before the first day. The first day is one of them only if it fits the
   * rule.
   */
  public Stream<LocalDate> dates(LocalDate first) {
    return dates(first, first);
  }

  /** Its dates from a day on, counted from the first day all the same. */
  public Stream<LocalDate> dates(LocalDate first, LocalDate from) {
    LocalDate last = until.orElse(LocalDate.of(LAST_YEAR, 12, 31));
    long lastPeriod = cycle.between(first, last);
    Stream<LocalDate> all =
        LongStream.iterate(begin(first, from), period -> period <= lastPeriod, p -> p + every)
            .boxed()
            .flatMap(period -> cycle.dates(first, period))
            .filter(day -> !day.isBefore(first))
            .takeWhile(day -> !day.isAfter(last));
    return (times.isPresent() ? all.limit(times.getAsInt()) : all)
        .dropWhile(day -> day.isBefore(from));
  }

  /** What is counted is counted from the beginning; else nothing before is looked at. */
  private long begin(LocalDate first, LocalDate from) {
    return times.isPresent() ? 0 : Math.max(0, cycle.between(first, from) / every * every);
  }
}
