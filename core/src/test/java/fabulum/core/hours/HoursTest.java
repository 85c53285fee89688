package fabulum.core.hours;

import static java.time.DayOfWeek.FRIDAY;
import static java.time.DayOfWeek.MONDAY;
import static java.time.DayOfWeek.SATURDAY;
import static java.time.DayOfWeek.SUNDAY;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.core.Rounds;
import fabulum.core.promise.Promise;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class HoursTest {
  private static final long SEED = 20261101L;
  private static final ZoneId CHICAGO = ZoneId.of("America/Chicago");
  private static final LocalTime EIGHT = LocalTime.of(8, 0);
  private static final LocalTime FIVE = LocalTime.of(17, 0);

  /**
   * Zones whose clocks change by an hour, by half an hour, at midnight, not at all, and by a whole
   * day.
   */
  private static final List<String> ZONES =
      List.of(
          "America/Chicago",
          "America/New_York",
          "Europe/Berlin",
          "Australia/Lord_Howe",
          "America/Havana",
          "Asia/Kathmandu",
          "Pacific/Apia");

  private static List<Span> workdays() {
    List<Span> week = new ArrayList<>();
    for (DayOfWeek day : DayOfWeek.values()) {
      if (day.compareTo(SATURDAY) < 0) {
        week.add(Span.of(day, EIGHT, FIVE));
      }
    }
    return week;
  }

  @Test
  void nightsWeekendsAndClosedDaysDoNotCount() {
    Hours hours = new Hours(CHICAGO, workdays(), Set.of(LocalDate.of(2026, 6, 8)));
    Instant fridayAfternoon = local(2026, 6, 5, 16, 30);

    assertThat(hours.plus(fridayAfternoon, Duration.ofHours(1))).contains(local(2026, 6, 9, 8, 30));
    assertThat(hours.between(fridayAfternoon, local(2026, 6, 9, 9, 0)))
        .isEqualTo(Duration.ofMinutes(90));
    assertThat(hours.nextOpen(local(2026, 6, 6, 12, 0))).contains(local(2026, 6, 9, 8, 0));
    assertThat(hours.isOpen(local(2026, 6, 5, 16, 59))).isTrue();
    assertThat(hours.isOpen(local(2026, 6, 5, 17, 0))).isFalse();
    assertThat(hours.isOpen(local(2026, 6, 8, 12, 0))).isFalse();
  }

  @Test
  void aPromiseIsFulfilledAtTheLastMinuteOfADayAndNotAtTheNextOpening() {
    Hours hours = new Hours(CHICAGO, workdays(), Set.of());
    assertThat(hours.plus(local(2026, 6, 9, 16, 0), Duration.ofHours(1)))
        .contains(local(2026, 6, 9, 17, 0));
  }

  @Test
  void aSpanPastMidnightCountsOnBothDays() {
    Hours hours =
        new Hours(
            CHICAGO,
            List.of(Span.pastMidnight(SUNDAY, LocalTime.of(22, 0), LocalTime.of(2, 0))),
            Set.of());
    assertThat(hours.between(local(2026, 6, 7, 0, 0), local(2026, 6, 9, 0, 0)))
        .isEqualTo(Duration.ofHours(4));
    assertThat(hours.isOpen(local(2026, 6, 8, 1, 59))).isTrue();
    assertThat(hours.isOpen(local(2026, 6, 8, 2, 0))).isFalse();
  }

  @Test
  void theHourThatIsSkippedDoesNotCountAndTheOneThatIsRepeatedCountsTwice() {
    Hours always = Hours.always(CHICAGO);
    assertThat(always.between(local(2026, 3, 8, 0, 0), local(2026, 3, 9, 0, 0)))
        .isEqualTo(Duration.ofHours(23));
    assertThat(always.between(local(2026, 11, 1, 0, 0), local(2026, 11, 2, 0, 0)))
        .isEqualTo(Duration.ofHours(25));
    Hours night =
        new Hours(
            CHICAGO, List.of(Span.of(SUNDAY, LocalTime.of(1, 0), LocalTime.of(1, 30))), Set.of());
    assertThat(night.between(local(2026, 11, 1, 0, 0), local(2026, 11, 2, 0, 0)))
        .isEqualTo(Duration.ofHours(1));
  }

  @Test
  void whoeverIsClosedForGoodOwesNoAnswer() {
    Set<LocalDate> everyDay = new HashSet<>();
    for (int i = 0; i < 900; i++) {
      everyDay.add(LocalDate.of(2026, 6, 1).plusDays(i));
    }
    assertThat(
            new Hours(CHICAGO, workdays(), everyDay)
                .plus(local(2026, 6, 9, 9, 0), Duration.ofMinutes(1)))
        .isEmpty();
  }

  @Test
  void hoursThatOverlapAreEmptyOrEndBeforeTheyBeginAreRefused() {
    Span morning = Span.of(MONDAY, EIGHT, LocalTime.NOON);
    assertThatThrownBy(() ->
            new Hours(
                CHICAGO, List.of(morning, Span.of(MONDAY, LocalTime.of(11, 59), FIVE)), Set.of()))
        .hasMessageContaining("overlap");
    Span intoMonday = Span.pastMidnight(SUNDAY, FIVE, LocalTime.of(8, 1));
    assertThatThrownBy(() -> new Hours(CHICAGO, List.of(morning, intoMonday), Set.of()))
        .hasMessageContaining("overlap");
    assertThatThrownBy(() -> Span.of(FRIDAY, EIGHT, EIGHT))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> Span.of(FRIDAY, FIVE, EIGHT))
        .isInstanceOf(IllegalArgumentException.class);
    assertThat(Hours.overlapping(List.of(morning, Span.of(MONDAY, LocalTime.NOON, FIVE))))
        .isEmpty();
  }

  @Test
  void hoursAreReadAsPeopleWriteThem() {
    assertThat(WeekReader.read("Mon-Fri 8:00-17:00")).containsExactlyElementsOf(workdays());
    assertThat(WeekReader.read(" ")).isEmpty();
    assertThat(WeekReader.read("sat-mon 9:00-24:00, Fri 20:00-2:00 next day"))
        .containsExactly(
            Span.of(SATURDAY, LocalTime.of(9, 0), LocalTime.MIDNIGHT),
            Span.of(SUNDAY, LocalTime.of(9, 0), LocalTime.MIDNIGHT),
            Span.of(MONDAY, LocalTime.of(9, 0), LocalTime.MIDNIGHT),
            Span.pastMidnight(FRIDAY, LocalTime.of(20, 0), LocalTime.of(2, 0)));
    for (String nonsense :
        List.of("always", "Mon 8-17", "Mon 8:00-25:00", "Xyz 8:00-9:00", "Mon 17:00-8:00")) {
      assertThatThrownBy(() -> WeekReader.read(nonsense))
          .as(nonsense)
          .isInstanceOf(IllegalArgumentException.class);
    }
  }

  @Test
  void aPromiseOfNothingOrOfAYearIsNone() {
    assertThatThrownBy(() -> new Promise(Duration.ZERO))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Promise(Duration.ofDays(365)))
        .isInstanceOf(IllegalArgumentException.class);
    Hours hours = new Hours(CHICAGO, workdays(), Set.of());
    Instant due =
        new Promise(Duration.ofHours(1)).due(local(2026, 6, 5, 16, 30), hours).orElseThrow();
    assertThat(hours.from(local(2026, 6, 6, 12, 0)).to(due)).isEqualTo(Duration.ofMinutes(30));
    assertThat(hours.from(local(2026, 6, 8, 9, 0)).to(due))
        .as("late")
        .isEqualTo(Duration.ofMinutes(-30));
  }

  @Test
  void itAgreesWithCountingMinuteByMinute() {
    Random random = new Random(SEED);
    for (int i = 0; i < Rounds.of(1_500); i++) {
      Hours hours = anyHours(random);
      Instant from = anyInstant(random, hours.zone());
      Instant to = from.plus(Duration.ofMinutes(random.nextInt(4 * 24 * 60)));
      int counted = countMinutes(hours, from, to);

      assertThat(hours.between(from, to))
          .as("seed %s, case %s, %s, %s to %s", SEED, i, hours, from, to)
          .isEqualTo(Duration.ofMinutes(counted));
      assertThat(hours.between(to, from)).isEqualTo(Duration.ofMinutes(-counted));
      if (counted > 0) {
        Duration working = Duration.ofMinutes(1 + random.nextInt(counted));
        Instant due = hours.plus(from, working).orElseThrow();
        assertThat(due)
            .as("seed %s, case %s, %s, %s plus %s", SEED, i, hours, from, working)
            .isEqualTo(slowPlus(hours, from, working));
        assertThat(hours.between(from, due)).isEqualTo(working);
        Instant latest = hours.minus(due, working).orElseThrow();
        assertThat(hours.between(latest, due)).as("back from %s", due).isEqualTo(working);
        assertThat(latest).as("the last such instant").isAfterOrEqualTo(from);
      }
      Duration span = Duration.ofMinutes(random.nextInt(600) - 300);
      Instant about = from.plus(span).plus(Duration.ofMinutes(random.nextInt(300) - 150));
      assertThat(hours.reach(from, span).filter(first -> !about.isBefore(first)).isPresent())
          .as("seed %s, case %s, %s: %s from %s reaches %s", SEED, i, hours, span, from, about)
          .isEqualTo(hours.between(from, about).compareTo(span) >= 0);
    }
  }

  /**
   * A list shows the time left of many rows from one now, of days before and after, and of one day
   * twice.
   */
  @Test
  void fromOneInstantToManyIsAsFromEachByItself() {
    Random random = new Random(SEED);
    for (int i = 0; i < Rounds.of(300); i++) {
      Hours hours = anyHours(random);
      Instant from = anyInstant(random, hours.zone());
      WorkingTime working = hours.from(from);
      for (int days : new int[] {0, 0, 1, 1, 3, 20, 20, 900}) {
        int minutes = random.nextInt((days + 1) * 24 * 60);
        Instant to = from.plusSeconds(random.nextBoolean() ? minutes * 60L : minutes * -60L);
        assertThat(working.to(to))
            .as("seed %s, case %s, %s, %s to %s", SEED, i, hours, from, to)
            .isEqualTo(hours.between(from, to));
      }
    }
  }

  /** Long stretches are the sum of short ones, which were counted minute by minute above. */
  @Test
  void yearsAreAsLongAsTheirWeeksTogether() {
    Random random = new Random(SEED);
    for (int i = 0; i < Rounds.of(60); i++) {
      Hours hours = anyHours(random);
      Instant from = anyInstant(random, hours.zone());
      Instant to = from.plus(Duration.ofDays(200 + random.nextInt(2_500))).plusSeconds(777);
      Duration sum = Duration.ZERO;
      for (Instant at = from; at.isBefore(to); at = at.plus(Duration.ofDays(1))) {
        Instant end = at.plus(Duration.ofDays(1));
        sum = sum.plus(hours.between(at, end.isAfter(to) ? to : end));
      }
      String story = "seed %s, case %s, %s, %s to %s".formatted(SEED, i, hours, from, to);

      assertThat(hours.between(from, to)).as(story).isEqualTo(sum);
      if (!sum.isZero()) {
        Duration working =
            sum.minusSeconds(random.nextInt((int) Math.min(sum.toSeconds(), 86_400)));
        Instant due = hours.plus(from, working).orElseThrow();
        assertThat(hours.between(from, due)).as(story).isEqualTo(working);
        assertThat(hours.between(from, due.minusNanos(1))).as("no sooner").isLessThan(working);
        Instant last = hours.minus(to, working).orElseThrow();
        assertThat(hours.between(last, to)).as(story).isEqualTo(working);
        assertThat(hours.between(last.plusNanos(1), to)).as("no later").isLessThan(working);
      }
    }
  }

  private static boolean slowlyOpen(Hours hours, Instant minute) {
    ZonedDateTime local = minute.atZone(hours.zone());
    if (hours.closedDays().contains(local.toLocalDate())) {
      return false;
    }
    if (hours.week().isEmpty()) {
      return true;
    }
    int week = 7 * 24 * 60;
    int now =
        ((local.getDayOfWeek().getValue() - 1) * 24 + local.getHour()) * 60 + local.getMinute();
    return hours.week().stream()
        .anyMatch(span -> {
          int start =
              ((span.day().getValue() - 1) * 24 + span.from().getHour()) * 60
                  + span.from().getMinute();
          return Math.floorMod(now - start, week) < span.minutes();
        });
  }

  private static int countMinutes(Hours hours, Instant from, Instant to) {
    int count = 0;
    for (Instant minute = from; minute.isBefore(to); minute = minute.plusSeconds(60)) {
      count += slowlyOpen(hours, minute) ? 1 : 0;
    }
    return count;
  }

  private static Instant slowPlus(Hours hours, Instant from, Duration working) {
    long left = working.toMinutes();
    Instant minute = from;
    while (left > 0) {
      left -= slowlyOpen(hours, minute) ? 1 : 0;
      minute = minute.plusSeconds(60);
    }
    return minute;
  }

  private static Hours anyHours(Random random) {
    ZoneId zone = ZoneId.of(ZONES.get(random.nextInt(ZONES.size())));
    List<Span> week = new ArrayList<>();
    for (int tries = random.nextInt(14); tries > 0; tries--) {
      Span span =
          new Span(
              DayOfWeek.of(1 + random.nextInt(7)),
              LocalTime.of(random.nextInt(24), random.nextInt(4) * 15),
              1 + random.nextInt(random.nextInt(5) == 0 ? 1440 : 480));
      List<Span> more = new ArrayList<>(week);
      more.add(span);
      if (Hours.overlapping(more).isEmpty()) {
        week = more;
      }
    }
    Set<LocalDate> closed = new HashSet<>();
    for (int days = random.nextInt(4); days > 0; days--) {
      closed.add(anyDay(random, zone).plusDays(random.nextInt(3)));
    }
    return new Hours(zone, week, closed);
  }

  private static Instant anyInstant(Random random, ZoneId zone) {
    return anyDay(random, zone)
        .atTime(random.nextInt(24), random.nextInt(60))
        .atZone(zone)
        .toInstant();
  }

  /** Half of the time a day just before the clocks change. */
  private static LocalDate anyDay(Random random, ZoneId zone) {
    Instant any = Instant.parse("2011-01-01T00:00:00Z").plus(Duration.ofDays(random.nextInt(6000)));
    var change = zone.getRules().nextTransition(any);
    boolean near = random.nextBoolean() && change != null;
    return (near ? change.getInstant() : any)
        .atZone(zone)
        .toLocalDate()
        .minusDays(near ? random.nextInt(3) : 0);
  }

  private static Instant local(int year, int month, int day, int hour, int minute) {
    return ZonedDateTime.of(year, month, day, hour, minute, 0, 0, CHICAGO).toInstant();
  }
}
