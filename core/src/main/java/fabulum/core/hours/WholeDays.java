package fabulum.core.hours;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.time.zone.ZoneOffsetTransition;
import java.time.zone.ZoneRules;
import java.util.Set;
import java.util.TreeSet;

/**
 * Working time of whole local dates, computed from the week: the days of a week repeat, except for
 * closed days and the few days on which the zone changes its offset.
 *
 * @param hours whose days they are
 * @param upTo minutes open in a plain week before each of its days, Monday first; the last one is
 *     the whole week
 */
record WholeDays(Hours hours, int[] upTo) {
  /** An offset changes by at most a whole day (the Samoan islands left out one in 2011). */
  private static final Duration LARGEST_CHANGE = Duration.ofDays(1);

  static WholeDays of(Hours hours) {
    int[] upTo = new int[8];
    for (Span span : hours.week()) {
      int at = span.start();
      for (int left = span.minutes(); left > 0; ) {
        int here = Math.min(left, Span.MINUTES_A_DAY - at % Span.MINUTES_A_DAY);
        upTo[at / Span.MINUTES_A_DAY % 7 + 1] += here;
        at += here;
        left -= here;
      }
    }
    for (int day = 1; day < upTo.length; day++) {
      upTo[day] += upTo[day - 1] + (hours.week().isEmpty() ? Span.MINUTES_A_DAY : 0);
    }
    return new WholeDays(hours, upTo);
  }

  /** No seven dates in a row hold more working time than this. */
  Duration longestWeek() {
    return Duration.ofMinutes(upTo[7]).plus(LARGEST_CHANGE);
  }

  /** Working time from the start of one date to the start of another, which is not before it. */
  Duration between(LocalDate first, LocalDate end) {
    if (!first.isBefore(end)) {
      return Duration.ZERO;
    }
    long minutes = plainUpTo(end) - plainUpTo(first);
    for (LocalDate closed : hours.closedDays()) {
      if (!closed.isBefore(first) && closed.isBefore(end)) {
        minutes -= plain(closed);
      }
    }
    Duration sum = Duration.ofMinutes(minutes);
    for (LocalDate changing : changingDays(first, end)) {
      sum = sum.plus(actual(changing)).minusMinutes(plain(changing));
    }
    return sum;
  }

  /** Minutes open in plain weeks from Monday, 29 December 1969, to the start of a date. */
  private long plainUpTo(LocalDate day) {
    long days = day.toEpochDay() + 3;
    return Math.floorDiv(days, 7L) * upTo[7] + upTo[(int) Math.floorMod(days, 7L)];
  }

  private long plain(LocalDate day) {
    int n = day.getDayOfWeek().getValue();
    return upTo[n] - upTo[n - 1];
  }

  private Duration actual(LocalDate day) {
    return OpenDay.of(hours, day).stream()
        .map(open -> Duration.between(open.from(), open.to()))
        .reduce(Duration.ZERO, Duration::plus);
  }

  /** The dates, other than closed ones, that a change of the zone's offset touches. */
  private Set<LocalDate> changingDays(LocalDate first, LocalDate end) {
    Set<LocalDate> touched = new TreeSet<>();
    ZoneRules rules = hours.zone().getRules();
    Instant from = first.atStartOfDay(hours.zone()).toInstant().minus(2, ChronoUnit.DAYS);
    ZoneOffsetTransition change = rules.nextTransition(from);
    while (change != null && change.getDateTimeBefore().toLocalDate().isBefore(end.plusDays(2))) {
      LocalDate before = change.getDateTimeBefore().toLocalDate();
      LocalDate after = change.getDateTimeAfter().toLocalDate();
      LocalDate one = before.isBefore(after) ? before : after;
      LocalDate other = before.isBefore(after) ? after : before;
      for (LocalDate day = one; !day.isAfter(other); day = day.plusDays(1)) {
        if (!day.isBefore(first) && day.isBefore(end) && !hours.closedDays().contains(day)) {
          touched.add(day);
        }
      }
      change = rules.nextTransition(change.getInstant());
    }
    return touched;
  }
}
