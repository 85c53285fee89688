package fabulum.core.attendance;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.Rounds;
import fabulum.core.attendance.Covering.End;
import fabulum.core.attendance.Covering.Found;
import fabulum.core.attendance.Presence.Why;
import fabulum.core.hours.Hours;
import fabulum.core.hours.Span;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class AttendanceTest {
  private static final ZoneId CHICAGO = ZoneId.of("America/Chicago");
  private static final OptionalLong NO_COVER = OptionalLong.empty();

  /** Monday to Friday, 8 to 12 and 13 to 17. */
  private static Hours officeHours() {
    List<Span> week = new ArrayList<>();
    for (DayOfWeek day : DayOfWeek.values()) {
      if (day.getValue() <= 5) {
        week.add(Span.of(day, LocalTime.of(8, 0), LocalTime.of(12, 0)));
        week.add(Span.of(day, LocalTime.of(13, 0), LocalTime.of(17, 0)));
      }
    }
    return new Hours(CHICAGO, week, Set.of());
  }

  private static Instant at(String local) {
    return java.time.LocalDateTime.parse(local).atZone(CHICAGO).toInstant();
  }

  private static Attendance someone(Optional<ByHand> byHand, Absence... absences) {
    return new Attendance(true, byHand, officeHours(), List.of(absences), OptionalLong.of(9));
  }

  @Test
  void theTimetableDecidesWhenNothingElseDoes() {
    Presence in = someone(Optional.empty()).at(at("2026-06-09T10:00"));
    assertThat(in.in()).isTrue();
    assertThat(in.until()).contains(at("2026-06-09T12:00"));
    Presence lunch = someone(Optional.empty()).at(at("2026-06-09T12:30"));
    assertThat(lunch.in()).isFalse();
    assertThat(lunch.why()).isEqualTo(Why.TIMETABLE);
    assertThat(lunch.cover()).hasValue(9);
    assertThat(lunch.until()).contains(at("2026-06-09T13:00"));
  }

  @Test
  void whatIsSaidByHandHoldsUntilTheTimetableWouldChangeIt() {
    Optional<ByHand> left = Optional.of(new ByHand(false, at("2026-06-09T15:00")));
    assertThat(someone(left).at(at("2026-06-09T14:59")).in()).isTrue();
    assertThat(someone(left).at(at("2026-06-09T15:00")).why()).isEqualTo(Why.BY_HAND);
    assertThat(someone(left).at(at("2026-06-09T16:59")).in()).isFalse();
    assertThat(someone(left).at(at("2026-06-10T08:00")).in()).isTrue();
  }

  @Test
  void whoLeavesEarlyIsBackWhenTheyComeNextMorning() {
    Optional<ByHand> left = Optional.of(new ByHand(false, at("2026-06-09T15:00")));
    assertThat(someone(left).at(at("2026-06-09T15:30")).until()).contains(at("2026-06-10T08:00"));
    Optional<ByHand> stays = Optional.of(new ByHand(true, at("2026-06-09T17:30")));
    assertThat(someone(stays).at(at("2026-06-09T18:00")).until()).contains(at("2026-06-10T12:00"));
  }

  @Test
  void whoComesInOnAFreeDayIsInUntilItEnds() {
    Absence week =
        new Absence(LocalDate.of(2026, 6, 8), LocalDate.of(2026, 6, 12), OptionalLong.of(4));
    Optional<ByHand> came = Optional.of(new ByHand(true, at("2026-06-09T09:00")));
    assertThat(someone(Optional.empty(), week).at(at("2026-06-09T10:00")))
        .isEqualTo(
            new Presence(
                false, Why.DATES, Optional.of(at("2026-06-15T08:00")), OptionalLong.of(4)));
    assertThat(someone(came, week).at(at("2026-06-09T10:00")).in()).isTrue();
    assertThat(someone(came, week).at(at("2026-06-16T07:00")).in()).isFalse();
  }

  @Test
  void withoutATimetableWhatIsSaidHoldsUntilTheNextWord() {
    Attendance away =
        new Attendance(
            true,
            Optional.of(new ByHand(false, at("2026-06-01T09:00"))),
            Hours.always(CHICAGO),
            List.of(),
            NO_COVER);
    assertThat(away.at(at("2026-09-01T09:00")).in()).isFalse();
    assertThat(away.at(at("2026-09-01T09:00")).until()).isEmpty();
    assertThat(Attendance.always(CHICAGO).at(at("2026-09-01T09:00")).why()).isEqualTo(Why.ALWAYS);
  }

  @Test
  void whoHasLeftIsNeverIn() {
    Attendance left =
        new Attendance(
            false,
            Optional.of(new ByHand(true, Instant.EPOCH)),
            officeHours(),
            List.of(),
            NO_COVER);
    assertThat(left.at(at("2026-06-09T10:00")).why()).isEqualTo(Why.LEFT);
  }

  /** Until when it says, nothing changes; at that instant it does. Looked at every few minutes. */
  @Test
  void itChangesExactlyWhenItSays() {
    Random random = new Random(42);
    for (int round = 0; round < 60; round++) {
      LocalDate first = LocalDate.of(2026, 6, 1).plusDays(random.nextInt(20));
      Absence absence = new Absence(first, first.plusDays(random.nextInt(6)), NO_COVER);
      Instant now = at("2026-06-01T00:00").plus(Duration.ofMinutes(random.nextInt(30 * 24 * 60)));
      Instant said = now.minus(Duration.ofMinutes(random.nextInt(3 * 24 * 60)));
      Optional<ByHand> byHand =
          random.nextBoolean()
              ? Optional.of(new ByHand(random.nextBoolean(), said))
              : Optional.empty();
      Attendance one = someone(byHand, absence);
      Presence before = one.at(now);
      Instant until = before.until().orElseThrow();
      for (Instant t = now; t.isBefore(until); t = t.plus(Duration.ofMinutes(7))) {
        assertThat(one.at(t).in()).as("round %d at %s", round, t).isEqualTo(before.in());
      }
      assertThat(one.at(until).in()).as("round %d at %s", round, until).isNotEqualTo(before.in());
    }
  }

  private static Presence awayWith(OptionalLong cover) {
    return new Presence(false, Why.DATES, Optional.empty(), cover);
  }

  private static final Presence IN = new Presence(true, Why.ALWAYS, Optional.empty(), NO_COVER);

  private static Found follow(long start, Map<Long, Presence> presence) {
    return Covering.follow(start, who -> presence.getOrDefault(who, IN), who -> who != 7);
  }

  @Test
  void coversAreFollowedToWhoeverIsIn() {
    Map<Long, Presence> office =
        Map.of(1L, awayWith(OptionalLong.of(2)), 2L, awayWith(OptionalLong.of(3)));
    assertThat(follow(1, office)).isEqualTo(new Found(End.SOMEBODY, List.of(1L, 2L, 3L)));
    assertThat(follow(1, office).who()).isEqualTo(3);
    assertThat(follow(3, office)).isEqualTo(new Found(End.SOMEBODY, List.of(3L)));
  }

  @Test
  void theChainEndsAtNobodyAndSaysWhy() {
    assertThat(follow(1, Map.of(1L, awayWith(NO_COVER))).end()).isEqualTo(End.NO_COVER);
    assertThat(follow(1, Map.of(1L, awayWith(OptionalLong.of(7)))).end()).isEqualTo(End.MAY_NOT);
    assertThat(
            follow(1, Map.of(1L, awayWith(OptionalLong.of(2)), 2L, awayWith(OptionalLong.of(1)))))
        .isEqualTo(new Found(End.LOOP, List.of(1L, 2L, 1L)));
  }

  /** On any map of covers the search ends, asks nobody twice, and only ends with someone in. */
  @Test
  void everyChainEnds() {
    Random random = new Random(7);
    for (int round = 0; round < Rounds.of(1_000); round++) {
      int people = 1 + random.nextInt(8);
      List<Presence> office = new ArrayList<>();
      for (int i = 0; i < people; i++) {
        OptionalLong cover =
            random.nextInt(5) == 0 ? NO_COVER : OptionalLong.of(random.nextInt(people));
        office.add(random.nextInt(3) == 0 ? IN : awayWith(cover));
      }
      Found found =
          Covering.follow(random.nextInt(people), who -> office.get((int) who), who -> true);
      List<Long> asked =
          found.end() == End.LOOP ? found.way().subList(0, found.way().size() - 1) : found.way();
      assertThat(asked).doesNotHaveDuplicates();
      assertThat(office.get((int) found.who()).in()).isEqualTo(found.end() == End.SOMEBODY);
    }
  }
}
