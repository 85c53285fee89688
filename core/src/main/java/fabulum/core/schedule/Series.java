package fabulum.core.schedule;

import fabulum.core.hours.Hours;
import fabulum.core.hours.Openings;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Texts that go again and again.
 *
 * <p>A time that the clocks skip is later by as much as they go forward; of a time that comes twice
 * it is the first (RFC 5545, section 3.3.5). Two dates that fall on one day, because closed days
 * are between them, are one.
 *
 * @param first no date is before it
 * @param at the time of day
 * @param zone whose clocks it is told by
 */
public record Series(
    LocalDate first, LocalTime at, ZoneId zone, Repeat repeat, WhenClosed whenClosed) {

  /** A text is not put off longer than this many days; it is left out instead. */
  public static final int LONGEST_MOVE = 31;

  /** The moments after one, in order, for a line with these hours. */
  public Stream<Instant> after(Instant moment, Hours hours) {
    Openings openings = new Openings(hours);
    LocalDate from = moment.atZone(zone).toLocalDate().minusDays(LONGEST_MOVE);
    return repeat
        .dates(first, from.isBefore(first) ? first : from)
        .flatMap(day -> goes(day, openings).stream())
        .map(day -> day.atTime(at).atZone(zone).toInstant())
        .filter(then -> then.isAfter(moment))
        .distinct();
  }

  /** The next moment after one; empty when the series is over. */
  public Optional<Instant> next(Instant moment, Hours hours) {
    return after(moment, hours).findFirst();
  }

  private Optional<LocalDate> goes(LocalDate day, Openings openings) {
    int longest = whenClosed == WhenClosed.NEXT_OPEN_DAY ? LONGEST_MOVE : 0;
    for (int days = 0; days <= longest; days++) {
      LocalDate then = day.plusDays(days);
      if (whenClosed == WhenClosed.SEND || openings.isOpenOn(then)) {
        return Optional.of(then);
      }
    }
    return Optional.empty();
  }
}
