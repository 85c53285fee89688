package fabulum.core.hours;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OpeningsTest {
  private static final ZoneId ZONE = ZoneId.of("America/Chicago");

  private static Instant at(String local) {
    return LocalDateTime.parse(local).atZone(ZONE).toInstant();
  }

  private static Openings openings(String week, LocalDate... closed) {
    return new Openings(new Hours(ZONE, WeekReader.read(week), Set.of(closed)));
  }

  private static String local(Optional<Instant> at) {
    return at.map(instant -> instant.atZone(ZONE).toLocalDateTime().toString()).orElse("never");
  }

  /** 9 June 2026 is a Tuesday. */
  @ParameterizedTest
  @CsvSource({
    "2026-06-09T14:05, 2026-06-09T16:05, 2026-06-10T08:00, 2026-06-15T08:00",
    "2026-06-09T16:05, never,            2026-06-10T08:00, 2026-06-15T08:00",
    "2026-06-09T06:00, 2026-06-09T10:00, 2026-06-10T08:00, 2026-06-15T08:00",
    "2026-06-12T12:00, 2026-06-12T14:00, 2026-06-13T09:00, 2026-06-15T08:00",
    "2026-06-13T11:30, never,            2026-06-15T08:00, 2026-06-15T08:00",
    "2026-06-15T07:00, 2026-06-15T10:00, 2026-06-16T08:00, 2026-06-29T08:00"
  })
  void momentsOfAnOfficeWithAClosedMonday(
      String now, String later, String tomorrow, String monday) {
    Openings openings = openings("Mon-Fri 8:00-17:00, Sat 9:00-12:00", LocalDate.of(2026, 6, 22));

    assertThat(local(openings.laterToday(at(now)))).isEqualTo(later);
    assertThat(local(openings.tomorrow(at(now)))).isEqualTo(tomorrow);
    assertThat(local(openings.nextMonday(at(now)))).isEqualTo(monday);
  }

  @Test
  void aSpanThatRunsOnFromTheNightBeforeIsNoOpening() {
    Openings bar = openings("Fri-Sat 20:00-2:00 next day");
    assertThat(local(bar.tomorrow(at("2026-06-12T21:00")))).isEqualTo("2026-06-13T20:00");
    assertThat(local(bar.tomorrow(at("2026-06-13T21:00")))).isEqualTo("2026-06-19T20:00");
    assertThat(local(bar.nextMonday(at("2026-06-12T21:00")))).isEqualTo("never");
  }

  @Test
  void whoIsAlwaysOpenBeginsTheDayAtEight() {
    assertThat(local(openings("").tomorrow(at("2026-06-09T23:00")))).isEqualTo("2026-06-10T08:00");
    assertThat(local(openings("").laterToday(at("2026-06-09T23:00")))).isEqualTo("never");
  }

  @Test
  void anOpeningThatTheClockSkipsIsTheNextMomentThereIs() {
    assertThat(local(openings("Sun 2:30-9:00").tomorrow(at("2026-03-07T12:00"))))
        .isEqualTo("2026-03-08T03:30");
  }
}
