package fabulum.core.imports;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.imports.RowReader.Refused;
import fabulum.core.imports.Target.What;
import fabulum.core.imports.WorkReader.AppointmentRow;
import fabulum.core.imports.WorkReader.JobRow;
import fabulum.core.imports.WorkReader.Kept;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WorkReaderTest {
  private final WorkReader reader = new WorkReader(ZoneId.of("America/Chicago"), new Region("US"));

  private static List<Target> columns(What... whats) {
    return Arrays.stream(whats).map(Target::of).toList();
  }

  private RowReader.Row appointment(String... cells) {
    return reader.appointment(
        columns(What.NAME, What.NUMBER, What.WHAT, What.STARTS, What.ENDS, What.STATE),
        List.of(cells));
  }

  private RowReader.Row job(String... cells) {
    return reader.job(
        columns(What.CUSTOMER_ID, What.JOB_NUMBER, What.WHAT, What.STATE, What.CLOSED),
        List.of(cells));
  }

  private static List<String> why(RowReader.Row row) {
    return ((Refused) row).why();
  }

  @Test
  void anAppointmentSaysForWhomWhatAndWhen() {
    AppointmentRow row =
        (AppointmentRow)
            appointment("", "(920) 555-0134", "Survey", "6/9/2026 2:00 pm", "6/9/2026 2:00 pm", "");
    assertThat(row.customer().number()).contains(new PhoneNumber("+19205550134"));
    assertThat(row.startsAt()).isEqualTo(Instant.parse("2026-06-09T19:00:00Z"));
    assertThat(row.endsAt()).as("what takes no time has no end").isEmpty();
    assertThat(row.state()).as("nothing is said of it").isEmpty();
  }

  @Test
  void allThatIsMissingIsSaid() {
    assertThat(why(appointment("", "12", "", "soon", "", "sleeping")))
        .hasSize(5)
        .anyMatch(one -> one.startsWith("Number “12”"))
        .anyMatch(one -> one.startsWith("For which customer?"))
        .anyMatch(one -> one.startsWith("Starts: “soon”"))
        .anyMatch(one -> one.startsWith("What is agreed?"))
        .anyMatch(one -> one.startsWith("State: “sleeping”"));
    assertThat(why(job("", "J-1", "", ""))).hasSize(2);
  }

  @ParameterizedTest
  @CsvSource({"Confirmed,AGREED", "done,KEPT", "NO SHOW,MISSED", "canceled,CANCELLED"})
  void statesAreReadAsProgramsCallThem(String words, Kept state) {
    AppointmentRow row = (AppointmentRow) appointment("Ada", "", "Survey", "2026-06-09", "", words);
    assertThat(row.state()).contains(state);
  }

  @ParameterizedTest
  @CsvSource({"open,,false", "finished,,true", ",2026-06-01,true", "open,2026-06-01,false"})
  void aJobIsClosedWhenItSaysSoOrWhen(String state, String closed, boolean expected) {
    JobRow row =
        (JobRow) job("C-1", "", "Paint", state == null ? "" : state, closed == null ? "" : closed);
    assertThat(row.closed()).contains(expected);
  }

  @Test
  void aFileIsAboutWhatMostOfItsTitlesSay() {
    assertThat(Subject.guess(List.of("name", "phone", "email", "note")))
        .isEqualTo(Subject.CUSTOMERS);
    assertThat(Subject.guess(List.of("number", "customer", "what", "howfar", "state")))
        .isEqualTo(Subject.JOBS);
    assertThat(Subject.guess(List.of("summary", "start", "end", "customer")))
        .isEqualTo(Subject.APPOINTMENTS);
    assertThat(Subject.guess(List.of("line", "number", "time", "direction", "text")))
        .isEqualTo(Subject.TEXTS);
    assertThat(Subject.guess(List.of("x", "y"))).isEqualTo(Subject.CUSTOMERS);
  }

  private RowReader.Row identified(String id) {
    return reader.appointment(
        columns(What.NAME, What.WHAT, What.STARTS, What.OUTSIDE_ID),
        List.of("Ada", "Survey", "2026-06-09", id));
  }

  @Test
  void anIdIsAsLongAsItMayBe() {
    String most = "i".repeat(255);
    assertThat(((AppointmentRow) identified(most)).outsideId()).contains(most);
    assertThat(why(identified(most + "i"))).containsExactly("Id: at most 255 characters.");
  }

  @Test
  void anAppointmentBeginsSometime() {
    assertThat(why(appointment("Ada", "", "Survey", "", "", "")))
        .containsExactly("When does it start?");
    assertThat(
            why(
                reader.appointment(
                    columns(What.NAME, What.EMAIL, What.WHAT, What.STARTS),
                    List.of("Ada", "a@", "Survey", "2026-06-09"))))
        .containsExactly("E-mail: “a@” is not a valid address.");
  }
}
