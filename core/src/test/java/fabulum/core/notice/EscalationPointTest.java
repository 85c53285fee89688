package fabulum.core.notice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import fabulum.core.Rounds;
import fabulum.core.hours.Hours;
import fabulum.core.hours.Span;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class EscalationPointTest {
  private static final Hours NINE_TO_FIVE =
      new Hours(
          ZoneId.of("UTC"),
          List.of(
              Span.of(DayOfWeek.MONDAY, LocalTime.of(9, 0), LocalTime.of(17, 0)),
              Span.of(DayOfWeek.TUESDAY, LocalTime.of(9, 0), LocalTime.of(17, 0)),
              Span.of(DayOfWeek.THURSDAY, LocalTime.of(22, 0), LocalTime.of(23, 30))),
          Set.of());

  @Test
  void aStepIsReachedByWhatHasSoMuchWorkingTimeLeft() {
    Instant tenToFive = Instant.parse("2026-06-08T16:50:00Z");
    // 15 working minutes on is five past nine on Tuesday.
    assertThat(EscalationPoint.SOON.reachedBy(tenToFive, NINE_TO_FIVE))
        .contains(Instant.parse("2026-06-09T09:05:00Z"));
    assertThat(EscalationPoint.LATE.reachedBy(tenToFive, NINE_TO_FIVE)).contains(tenToFive);
    assertThat(new EscalationPoint(Duration.ofHours(1)).reachedBy(tenToFive, NINE_TO_FIVE))
        .contains(Instant.parse("2026-06-08T15:50:00Z"));
  }

  @Test
  void noStepIsTakenOutsideWorkingTime() {
    assertThat(EscalationPoint.LATE.reachedBy(Instant.parse("2026-06-08T17:00:00Z"), NINE_TO_FIVE))
        .isEmpty();
    assertThat(EscalationPoint.LATE.reachedBy(Instant.parse("2026-06-09T09:00:00Z"), NINE_TO_FIVE))
        .isPresent();
  }

  @Test
  void whatIsReachedIsExactlyWhatHasNoMoreLeft() {
    Random random = new Random(11);
    Instant monday = Instant.parse("2026-06-08T00:00:00Z");
    for (int i = 0; i < Rounds.of(4_000); i++) {
      Instant now = monday.plusSeconds(random.nextInt(7 * 24 * 60) * 60L);
      Instant due = monday.plusSeconds((random.nextInt(14 * 24 * 60) - 7 * 24 * 60) * 60L);
      EscalationPoint rung = new EscalationPoint(Duration.ofMinutes(random.nextInt(400) - 200));
      boolean wanted =
          NINE_TO_FIVE.isOpen(now)
              && NINE_TO_FIVE.between(now, due).compareTo(rung.after().negated()) <= 0;
      boolean reached =
          rung.reachedBy(now, NINE_TO_FIVE).filter(last -> !due.isAfter(last)).isPresent();
      assertThat(reached).as("case %d: now %s due %s %s", i, now, due, rung).isEqualTo(wanted);
    }
  }

  @Test
  void aStepLiesWithinAWeekOfThePromise() {
    assertThatIllegalArgumentException().isThrownBy(() -> new EscalationPoint(Duration.ofDays(8)));
  }
}
