package fabulum.server.setup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.server.platform.Problem;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class ClosedDaysTest {
  private static final LocalDate TODAY = LocalDate.parse("2026-06-09");

  private static ClosedDays read(String... lines) {
    String text = String.join("\r\n", lines) + "\r\n";
    return ClosedDays.of(text.getBytes(StandardCharsets.UTF_8), TODAY);
  }

  private static List<String> days(ClosedDays read) {
    return read.days().stream().map(day -> (day.day() + " " + day.name()).strip()).toList();
  }

  private static List<String> leftOut(ClosedDays read) {
    return read.leftOut().stream().map(one -> one.entry() + ": " + one.why()).toList();
  }

  private static ClosedDays calendar(String... event) {
    return read(
        "BEGIN:VCALENDAR",
        "VERSION:2.0",
        "PRODID:test",
        "BEGIN:VEVENT",
        "UID:1",
        "DTSTAMP:20260101T000000Z",
        String.join("\r\n", event),
        "END:VEVENT",
        "END:VCALENDAR");
  }

  @Test
  void aWholeDayOfACalendarIsClosed() {
    assertThat(days(calendar("DTSTART;VALUE=DATE:20260703", "SUMMARY:Yard picnic")))
        .containsExactly("2026-07-03 Yard picnic");
  }

  @Test
  void theEndOfAnEventIsTheDayAfterItsLast() {
    assertThat(
            days(
                calendar(
                    "DTSTART;VALUE=DATE:20261224",
                    "DTEND;VALUE=DATE:20261227",
                    "SUMMARY:Christmas")))
        .containsExactly("2026-12-24 Christmas", "2026-12-25 Christmas", "2026-12-26 Christmas");
    assertThat(days(calendar("DTSTART;VALUE=DATE:20261231", "DURATION:P2D")))
        .containsExactly("2026-12-31", "2027-01-01");
  }

  @Test
  void whatComesAgainIsTakenForTwoYears() {
    ClosedDays yearly =
        calendar("DTSTART;VALUE=DATE:20150501", "RRULE:FREQ=YEARLY", "SUMMARY:Launch day");
    assertThat(days(yearly))
        .containsExactly("2026-05-01 Launch day", "2027-05-01 Launch day", "2028-05-01 Launch day");
  }

  @Test
  void whatIsNotAWholeDayIsLeftOutAndNamed() {
    ClosedDays read = calendar("DTSTART:20260703T140000Z", "SUMMARY:Staff meeting");
    assertThat(read.days()).isEmpty();
    assertThat(leftOut(read))
        .containsExactly("“Staff meeting”: It has a time, so it is not a whole day.");
  }

  @Test
  void linesOfValuesHaveADayPerhapsALastOneAndAName() {
    assertThat(
            days(
                read(
                    "\uFEFFday,name",
                    "2026-07-03,\"Picnic, all hands\"",
                    "2026-11-26,2026-11-27,Thanksgiving",
                    "2026-07-03,again")))
        .containsExactly(
            "2026-07-03 Picnic, all hands", "2026-11-26 Thanksgiving", "2026-11-27 Thanksgiving");
    assertThat(days(read("2026-07-03;Picnic"))).containsExactly("2026-07-03 Picnic");
  }

  @Test
  void eachLineThatCannotBeReadIsNamedAndTheOthersAreTaken() {
    ClosedDays read =
        read("2026-07-03,Picnic", "7/4/2026,Holiday", "2026-07-06,2026-07-05,back", "2026-02-30,x");
    assertThat(days(read)).containsExactly("2026-07-03 Picnic");
    assertThat(leftOut(read))
        .containsExactly(
            "line 2: “7/4/2026” is not a date like 2026-07-03.",
            "line 3: The last day lies before the first.",
            "line 4: “2026-02-30” is not a date like 2026-07-03.");
  }

  @Test
  void aFileWithoutAnyDayIsRefused() {
    for (String other : List.of("", "hello", "BEGIN:VCALENDAR\r\nEND:VCALENDAR", "%PDF-1.7 …")) {
      assertThatThrownBy(() -> read(other))
          .as(other)
          .isInstanceOf(Problem.class)
          .hasMessageContaining("No days were found in this file.");
    }
  }

  @Test
  void noMoreDaysAreTakenThanALineKeeps() {
    ClosedDays daily = calendar("DTSTART;VALUE=DATE:20260101", "RRULE:FREQ=DAILY");
    assertThat(daily.days()).hasSize(400);
    assertThat(leftOut(daily)).hasSize(1);
    assertThat(leftOut(calendar("DTSTART;VALUE=DATE:20260101", "DTEND;VALUE=DATE:20261231")))
        .containsExactly(
            "an event without a name: It lasts 364 days; at most 92 days are taken at once.");
  }
}
