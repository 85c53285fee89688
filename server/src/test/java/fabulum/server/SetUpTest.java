package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.LiveReader;
import fabulum.server.testing.OnSharedProgram;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Lines, sites and topics set up while everybody works. */
@OnSharedProgram
class SetUpTest {
  private final Fabulum fabulum;
  private final Browser maren;

  SetUpTest(Fabulum fabulum) {
    this.fabulum = fabulum;
    this.maren = fabulum.signedIn("maren");
  }

  private static Map<String, Object> span(int day, int fromHour, int toHour) {
    return Map.of("day", day, "from", fromHour * 60, "to", toHour * 60);
  }

  private static Map<String, Object> line(String name, String number, Object... week) {
    Map<String, Object> line = new HashMap<>();
    line.put("name", name);
    line.put("number", number);
    line.put("region", "US");
    line.put("siteId", 1);
    line.put("teamId", 1);
    line.put("zone", "America/Chicago");
    line.put("inUse", true);
    line.put("promiseMinutes", 60);
    line.put("week", List.of(week));
    line.put("closedDays", List.of());
    line.put("openHolidays", List.of());
    line.put("narrowed", false);
    return line;
  }

  private long add(Map<String, Object> line) {
    return maren.post("/api/setup/lines", line).require(200).json().path("id").asLong();
  }

  private JsonNode waitingOn(String line) {
    String from = fabulum.freshNumber();
    fabulum.webhook().text(from, line, "hello").require(200);
    return maren.conversationOf(from);
  }

  @Test
  void aPromiseThatChangesReckonsWhatWaitsInOneStepForEveryoneAtOnce() {
    Map<String, Object> line = line("Promised", "(920) 555-0160");
    long id = add(line);
    long first = waitingOn("+19205550160").path("id").asLong();
    waitingOn("+19205550160");
    line.put("promiseMinutes", 45);
    try (LiveReader live = fabulum.signedIn("priya").live(null)) {
      live.next();
      Answer changed = maren.put("/api/setup/lines/" + id, line).require(200);
      assertThat(changed.json().path("reckoned").asInt()).isEqualTo(2);
      live.await(message -> message.path("type").asString().equals("READ_AGAIN"));
    }
    JsonNode row =
        fabulum.signedIn("priya").get("/api/conversations/" + first).json().path("conversation");
    assertThat(row.path("secondsLeft").asLong()).isEqualTo(45 * 60);
    JsonNode newest = maren.get("/api/setup/history").require(200).json().get(0);
    assertThat(newest.path("what").asString()).isEqualTo("promise");
    assertThat(newest.path("before").asString()).isEqualTo("1 h");
    assertThat(newest.path("after").asString()).isEqualTo("45 min");
    assertThat(newest.path("who").path("name").asString()).isEqualTo("Maren Oduya");
    maren.post("/api/conversations/" + first + "/done", null).require(200);
  }

  @Test
  void eachOfTwoLeadsIsToldWhatTheirOwnChangeMadeDueOtherwise() throws Exception {
    Map<String, Object> promised = line("Much changed", "(920) 555-0172");
    String path = "/api/setup/lines/" + add(promised);
    waitingOn("+19205550172");
    Map<String, Object> named = line("Renamed", "(920) 555-0173");
    String other = "/api/setup/lines/" + add(named);
    AtomicBoolean goOn = new AtomicBoolean(true);
    ExecutorService second = Executors.newSingleThreadExecutor();
    try {
      Future<Integer> reckonedForNames =
          second.submit(() -> {
            int sum = 0;
            for (int i = 0; goOn.get(); i++) {
              Map<String, Object> next = changed(named, "name", "Renamed " + i);
              sum += maren.put(other, next).require(200).json().path("reckoned").asInt();
            }
            return sum;
          });
      for (int i = 0; i < 20; i++) {
        Map<String, Object> next = changed(promised, "promiseMinutes", 20 + i);
        assertThat(maren.put(path, next).require(200).json().path("reckoned").asInt()).isOne();
      }
      goOn.set(false);
      assertThat(reckonedForNames.get()).isZero();
    } finally {
      goOn.set(false);
      second.shutdownNow();
    }
  }

  @Test
  void aTextThatCameInWhileThePromiseChangedIsReckonedByTheNewOneAfterAll() {
    Map<String, Object> line = line("Overtaken", "(920) 555-0171");
    long id = add(line);
    long waits = waitingOn("+19205550171").path("id").asLong();
    line.put("promiseMinutes", 20);
    maren.put("/api/setup/lines/" + id, line).require(200);
    // As a text leaves it that was reckoned by the old promise and written after the change.
    fabulum.tables.update(
        "update conversation set due_at = due_at + interval '40' minute where id = ?", waits);
    assertThat(
            fabulum.becomes(() ->
                maren
                        .get("/api/conversations/" + waits)
                        .json()
                        .path("conversation")
                        .path("secondsLeft")
                        .asLong()
                    == 20 * 60))
        .isTrue();
  }

  @Test
  void aChangeMadeFromWhatIsNoLongerSoIsToldAndUndoesNothing() {
    Map<String, Object> line = line("Twice", "(920) 555-0167");
    String path = "/api/setup/lines/" + add(line);
    line.put("version", maren.get(path).json().path("version").asLong());
    maren.put(path, changed(line, "promiseMinutes", 45)).require(200);

    Answer late = maren.put(path, changed(line, "name", "Twice over")).require(409);
    assertThat(late.json().path("type").asString())
        .isEqualTo("urn:fabulum:problem:changed-meanwhile");
    assertThat(late.json().path("detail").asString()).contains("kept here but not saved yet");
    JsonNode now = maren.get(path).json();
    assertThat(now.path("name").asString()).isEqualTo("Twice");
    assertThat(now.path("promiseMinutes").asInt()).isEqualTo(45);

    line.put("version", now.path("version").asLong());
    maren.put(path, changed(line, "name", "Twice over")).require(200);
    assertThat(maren.get(path).json().path("name").asString()).isEqualTo("Twice over");
  }

  private static Map<String, Object> changed(Map<String, Object> had, String what, Object to) {
    Map<String, Object> next = new HashMap<>(had);
    next.put(what, to);
    return next;
  }

  @Test
  void aTopicMergedWhileItWasEditedIsNotBroughtBackUnawares() {
    long gone = topic("ropes");
    maren.post("/api/setup/topics/" + gone + "/merge", Map.of("into", topic("knots"))).require(200);
    Map<String, Object> renamed =
        Map.of("name", "lines and ropes", "colour", "LAKE", "retired", false, "version", 0);
    maren.put("/api/setup/topics/" + gone, renamed).require(409);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "name|' '|Give the line a name of at most 80 characters.",
        "name|Dock office|Another line has this name.",
        "number|12|Not a valid phone number in United States.",
        "number|(920) 555-0101|Another line has this number.",
        "zone|Mars/Olympus|There is no time zone “Mars/Olympus”. Choose one such as America/Chicago.",
        "promiseMinutes|0|A promise is between 1 minute and 30 days of working time.",
        "promiseMinutes|525600|A promise is between 1 minute and 30 days of working time.",
      })
  void whatCannotBeIsRefusedWithASentence(String field, String value, String sentence) {
    Map<String, Object> line = line("Impossible", "(920) 555-0161");
    line.put(field, field.equals("promiseMinutes") ? Integer.valueOf(value) : value);
    assertThat(refusal(line)).containsExactly(field + ": " + sentence);
  }

  private List<String> refusal(Map<String, Object> line) {
    return maren
        .post("/api/setup/lines", line)
        .require(422)
        .json()
        .path("fields")
        .valueStream()
        .map(field -> field.path("field").asString() + ": " + field.path("why").asString())
        .toList();
  }

  @Test
  void impossibleHoursAreNamedAllAtOnce() {
    Map<String, Object> line =
        line(
            "Hours",
            "(920) 555-0162",
            span(1, 8, 12),
            span(1, 11, 15),
            span(2, 9, 9),
            span(3, 17, 8),
            span(4, 0, 30));
    assertThat(refusal(line))
        .containsExactly(
            "week: The hours on Tuesday are empty: they begin and end at 09:00.",
            "week: The hours on Wednesday end at 08:00, before they begin at 17:00.",
            "week: The hours on Thursday are longer than a day.",
            "week: The hours on Monday overlap: those from 11:00 begin before others have ended.");
  }

  @Test
  void publicHolidaysAreClosedUnlessOneOpensOnThem() {
    Map<String, Object> line = line("Holidays", "(920) 555-0163", span(5, 8, 17), span(1, 8, 17));
    line.put("holidays", Map.of("country", "US"));
    // 3 July 2026, a Friday, is when Independence Day is observed.
    String before = "?at=2026-07-02T12:00:00-05:00";
    assertThat(due(before, line)).isEqualTo("2026-07-06T14:00:00Z");
    line.put("openHolidays", List.of("2026-07-03"));
    assertThat(due(before, line)).isEqualTo("2026-07-03T14:00:00Z");
    line.put("openHolidays", List.of());
    line.put("closedDays", List.of("2026-07-06"));
    assertThat(due(before, line)).isEqualTo("2026-07-10T14:00:00Z");
    line.put("holidays", Map.of("country", "XX"));
    assertThat(refusal(line))
        .containsExactly("holidays: There is no calendar of public holidays for XX.");
    assertThat(maren.get("/api/setup/holidays").require(200).json().toString())
        .contains("\"US\"", "Wisconsin");
  }

  private String due(String at, Map<String, Object> line) {
    return maren
        .post("/api/setup/lines/preview" + at.replace("+", "%2B"), line)
        .require(200)
        .json()
        .path("due")
        .asString();
  }

  /** Clocks go forward on 8 March 2026 at 2:00 in Chicago. */
  @Test
  void aClockChangeDuringAWaitNeitherAddsNorTakesWorkingTime() {
    Map<String, Object> line = line("Night", "(920) 555-0164", span(6, 23, 28));
    line.put("promiseMinutes", 120);
    assertThat(due("?at=2026-03-08T06:30:00Z", line)).isEqualTo("2026-03-08T08:30:00Z");
    line.put("promiseMinutes", 180);
    assertThat(due("?at=2026-11-01T05:30:00Z", line)).isEqualTo("2026-11-01T08:30:00Z");
  }

  @Test
  void sitesAreAddedAndRenamedOnceEach() {
    long id =
        maren
            .post("/api/setup/sites", Map.of("name", "South Pier"))
            .require(200)
            .json()
            .path("id")
            .asLong();
    maren.post("/api/setup/sites", Map.of("name", "south pier")).require(422);
    maren.put("/api/setup/sites/" + id, Map.of("name", "Old Pier")).require(200);
    maren.put("/api/setup/sites/98765", Map.of("name", "Nowhere")).require(404);
    assertThat(maren.get("/api/setup/sites").json().toString())
        .contains("Old Pier")
        .doesNotContain("South Pier");
  }

  private long topic(String name) {
    return maren
        .post("/api/setup/teams/1/topics", Map.of("name", name, "colour", "LAKE", "retired", false))
        .require(200)
        .json()
        .path("id")
        .asLong();
  }

  private List<String> ids(String group, String sentence) {
    return maren
        .get("/api/conversations?group=" + group + "&sentence=" + sentence)
        .require(200)
        .json()
        .path("rows")
        .valueStream()
        .map(row -> row.path("id").asString())
        .toList();
  }

  @Test
  void aMergedTopicLivesOnInTheOtherAndASentenceThatAsksForItStillFinds() {
    long gone = topic("sails");
    long stays = topic("rigging");
    long id = waitingOn(Fabulum.DOCK).path("id").asLong();
    maren.call("PUT", "/api/conversations/" + id + "/topics/" + gone, null).require(200);
    Map<String, Object> saved =
        Map.of("name", "Sails", "said", "topic " + gone, "group", "OUR_TURN", "order", "TIME_LEFT");
    maren.post("/api/sentences", saved).require(200);
    maren.post("/api/setup/topics/" + gone + "/merge", Map.of("into", stays)).require(200);

    assertThat(ids("OUR_TURN", "topic%20" + stays)).containsExactly(Long.toString(id));
    assertThat(ids("OUR_TURN", "topic%20" + gone)).containsExactly(Long.toString(id));
    assertThat(savedCount("Sails")).isEqualTo(1);
    assertThat(maren.script(id).get(1).path("words").asString())
        .as("the script keeps the word of then")
        .isEqualTo("sails");
  }

  @Test
  void aRetiredTopicIsNoLongerGivenButASavedSentenceStillFindsIt() {
    long topic = topic("moorings");
    long id = waitingOn(Fabulum.DOCK).path("id").asLong();
    long other = waitingOn(Fabulum.DOCK).path("id").asLong();
    maren.call("PUT", "/api/conversations/" + id + "/topics/" + topic, null).require(200);
    Map<String, Object> saved =
        Map.of(
            "name",
            "Moor",
            "said",
            "topic " + topic,
            "group",
            "OUR_TURN",
            "order",
            "NEWEST",
            "teamId",
            1);
    maren.post("/api/sentences", saved).require(200);
    Map<String, Object> retired = Map.of("name", "moorings", "colour", "LAKE", "retired", true);
    maren.put("/api/setup/topics/" + topic, retired).require(200);

    assertThat(savedCount("Moor")).isEqualTo(1);
    Answer refused =
        maren.call("PUT", "/api/conversations/" + other + "/topics/" + topic, null).require(422);
    assertThat(refused.json().path("detail").asString())
        .isEqualTo("The topic “moorings” is retired.");
    Answer again =
        maren
            .post(
                "/api/setup/teams/1/topics",
                Map.of("name", "Moorings", "colour", "CLAY", "retired", false))
            .require(422);
    assertThat(again.json().path("detail").asString()).contains("Bring that one back instead.");
    assertThat(fabulum.signedIn("priya").get("/api/sentences").json().toString())
        .as("saved for the team")
        .contains("Moor");
  }

  private int savedCount(String name) {
    return maren
        .get("/api/sentences")
        .require(200)
        .json()
        .valueStream()
        .filter(saved -> saved.path("name").asString().equals(name))
        .findFirst()
        .orElseThrow()
        .path("count")
        .asInt();
  }

  @Test
  void aSentenceThatCannotBeReadOrSavedSaysWhy() {
    Answer unreadable =
        maren.get("/api/conversations?group=DONE&sentence=left%20soon").require(422);
    assertThat(unreadable.json().path("detail").asString())
        .isEqualTo("This part of the sentence cannot be read: “left soon”.");
    Map<String, Object> wanted =
        new HashMap<>(
            Map.of("name", "x", "said", "mine", "group", "DONE", "order", "NEWEST", "teamId", 77));
    maren.post("/api/sentences", wanted).require(422);
    wanted.remove("teamId");
    long id = maren.post("/api/sentences", wanted).require(200).json().path("id").asLong();
    maren.post("/api/sentences", wanted).require(422);
    fabulum.signedIn("priya").call("DELETE", "/api/sentences/" + id, null).require(404);
    maren.call("DELETE", "/api/sentences/" + id, null).require(204);
  }

  @Test
  void closedDaysOfAFileAreReadAndNothingIsSaved() {
    String before = maren.get("/api/setup/lines/1").require(200).body();
    String read = "/api/setup/closed-days/read";
    JsonNode days = maren.upload(read, "days.csv", "2026-07-03,Picnic\n7/4/2026,x").json();
    assertThat(days.path("days").get(0).path("day").asString()).isEqualTo("2026-07-03");
    assertThat(days.path("leftOut").get(0).path("entry").asString()).isEqualTo("line 2");
    JsonNode refused = maren.upload(read, "hello.txt", "hello").require(422).json();
    assertThat(refused.path("fields").get(0).path("why").asString()).contains("No days were found");
    assertThat(maren.upload(read, "huge.csv", "x".repeat(2_000_000)).require(422).body())
        .contains("larger than 1 MB");
    fabulum.signedIn("priya").upload(read, "days.csv", "2026-07-03").require(403);
    assertThat(maren.get("/api/setup/lines/1").body()).isEqualTo(before);
  }

  @Test
  void theChangeLogIsReadFromEitherEnd() {
    add(line("First of the log", "(920) 555-0121"));
    add(line("Second of the log", "(920) 555-0122"));
    JsonNode newest = maren.get("/api/setup/history").require(200).json();
    JsonNode oldest = maren.get("/api/setup/history?order=OLDEST").require(200).json();
    assertThat(newest.get(0).path("subject").asString()).isEqualTo("line Second of the log");
    assertThat(newest.get(1).path("subject").asString()).isEqualTo("line First of the log");
    assertThat(oldest.get(0)).isEqualTo(newest.get(newest.size() - 1));
    long first = oldest.get(0).path("id").asLong();
    assertThat(maren.get("/api/setup/history?order=OLDEST&from=" + first).json().get(0))
        .isEqualTo(oldest.get(1));
    long last = newest.get(0).path("id").asLong();
    assertThat(maren.get("/api/setup/history?from=" + last).json().get(0)).isEqualTo(newest.get(1));
  }
}
