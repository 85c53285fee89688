package fabulum.server.figures;

import fabulum.core.hours.Hours;
import fabulum.core.report.Measure;
import java.math.BigDecimal;
import java.math.MathContext;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/** What happened as a test remembers it, and figures of it by the plain words of their meaning. */
final class PlainFigures {
  static final ZoneId ZONE = ZoneId.of("America/Chicago");

  static final Comparator<Happened> FURTHEST_FIRST =
      Comparator.comparingLong(Happened::beyond).thenComparing(one -> one.at).reversed();

  final List<Happened> all = new ArrayList<>();
  final Map<Long, Script> scripts = new HashMap<>();

  /** Something that counts. Of a topic it is while its round has it. */
  static final class Happened {
    final Measure measure;
    final Instant at;
    final long line;
    final long staff;
    final Round round;
    final @Nullable Long seconds;
    final long promise;

    Happened(
        Measure measure,
        Instant at,
        long line,
        long staff,
        Round round,
        @Nullable Long seconds,
        long promise) {
      this.measure = measure;
      this.at = at;
      this.line = line;
      this.staff = staff;
      this.round = round;
      this.seconds = seconds;
      this.promise = promise;
    }

    /** How far beyond its promise it was; without a promise, how long it took. */
    long beyond() {
      return (seconds == null ? 0 : seconds) - (promise == Long.MAX_VALUE ? 0 : promise);
    }

    LocalDate day() {
      return at.atZone(ZONE).toLocalDate();
    }
  }

  /** From one opening of a conversation to the next, and what it was about at its end. */
  static final class Round {
    Set<Long> topics;

    Round(Set<Long> topics) {
      this.topics = new HashSet<>(topics);
    }
  }

  /** One conversation. */
  static final class Script {
    final long line;
    final List<Instant[]> waits = new ArrayList<>();
    final List<Happened> answers = new ArrayList<>();
    @Nullable Instant waiting;
    @Nullable Happened lost;
    boolean open = true;
    boolean unanswered;
    Instant opened;
    Round round = new Round(Set.of());

    Script(long line, Instant opened) {
      this.line = line;
      this.opened = opened;
    }

    void opens(Instant at) {
      open = true;
      opened = at;
      round = new Round(round.topics);
    }

    void waitEnds(Instant at) {
      if (waiting != null && waiting.isBefore(at)) {
        waits.add(new Instant[] {waiting, at});
      }
      waiting = null;
    }

    /** It goes on since then, so what was taken for its end was none. */
    void waitGoesOn(Instant since) {
      waiting = waiting == null || since.isBefore(waiting) ? since : waiting;
      waits.removeIf(wait -> !wait[0].isBefore(since));
      waits.stream().filter(wait -> wait[1].isAfter(since)).forEach(wait -> wait[1] = since);
    }
  }

  Happened add(Happened one) {
    all.add(one);
    return one;
  }

  static long working(Hours hours, Instant from, Instant to) {
    return hours.between(from, to).toSeconds();
  }

  List<Happened> of(Measure measure, Predicate<Happened> which) {
    return all.stream().filter(one -> one.measure == measure && which.test(one)).toList();
  }

  /** The smallest that at least this share did not exceed, found by counting. */
  static @Nullable BigDecimal percentile(List<Happened> of, int percent) {
    long[] times = of.stream().mapToLong(one -> one.seconds).sorted().toArray();
    return Arrays.stream(times)
        .filter(time ->
            100L * Arrays.stream(times).filter(each -> each <= time).count()
                >= (long) percent * times.length)
        .mapToObj(BigDecimal::valueOf)
        .findFirst()
        .orElse(null);
  }

  static @Nullable BigDecimal share(long part, long whole) {
    return whole == 0
        ? null
        : BigDecimal.valueOf(part).divide(BigDecimal.valueOf(whole), MathContext.DECIMAL32);
  }

  static long kept(List<Happened> of) {
    return of.stream().filter(one -> one.seconds <= one.promise).count();
  }

  /** Seconds waited in each hour of the week on some days, minute by minute. */
  long[] waited(long line, LocalDate first, LocalDate last, Instant now) {
    long[] hours = new long[168];
    for (Script script : scripts.values()) {
      if (script.line == line) {
        List<Instant[]> waits = new ArrayList<>(script.waits);
        if (script.waiting != null) {
          waits.add(new Instant[] {script.waiting, now});
        }
        waits.forEach(wait -> count(hours, wait, first, last));
      }
    }
    return hours;
  }

  private static void count(long[] hours, Instant[] wait, LocalDate first, LocalDate last) {
    long offset = Duration.ofHours(-5).toSeconds();
    long end = wait[1].getEpochSecond() + offset;
    for (long local = wait[0].getEpochSecond() + offset; local < end; ) {
      long minuteEnds = Math.min(end, (Math.floorDiv(local, 60L) + 1) * 60);
      LocalDate day = LocalDate.ofEpochDay(Math.floorDiv(local, 86_400L));
      if (!day.isBefore(first) && !day.isAfter(last)) {
        int hour = (int) (Math.floorMod(local, 86_400L) / 3_600);
        hours[(day.getDayOfWeek().getValue() - 1) * 24 + hour] += minuteEnds - local;
      }
      local = minuteEnds;
    }
  }

  Set<LocalDate> days() {
    Set<LocalDate> days = new TreeSet<>();
    all.forEach(one -> days.add(one.day()));
    return days;
  }
}
