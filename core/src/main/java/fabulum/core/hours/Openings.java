package fabulum.core.hours;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.TemporalAdjusters;
import java.util.Comparator;
import java.util.Optional;

/**
 * The moments people mean when they put something off, by a line's own calendar.
 *
 * @param hours of the line
 */
public record Openings(Hours hours) {
  /** How long "later today" is, in working time. */
  public static final Duration LATER = Duration.ofHours(2);

  /** When a line that is always open is said to open in the morning. */
  private static final LocalTime MORNING = LocalTime.of(8, 0);

  private static final int PATIENCE_DAYS = 2 * 366;

  /** After two more working hours; empty when today has no more than that. */
  public Optional<Instant> laterToday(Instant now) {
    return hours.plus(now, LATER).filter(then -> dateOf(then).equals(dateOf(now)));
  }

  /** The opening of the first open day after today; empty when the line is closed for good. */
  public Optional<Instant> tomorrow(Instant now) {
    return firstOpening(dateOf(now).plusDays(1), 1);
  }

  /** The opening of the first Monday after today on which the line opens. */
  public Optional<Instant> nextMonday(Instant now) {
    return firstOpening(dateOf(now).with(TemporalAdjusters.next(DayOfWeek.MONDAY)), 7);
  }

  private Optional<Instant> firstOpening(LocalDate from, int step) {
    for (int days = 0; days < PATIENCE_DAYS; days += step) {
      Optional<Instant> opening = opening(from.plusDays(days));
      if (opening.isPresent()) {
        return opening;
      }
    }
    return Optional.empty();
  }

  /** When the line opens on this date; empty when it does not. */
  public Optional<Instant> opening(LocalDate day) {
    if (!isOpenOn(day)) {
      return Optional.empty();
    }
    LocalTime time =
        hours.week().stream()
            .filter(span -> span.day() == day.getDayOfWeek())
            .map(Span::from)
            .min(Comparator.naturalOrder())
            .orElse(MORNING);
    return Optional.of(day.atTime(time).atZone(hours.zone()).toInstant());
  }

  /** Whether the line opens on this date. */
  public boolean isOpenOn(LocalDate day) {
    if (hours.closedDays().contains(day)) {
      return false;
    }
    DayOfWeek weekday = day.getDayOfWeek();
    for (Span span : hours.week()) {
      if (span.day() == weekday) {
        return true;
      }
    }
    return hours.week().isEmpty();
  }

  private LocalDate dateOf(Instant at) {
    return at.atZone(hours.zone()).toLocalDate();
  }
}
