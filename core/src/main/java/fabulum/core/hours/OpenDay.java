package fabulum.core.hours;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.zone.ZoneOffsetTransition;
import java.time.zone.ZoneRules;
import java.util.ArrayList;
import java.util.List;

/** When a single local date is open. */
final class OpenDay {
  private OpenDay() {}

  /** A stretch of working time between instants. */
  record Open(Instant from, Instant to) {
    Duration within(Instant start, Instant end) {
      Instant a = from.isBefore(start) ? start : from;
      Instant b = to.isAfter(end) ? end : to;
      return a.isBefore(b) ? Duration.between(a, b) : Duration.ZERO;
    }
  }

  /**
   * The working time of a local date, in order of instants; in pieces where the zone changes its
   * offset on that day.
   */
  static List<Open> of(Hours hours, LocalDate day) {
    if (hours.closedDays().contains(day)) {
      return List.of();
    }
    List<Open> open = new ArrayList<>();
    for (Piece piece : pieces(hours.zone(), day)) {
      for (int[] minutes : minutesOpen(hours, day.getDayOfWeek())) {
        Instant from = piece.at(day, minutes[0]);
        Instant to = piece.at(day, minutes[1]);
        Instant a = from.isBefore(piece.from()) ? piece.from() : from;
        Instant b = to.isAfter(piece.to()) ? piece.to() : to;
        if (a.isBefore(b)) {
          open.add(new Open(a, b));
        }
      }
    }
    return open;
  }

  /**
   * Minutes of a day of the week from and to which the week is open, in order; what spills over
   * from the day before comes first.
   */
  static List<int[]> minutesOpen(Hours hours, DayOfWeek day) {
    if (hours.week().isEmpty()) {
      return List.of(new int[] {0, Span.MINUTES_A_DAY});
    }
    int today = (day.getValue() - 1) * Span.MINUTES_A_DAY;
    List<int[]> open = new ArrayList<>();
    for (int shift : new int[] {-Hours.MINUTES_A_WEEK, 0}) {
      for (Span span : hours.week()) {
        int from = Math.max(0, span.start() + shift - today);
        int to = Math.min(Span.MINUTES_A_DAY, span.start() + shift + span.minutes() - today);
        if (from < to) {
          open.add(new int[] {from, to});
        }
      }
    }
    return open;
  }

  /** A part of a local date in which the offset does not change. */
  private record Piece(Instant from, Instant to, ZoneOffset offset) {
    Instant at(LocalDate day, int minute) {
      return day.atTime(LocalTime.MIDNIGHT).toInstant(offset).plusSeconds(minute * 60L);
    }
  }

  private static List<Piece> pieces(ZoneId zone, LocalDate day) {
    ZoneRules rules = zone.getRules();
    Instant from = day.atStartOfDay(zone).toInstant();
    Instant end = day.plusDays(1).atStartOfDay(zone).toInstant();
    List<Piece> pieces = new ArrayList<>();
    while (from.isBefore(end)) {
      ZoneOffsetTransition change = rules.nextTransition(from);
      Instant to = change == null || change.getInstant().isAfter(end) ? end : change.getInstant();
      pieces.add(new Piece(from, to, rules.getOffset(from)));
      from = to;
    }
    return pieces;
  }
}
