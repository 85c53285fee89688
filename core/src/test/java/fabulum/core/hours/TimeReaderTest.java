package fabulum.core.hours;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.hours.TimeReader.Reading;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TimeReaderTest {
  private static final ZoneId ZONE = ZoneId.of("America/Chicago");

  /** A Tuesday, 14:05 there. */
  private static final Instant NOW = Instant.parse("2026-06-09T19:05:00Z");

  private static final Hours HOURS =
      new Hours(
          ZONE,
          WeekReader.read("Mon-Thu 8:00-17:00, Fri 18:00-2:00 next day"),
          Set.of(LocalDate.of(2026, 6, 11)));

  private static final DateTimeFormatter SHOWN =
      DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ROOT).withZone(ZONE);

  private static String read(String words, Instant now) {
    Reading reading = TimeReader.read(words, HOURS, now);
    return reading instanceof Reading.At at
        ? SHOWN.format(at.at())
        : ((Reading.Unclear) reading).why();
  }

  @ParameterizedTest(name = "{0}")
  @CsvSource({
    "in 3 h,                 2026-06-09 17:05",
    "9 June 15:00,           2026-06-09 15:00",
    "8 June 15:00,           2027-06-08 15:00",
    "29 February 15:00,      2028-02-29 15:00",
    "0:00 wed,               2026-06-10 00:00",
    "23:59 wed,              2026-06-10 23:59",
    "12 am wed,              2026-06-10 00:00",
    "12 pm wed,              2026-06-10 12:00",
    "in 20 min,              2026-06-09 14:25",
    "1 h 30 min,             2026-06-09 15:35",
    "in an hour,             2026-06-09 15:05",
    "in half an hour,        2026-06-09 14:35",
    "in 2 days,              2026-06-11 14:05",
    "in a week,              2026-06-16 14:05",
    "Wed 14:30,              2026-06-10 14:30",
    "WEDNESDAY at 2:30 pm,   2026-06-10 14:30",
    "wed 2.30pm,             2026-06-10 14:30",
    "9 am wed,               2026-06-10 09:00",
    "Tuesday 9:00,           2026-06-16 09:00",
    "next Monday,            2026-06-15 08:00",
    "Friday at opening,      2026-06-12 18:00",
    "friday closing,         2026-06-13 02:00",
    "tomorrow,               2026-06-10 08:00",
    "tomorrow noon,          2026-06-10 12:00",
    "tomorrow morning,       2026-06-10 08:00",
    "Thursday,               2026-06-11 09:00",
    "Sunday,                 2026-06-14 09:00",
    "today 16:00,            2026-06-09 16:00",
    "tonight,                2026-06-09 20:00",
    "tonight 9 pm,           2026-06-09 21:00",
    "15:00,                  2026-06-09 15:00",
    "at 3,                   2026-06-09 15:00",
    "13:00,                  2026-06-10 13:00",
    "opening,                2026-06-10 08:00",
    "closing,                2026-06-09 17:00",
    "midnight,               2026-06-10 00:00",
    "9 Jul,                  2026-07-09 08:00",
    "July 9th 10:15,         2026-07-09 10:15",
    "the 3rd of June,        2027-06-03 08:00",
    "29 feb,                 2028-02-29 08:00",
    "24 Dec. 2026 noon,      2026-12-24 12:00",
    "2026-12-24 8:30,        2026-12-24 08:30",
  })
  void isReadAsPeopleMeanIt(String words, String wanted) {
    assertThat(read(words, NOW)).isEqualTo(wanted);
  }

  @ParameterizedTest
  @ValueSource(strings = {"Wed, 14:30", "wed\u00A014:30", "  Wed\t14:30 "})
  void commasAndKindsOfSpaceMakeNoDifference(String words) {
    assertThat(read(words, NOW)).isEqualTo("2026-06-10 14:30");
  }

  @ParameterizedTest(name = "{0}")
  @CsvSource(
      delimiter = '|',
      value = {
        "2026-06-08 9:00   | passed already",
        "today 9:00        | passed already",
        "in 0 min          | passed already",
        "Thursday opening  | closed on that day",
        "30 Feb            | does not exist",
        "2026-13-01        | does not exist",
        "June              | Which day of June",
        "14 pm             | 1 to 12",
        "Wed 25:00         | 0:00 and 23:59",
        "soonish           | “soonish” is not clear",
        "Wed 9:00 sharp    | “sharp” is not clear",
        "Wed Thu 9:00      | “thu” is not clear",
        "half a day        | is not clear",
        "in 3              | is not clear",
      })
  void whatIsNotClearIsSaidInASentence(String words, String wanted) {
    assertThat(read(words, NOW)).contains(wanted);
  }

  @Test
  void nothingTypedAsksForATime() {
    assertThat(read("  ", NOW)).startsWith("Type a time such as");
    assertThat(read("x".repeat(100), NOW)).startsWith("Type a time such as");
  }

  @Test
  void timesThatTheClocksSkipOrRepeatAreRemarkedOn() {
    Instant march = Instant.parse("2026-03-07T18:00:00Z");
    Reading.At skipped = (Reading.At) TimeReader.read("tomorrow 2:30", HOURS, march);
    assertThat(SHOWN.format(skipped.at())).isEqualTo("2026-03-08 03:30");
    assertThat(skipped.note().orElseThrow()).contains("go forward");
    Instant october = Instant.parse("2026-10-31T18:00:00Z");
    Reading.At twice = (Reading.At) TimeReader.read("tomorrow 1:30", HOURS, october);
    assertThat(twice.at()).isEqualTo(Instant.parse("2026-11-01T06:30:00Z"));
    assertThat(twice.note().orElseThrow()).contains("go back");
  }

  @Test
  void itSaysWhetherTheLineIsOpenThen() {
    assertThat(((Reading.At) TimeReader.read("wed 9:00", HOURS, NOW)).open()).isTrue();
    assertThat(((Reading.At) TimeReader.read("wed 18:00", HOURS, NOW)).open()).isFalse();
  }

  @ParameterizedTest(name = "{0}")
  @CsvSource({
    "the day before the appointment at noon,  2026-06-17 12:00",
    "The day before the appointment,          2026-06-17 08:00",
    "a day before appointment 16:30,          2026-06-17 16:30",
    "2 days before the appointment,           2026-06-16 08:00",
    "a week before my appointment,            2026-06-11 09:00",
    "2 h before the appointment,              2026-06-18 07:00",
    "half an hour before the appointment,     2026-06-18 08:30",
    "45 min before their appointment,         2026-06-18 08:15",
    "on the day of the appointment at 7:00,   2026-06-18 07:00",
    "the day after the appointment,           2026-06-19 18:00",
    "an hour after the appointment,           2026-06-18 10:00",
    "2 weeks before the appointment,          That time has passed already.",
    "half a day before the appointment,       Half of that is not clear. Type “the day before the appointment”.",
    "2 h before the appointment noon,         “noon” is not clear here.",
    "the day before the appointment at tea,   “tea” is not clear here.",
  })
  void timesAreToldFromAnAppointment(String words, String expected) {
    Instant appointment = Instant.parse("2026-06-18T14:00:00Z");
    Reading reading = TimeReader.read(words, HOURS, NOW, Optional.of(appointment));
    assertThat(
            reading instanceof Reading.At at
                ? SHOWN.format(at.at())
                : ((Reading.Unclear) reading).why())
        .isEqualTo(expected);
    assertThat(TimeReader.isFromAppointment(words)).isTrue();
  }

  @Test
  void withoutAnAppointmentSuchTimesAreNotClear() {
    assertThat(read("the day before the appointment", NOW))
        .isEqualTo("No appointment is agreed with this customer.");
    assertThat(TimeReader.isFromAppointment("Thu 14:30")).isFalse();
  }
}
