package fabulum.core.hours;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * When a line is open, and how much working time lies between two instants. An instant is working
 * time when its local date is not a closed day and its local time lies within a span of the week;
 * so the hour that a clock change repeats counts twice, and the hour it skips not at all. Without
 * any span the line is always open, but for its closed days.
 *
 * @param zone in which spans and closed days are meant
 * @param week spans that do not overlap, in any order
 * @param closedDays whole local dates
 */
public record Hours(ZoneId zone, List<Span> week, Set<LocalDate> closedDays) {
  static final int MINUTES_A_WEEK = 7 * Span.MINUTES_A_DAY;

  /**
   * A search for open hours gives up after this many days: a line that is closed for two years has
   * closed down.
   */
  private static final int PATIENCE_DAYS = 2 * 366;

  /** Less than this is found sooner by walking. */
  private static final Duration WORTH_LEAPING = Duration.ofDays(2);

  /** More spans than these do not follow each other without a gap within that time. */
  private static final int LONGEST_RUN = 4 * PATIENCE_DAYS;

  public Hours {
    week = week.stream().sorted(Comparator.comparingInt(Span::start)).toList();
    closedDays = Set.copyOf(closedDays);
    if (!overlapping(week).isEmpty()) {
      throw new IllegalArgumentException(
          "Opening hours overlap on " + overlapping(week).get(0).day());
    }
  }

  /** Always open. */
  public static Hours always(ZoneId zone) {
    return new Hours(zone, List.of(), Set.of());
  }

  /**
   * Spans that begin before the one before them has ended; empty when all is well. The week goes
   * round.
   */
  public static List<Span> overlapping(List<Span> week) {
    List<Span> sorted = week.stream().sorted(Comparator.comparingInt(Span::start)).toList();
    List<Span> overlapping = new ArrayList<>();
    for (int i = 0; i < sorted.size(); i++) {
      Span span = sorted.get(i);
      boolean last = i == sorted.size() - 1;
      int next = last ? sorted.get(0).start() + MINUTES_A_WEEK : sorted.get(i + 1).start();
      if (span.start() + span.minutes() > next) {
        overlapping.add(last ? sorted.get(0) : sorted.get(i + 1));
      }
    }
    return overlapping;
  }

  /** Whether this instant is working time. */
  public boolean isOpen(Instant at) {
    return openOn(dateOf(at)).stream()
        .anyMatch(open -> !at.isBefore(open.from()) && at.isBefore(open.to()));
  }

  /**
   * The first instant of working time at or after this one; empty when there is none for two years.
   */
  public Optional<Instant> nextOpen(Instant at) {
    return plus(at, Duration.ofNanos(1)).map(end -> end.minusNanos(1));
  }

  /**
   * When it next closes, while it is open, or next opens; empty when that is not within two years.
   */
  public Optional<Instant> nextChange(Instant at) {
    if (week.isEmpty() && closedDays.isEmpty()) {
      return Optional.empty();
    }
    if (!isOpen(at)) {
      return nextOpen(at);
    }
    Instant end = at;
    for (int spans = 0; spans < LONGEST_RUN && isOpen(end); spans++) {
      Instant now = end;
      end =
          openOn(dateOf(now)).stream()
              .filter(open -> !now.isBefore(open.from()) && now.isBefore(open.to()))
              .map(OpenDay.Open::to)
              .findFirst()
              .orElseThrow();
    }
    return isOpen(end) ? Optional.empty() : Optional.of(end);
  }

  /**
   * Working time from one instant to another; negative when the second comes first. Whole days in
   * between are computed, not walked, so fifty years cost about as much as a week.
   */
  public Duration between(Instant from, Instant to) {
    if (to.isBefore(from)) {
      return between(to, from).negated();
    }
    LocalDate first = dateOf(from);
    LocalDate last = dateOf(to);
    Duration sum = on(first, from, to);
    if (last.isAfter(first)) {
      sum = sum.plus(wholeDays(first.plusDays(1), last)).plus(on(last, from, to));
    }
    return sum;
  }

  /** Working time from this instant to many others. */
  public WorkingTime from(Instant from) {
    return new WorkingTime(this, from);
  }

  /** Working time of one local date that lies between two instants. */
  private Duration on(LocalDate day, Instant from, Instant to) {
    Duration sum = Duration.ZERO;
    for (OpenDay.Open open : openOn(day)) {
      sum = sum.plus(open.within(from, to));
    }
    return sum;
  }

  /** Working time of whole local dates. */
  private Duration wholeDays(LocalDate first, LocalDate end) {
    return WholeDays.of(this).between(first, end);
  }

  /**
   * The first instant at which this much working time has passed; the start itself for none.
   *
   * @param working not negative
   * @return empty when the line is not open for so long within two years of closed days
   */
  public Optional<Instant> plus(Instant start, Duration working) {
    Duration left = working;
    if (left.isZero()) {
      return Optional.of(start);
    }
    int closedInARow = 0;
    LocalDate day = dateOf(start);
    while (closedInARow < PATIENCE_DAYS) {
      Duration before = left;
      for (OpenDay.Open open : openOn(day)) {
        Instant from = open.from().isBefore(start) ? start : open.from();
        Duration here = open.within(start, open.to());
        if (here.compareTo(left) >= 0) {
          return Optional.of(from.plus(left));
        }
        left = left.minus(here);
      }
      closedInARow = before.equals(left) ? closedInARow + 1 : 0;
      day = day.plusDays(1);
      if (closedInARow == 0) {
        Leap leap = leap(day, left, 1);
        day = leap.to();
        left = leap.left();
      }
    }
    return Optional.empty();
  }

  /**
   * The last instant from which this much working time passes until {@code end}; the end itself for
   * none. The mirror of {@link #plus}.
   *
   * @param working not negative
   * @return empty when the line was not open for so long within two years of closed days
   */
  public Optional<Instant> minus(Instant end, Duration working) {
    Duration left = working;
    if (left.isZero()) {
      return Optional.of(end);
    }
    int closedInARow = 0;
    LocalDate day = dateOf(end);
    while (closedInARow < PATIENCE_DAYS) {
      Duration before = left;
      List<OpenDay.Open> open = openOn(day);
      for (int i = open.size() - 1; i >= 0; i--) {
        Instant to = open.get(i).to().isAfter(end) ? end : open.get(i).to();
        Duration here = open.get(i).within(open.get(i).from(), end);
        if (here.compareTo(left) >= 0) {
          return Optional.of(to.minus(left));
        }
        left = left.minus(here);
      }
      closedInARow = before.equals(left) ? closedInARow + 1 : 0;
      day = day.minusDays(1);
      if (closedInARow == 0) {
        Leap leap = leap(day, left, -1);
        day = leap.to();
        left = leap.left();
      }
    }
    return Optional.empty();
  }

  /** The date reached by leaping over whole days, and the working time that is left then. */
  private record Leap(LocalDate to, Duration left) {}

  /**
   * Leaps over as many whole days as certainly hold less working time than is left: weeks that have
   * twice their length to spare, again and again.
   *
   * @param way 1 into the future, -1 into the past; {@code day} is the first day leapt over
   */
  private Leap leap(LocalDate day, Duration left, int way) {
    if (left.compareTo(WORTH_LEAPING) < 0) {
      return new Leap(day, left);
    }
    WholeDays days = WholeDays.of(this);
    LocalDate at = day;
    Duration rest = left;
    long weeks = rest.dividedBy(days.longestWeek());
    while (weeks > 1) {
      LocalDate to = at.plusDays(way * 7 * (weeks - 1));
      Duration over = way > 0 ? days.between(at, to) : days.between(to.plusDays(1), at.plusDays(1));
      if (over.isZero()) {
        break;
      }
      at = to;
      rest = rest.minus(over);
      weeks = rest.dividedBy(days.longestWeek());
    }
    return new Leap(at, rest);
  }

  /**
   * The first instant to which at least this much working time passes from {@code now}; for less
   * than nothing, the first from which at most so much has passed. So {@code between(now, t)} is at
   * least {@code working} exactly when {@code t} is not before it.
   *
   * @param working may be negative
   * @return empty when there is none within two years of closed days
   */
  public Optional<Instant> reach(Instant now, Duration working) {
    return working.isNegative() || working.isZero()
        ? minus(now, working.negated().plusNanos(1)).map(last -> last.plusNanos(1))
        : plus(now, working);
  }

  /**
   * The last instant to which no more than this much working time passes from {@code now}. So
   * {@code between(now, t)} is at most {@code working} exactly when {@code t} is not after it.
   *
   * @param working may be negative
   * @return empty when there is none within two years of closed days
   */
  public Optional<Instant> latest(Instant now, Duration working) {
    return working.isNegative()
        ? minus(now, working.negated())
        : plus(now, working.plusNanos(1)).map(first -> first.minusNanos(1));
  }

  LocalDate dateOf(Instant at) {
    return at.atZone(zone).toLocalDate();
  }

  /** The working time of a local date, in order of instants. */
  private List<OpenDay.Open> openOn(LocalDate day) {
    return OpenDay.of(this, day);
  }
}
