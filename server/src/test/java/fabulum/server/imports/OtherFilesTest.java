package fabulum.server.imports;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Appointments, jobs and texts of the time before, out of files. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class OtherFilesTest {
  private static final String FILES = "/api/imports";

  private final TwoTeams office = TwoTeams.start();
  private final Fabulum fabulum = office.fabulum;
  private final Browser maren = fabulum.signedIn("maren");

  @AfterAll
  void stop() {
    office.close();
  }

  private JsonNode handIn(String name, String words) {
    return maren.upload(FILES, name, words).require(200).json();
  }

  private static String fates(JsonNode preview) {
    JsonNode counts = preview.path("counts");
    return "%s: new %d, same %d, changed %d, asked %d, refused %d"
        .formatted(
            preview.path("subject").asString(),
            counts.path("added").asInt(),
            counts.path("same").asInt(),
            counts.path("changed").asInt(),
            counts.path("asked").asInt(),
            counts.path("refused").asInt());
  }

  private JsonNode taken(JsonNode preview, Map<String, Object> choice) {
    Map<String, Object> body = new HashMap<>(choice);
    body.putIfAbsent("onlyGood", true);
    long id = preview.path("id").asLong();
    maren.post(FILES + "/" + id + "/run", body).require(200);
    return settled(id);
  }

  private JsonNode settled(long id) {
    fabulum.context.getBean(ImportRunner.class).settle();
    return maren.get(FILES + "/" + id).require(200).json();
  }

  private JsonNode undone(JsonNode done) {
    maren.post(FILES + "/" + done.path("id").asLong() + "/undo", Map.of()).require(200);
    return settled(done.path("id").asLong());
  }

  private JsonNode work(long customer) {
    return maren.get("/api/customers/" + customer + "/work").require(200).json();
  }

  private static String event(String lines) {
    return "BEGIN:VEVENT\r\n" + lines.replace("\n", "\r\n") + "\r\nEND:VEVENT\r\n";
  }

  private static String calendar(String... events) {
    return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//y\r\n"
        + String.join("", events)
        + "END:VCALENDAR\r\n";
  }

  @Test
  void appointmentsOfACalendarAreTakenInAndBack() {
    long vera = fabulum.customer("Vera Lindqvist", fabulum.freshNumber());
    long otto = fabulum.customer("Otto Brandt", fabulum.freshNumber());
    String file =
        calendar(
            event(
                "UID:a1\nSUMMARY:Lift-out\nCONTACT:Vera Lindqvist\nLOCATION:Yard\nDTSTART;TZID=America/New_York:20260701T100000\nDTEND;TZID=America/New_York:20260701T110000"),
            event("UID:a2\nSUMMARY:Survey for Otto Brandt\nDTSTART:20260702T090000"),
            event(
                "UID:a3\nSUMMARY:Launch\nCONTACT:Vera Lindqvist\nDTSTART;TZID=Mars/Olympus:20260701T100000"),
            event(
                "UID:a4\nSUMMARY:Launch\nCONTACT:Vera Lindqvist\nDTSTART:20260701T100000Z\nRRULE:FREQ=WEEKLY"),
            event("UID:a5\nSUMMARY:Launch\nCONTACT:Nobody Atall\nDTSTART:20260701T100000Z"));
    JsonNode preview = handIn("calendar.ics", file);
    assertThat(fates(preview))
        .isEqualTo("APPOINTMENTS: new 1, same 0, changed 0, asked 1, refused 3");
    assertThat(preview.path("rows").toString())
        .contains(
            "DTSTART: the time zone “Mars/Olympus” is not known.",
            "It repeats",
            "No customer on file has the name “Nobody Atall”",
            "Is it for Otto Brandt")
        .contains("\"line\":" + (file.substring(0, file.indexOf("UID:a3")).lines().count()));
    JsonNode done = taken(preview, Map.of("answers", Map.of(line(preview, "ASKED"), otto)));
    assertThat(done.path("added").asInt()).isEqualTo(2);
    JsonNode lift = work(vera).path("appointments").path(0);
    assertThat(lift.path("startsAt").asString()).isEqualTo("2026-07-01T14:00:00Z");
    assertThat(lift.path("place").asString()).isEqualTo("Yard");
    assertThat(work(otto).path("appointments").path(0).path("startsAt").asString())
        .isEqualTo("2026-07-02T14:00:00Z");

    JsonNode again = handIn("calendar.ics", file.replace("LOCATION:Yard", "LOCATION:Dock"));
    assertThat(fates(again))
        .isEqualTo("APPOINTMENTS: new 0, same 0, changed 1, asked 1, refused 3");
    JsonNode moved = taken(again, Map.of());
    assertThat(work(vera).path("appointments").path(0).path("place").asString()).isEqualTo("Dock");
    undone(moved);
    assertThat(work(vera).path("appointments").path(0).path("place").asString()).isEqualTo("Yard");
    assertThat(undone(done).path("why").asString()).isEmpty();
    assertThat(work(vera).path("appointments")).isEmpty();
    assertThat(work(otto).path("appointments")).isEmpty();
  }

  private static String line(JsonNode preview, String fate) {
    return preview
        .path("rows")
        .valueStream()
        .filter(row -> row.path("fate").asString().equals(fate))
        .map(row -> row.path("line").asString())
        .findFirst()
        .orElseThrow();
  }

  @Test
  void jobsAreKnownAgainByTheirNumberAndWhatPeopleChangedStays() {
    String number = fabulum.freshNumber();
    long ben = fabulum.customer("Ben Moss", number);
    String file =
        "Number;Customer;Phone;What;How far;State;Opened\n"
            + "J-7;Ben Moss;"
            + number
            + ";New bilge pump;ordered;open;2026-05-02\n"
            + "J-8;Ben Moss;"
            + number
            + ";Polish;;finished;05/03/2026 2:30 pm\n"
            + "J-9;Ben Moss;"
            + number
            + ";;;;\n";
    JsonNode preview = handIn("jobs.csv", file);
    assertThat(fates(preview)).isEqualTo("JOBS: new 2, same 0, changed 0, asked 0, refused 1");
    JsonNode done = taken(preview, Map.of());
    JsonNode jobs = work(ben).path("jobs");
    assertThat(jobs.findValuesAsString("number")).containsExactly("J-7", "J-8");
    assertThat(jobs.path(1).path("openedAt").asString()).isEqualTo("2026-05-03T19:30:00Z");
    assertThat(fates(handIn("jobs.csv", file)))
        .isEqualTo("JOBS: new 0, same 2, changed 0, asked 0, refused 1");
    String exported =
        maren.get("/api/customers/export/jobs.csv?sentence=called+moss").require(200).body();
    assertThat(fates(handIn("jobs.csv", exported)))
        .isEqualTo("JOBS: new 0, same 2, changed 0, asked 0, refused 0");

    JsonNode pump = jobs.path(0);
    maren
        .put(
            "/api/jobs/" + pump.path("id").asLong(),
            Map.of(
                "number",
                "J-7",
                "what",
                "New bilge pump",
                "standing",
                "fitted",
                "state",
                "CLOSED",
                "place",
                "",
                "version",
                pump.path("version").asLong()))
        .require(200);
    assertThat(undone(done).path("why").asString()).contains("1 job stays");
    assertThat(work(ben).path("jobs").findValuesAsString("standing")).containsExactly("fitted");
  }

  @Test
  void textsOfTheTimeBeforeStandInTheScriptAndNobodyWaits() {
    String known = fabulum.freshNumber();
    String stranger = fabulum.freshNumber();
    fabulum.webhook().text(known, Fabulum.DOCK, "here today").require(200);
    long open = conversation(known);
    JsonNode counts = counts();
    List<Map<String, Object>> notices = fabulum.tables.queryForList("select id from notice");
    String file =
        "[{\"line\":\""
            + Fabulum.DOCK
            + "\",\"number\":\""
            + known
            + "\",\"time\":\"2025-03-01T10:00:00Z\",\"direction\":\"in\",\"words\":\"the first\"},"
            + "{\"line\":\""
            + Fabulum.DOCK
            + "\",\"number\":\""
            + known
            + "\",\"time\":\"2025-03-01T10:05:00Z\",\"direction\":\"out\",\"words\":\"an answer\",\"by\":\"Old Jo\"},"
            + "{\"line\":\""
            + Fabulum.DOCK
            + "\",\"number\":\""
            + stranger
            + "\",\"time\":\"2025-04-01T10:00:00Z\",\"direction\":\"in\",\"words\":\"a stranger\"},"
            + "{\"line\":\"Nowhere\",\"number\":\"12\",\"time\":\"soon\",\"direction\":\"up\",\"words\":\"\"}]";
    JsonNode preview = handIn("texts.json", file);
    assertThat(fates(preview)).isEqualTo("TEXTS: new 3, same 0, changed 0, asked 0, refused 1");
    assertThat(preview.path("rows").toString())
        .contains("we have no line “Nowhere”", "“soon” is not a time", "neither received nor sent");
    JsonNode done = taken(preview, Map.of());
    assertThat(done.path("added").asInt()).isEqualTo(3);
    JsonNode entries = maren.script(open);
    assertThat(entries.findValuesAsString("words"))
        .startsWith("the first", "an answer", "here today");
    assertThat(entries.path(1).path("author").asString()).isEqualTo("Old Jo");
    ((ObjectNode) counts).put("done", counts.path("done").asInt() + 1);
    assertThat(counts()).isEqualTo(counts);
    assertThat(fabulum.tables.queryForList("select id from notice")).isEqualTo(notices);
    long past = conversation(stranger);
    assertThat(maren.script(past).findValuesAsString("words")).containsExactly("a stranger");

    assertThat(fates(handIn("texts.json", file)))
        .isEqualTo("TEXTS: new 0, same 3, changed 0, asked 0, refused 1");
    undone(done);
    assertThat(maren.script(open).findValuesAsString("words"))
        .doesNotContain("the first", "an answer");
    assertThat(maren.script(past)).isEmpty();
    assertThat(fates(handIn("texts.json", file)))
        .isEqualTo("TEXTS: new 3, same 0, changed 0, asked 0, refused 1");
  }

  private long conversation(String number) {
    Long id =
        fabulum.tables.queryForObject(
            "select id from conversation where began_with = ?", Long.class, number);
    return id == null ? 0 : id;
  }

  private JsonNode counts() {
    return maren.get("/api/conversations/counts").require(200).json();
  }

  @Test
  void whatTheNetworkToldIsNotTakenInOnceMore() {
    String known = fabulum.freshNumber();
    fabulum.webhook().text(known, Fabulum.DOCK, "told by the network").require(200);
    String at = fabulum.clock.instant().minusSeconds(30).toString();
    String file =
        "Line,Number,Time,Direction,Text\n"
            + Fabulum.DOCK
            + ","
            + known
            + ","
            + at
            + ",received,told by the network\n";
    assertThat(fates(handIn("t.csv", file)))
        .isEqualTo("TEXTS: new 0, same 1, changed 0, asked 0, refused 0");
  }

  @Test
  void anOlderTextIsNotTheLastOneSaid() {
    String known = fabulum.freshNumber();
    fabulum.webhook().text(known, Fabulum.DOCK, "the newest words").require(200);
    String file = "Line,Number,Time,Direction,Text\n" + Fabulum.DOCK + "," + known + ",";
    String before = fabulum.clock.instant().minus(Duration.ofDays(30)).toString();
    taken(handIn("t.csv", file + before + ",received,words of long ago\n"), Map.of());
    assertThat(maren.conversationOf(known).path("lastWords").asString())
        .isEqualTo("the newest words");
    assertThat(maren.script(conversation(known)).findValuesAsString("words"))
        .contains("words of long ago", "the newest words");
  }

  @Test
  void brokenCalendarsAndJsonAreRefusedWithTheReason() {
    refused("[{\"a\":1},\n{\"b\":", "The JSON cannot be read from line 2 on");
    refused("[1, 2]", "not a JSON object");
    refused(calendar(), "There are no appointments in the calendar");
  }

  private void refused(String file, String why) {
    var refused = maren.upload(FILES, "a.json", file);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.json().path("detail").asString()).contains(why);
  }
}
