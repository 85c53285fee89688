package fabulum.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.hours.Hours;
import fabulum.core.hours.WeekReader;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SeriesTest {
  private static final ZoneId ZONE = ZoneId.of("America/Chicago");

  /** Closed on Sundays, and on Monday, 15 June. */
  private static final Hours HOURS =
      new Hours(ZONE, WeekReader.read("Mon-Sat 8:00-17:00"), Set.of(LocalDate.of(2026, 6, 15)));

  private static final DateTimeFormatter SHOWN =
      DateTimeFormatter.ofPattern("EEE d MMM HH:mm", Locale.ENGLISH).withZone(ZONE);

  private static Series series(String rule, String first, String at, WhenClosed closed) {
    return new Series(
        LocalDate.parse(first), LocalTime.parse(at), ZONE, RepeatText.read(rule), closed);
  }

  private static String shown(Series series, String after) {
    return series
        .after(Instant.parse(after), HOURS)
        .limit(3)
        .map(SHOWN::format)
        .collect(Collectors.joining(", "));
  }

  @ParameterizedTest(name = "{0} {1}")
  @CsvSource({
    "FREQ=DAILY,                    SEND,          'Sat 13 Jun 09:30, Sun 14 Jun 09:30, Mon 15 Jun 09:30'",
    "FREQ=DAILY,                    SKIP,          'Sat 13 Jun 09:30, Tue 16 Jun 09:30, Wed 17 Jun 09:30'",
    "FREQ=DAILY,                    NEXT_OPEN_DAY, 'Sat 13 Jun 09:30, Tue 16 Jun 09:30, Wed 17 Jun 09:30'",
    "FREQ=WEEKLY;BYDAY=SU,          NEXT_OPEN_DAY, 'Tue 16 Jun 09:30, Mon 22 Jun 09:30, Mon 29 Jun 09:30'",
    "FREQ=WEEKLY;BYDAY=MO,          SKIP,          'Mon 22 Jun 09:30, Mon 29 Jun 09:30, Mon 6 Jul 09:30'",
    "FREQ=DAILY;COUNT=3,            SKIP,          'Sat 13 Jun 09:30'",
  })
  void closedDaysAreMetAsWanted(String rule, WhenClosed closed, String expected) {
    assertThat(shown(series(rule, "2026-06-13", "09:30", closed), "2026-06-12T00:00:00Z"))
        .isEqualTo(expected);
  }

  @Test
  void aSeriesThatNeverMeetsAnOpenDayIsOver() {
    Series sundays = series("FREQ=WEEKLY;BYDAY=SU", "2026-06-13", "09:30", WhenClosed.SKIP);
    assertThat(sundays.next(Instant.parse("2026-06-12T00:00:00Z"), HOURS)).isEmpty();
  }

  @Test
  void onlyMomentsAfterTheGivenOneCount() {
    Series daily = series("FREQ=DAILY", "2026-06-01", "09:30", WhenClosed.SEND);
    assertThat(shown(daily, "2026-06-09T14:30:00Z")).startsWith("Wed 10 Jun 09:30");
    assertThat(shown(daily, "2026-06-09T14:29:59.999Z")).startsWith("Tue 9 Jun 09:30");
  }

  @Test
  void whatWasMovedIsFoundFromBehindItsDate() {
    Series sundays =
        series("FREQ=WEEKLY;BYDAY=SU", "2026-06-01", "09:30", WhenClosed.NEXT_OPEN_DAY);
    assertThat(shown(sundays, "2026-06-15T12:00:00Z")).startsWith("Tue 16 Jun 09:30");
  }

  @Test
  void clocksThatChangeMoveASkippedTimeAndTakeTheFirstOfTwo() {
    Series spring = series("FREQ=DAILY", "2026-03-07", "02:30", WhenClosed.SEND);
    assertThat(shown(spring, "2026-03-07T00:00:00Z"))
        .isEqualTo("Sat 7 Mar 02:30, Sun 8 Mar 03:30, Mon 9 Mar 02:30");
    Series autumn = series("FREQ=DAILY", "2026-10-31", "01:30", WhenClosed.SEND);
    assertThat(autumn.after(Instant.parse("2026-10-31T00:00:00Z"), HOURS).limit(3))
        .containsExactly(
            Instant.parse("2026-10-31T06:30:00Z"),
            Instant.parse("2026-11-01T06:30:00Z"),
            Instant.parse("2026-11-02T07:30:00Z"));
  }

  @Test
  void aRuleWithoutEndIsWorkedOutTenYearsAhead() {
    Series monthly = series("FREQ=MONTHLY;BYMONTHDAY=-1", "2026-06-01", "09:30", WhenClosed.SEND);
    assertThat(shown(monthly, "2036-06-01T00:00:00Z")).startsWith("Mon 30 Jun 09:30");
  }
}
