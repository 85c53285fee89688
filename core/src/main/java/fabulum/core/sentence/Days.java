package fabulum.core.sentence;

import fabulum.core.hours.PossibleDates;
import java.time.LocalDate;
import java.util.Optional;

/**
 * Days of the last text, in the zone of its line.
 *
 * @param last today and this number of days before it, 1 to 3660; empty for fixed dates
 * @param from the first date; empty for from the beginning
 * @param to the last date; empty for until now
 */
public record Days(Optional<Integer> last, Optional<LocalDate> from, Optional<LocalDate> to) {
  private static final int MOST = 3_660;

  public Days {
    boolean fixed = from.isPresent() || to.isPresent();
    if (last.isPresent() == fixed) {
      throw new IllegalArgumentException("Days are either the last few or between two dates");
    }
    if (last.filter(days -> days < 1 || days > MOST).isPresent()) {
      throw new IllegalArgumentException("The last days are 1 to 3660");
    }
    if (from.filter(day -> !PossibleDates.isOne(day)).isPresent()
        || to.filter(day -> !PossibleDates.isOne(day)).isPresent()) {
      throw new IllegalArgumentException("Dates lie between 1900 and 2199");
    }
    if (from.isPresent() && to.isPresent() && to.get().isBefore(from.get())) {
      throw new IllegalArgumentException("The last day comes before the first");
    }
  }

  /** Today and the days before it, this number in all. */
  public static Days last(int days) {
    return new Days(Optional.of(days), Optional.empty(), Optional.empty());
  }

  /** The first date that counts. */
  public Optional<LocalDate> first(LocalDate today) {
    return last.isPresent() ? last.map(days -> today.minusDays(days - 1L)) : from;
  }

  /** Whether a date counts. */
  public boolean hold(LocalDate day, LocalDate today) {
    return first(today).filter(day::isBefore).isEmpty() && to.filter(day::isAfter).isEmpty();
  }
}
