package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.LiveReader;
import fabulum.server.testing.OnSharedProgram;
import fabulum.server.testing.Webhook;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Set aside and back, taken back, needing no answer, and what it is about. */
@OnSharedProgram
class ActsTest {
  private final Fabulum fabulum;
  private final Browser maren;
  private final Webhook webhook;

  ActsTest(Fabulum fabulum) {
    this.fabulum = fabulum;
    this.maren = fabulum.signedIn("maren");
    this.webhook = fabulum.webhook();
  }

  private long waiting(String number) {
    webhook.text(number, Fabulum.YARD, "hello").require(200);
    return maren.conversationOf(number).path("id").asLong();
  }

  private long waiting() {
    return waiting(fabulum.freshNumber());
  }

  private JsonNode row(long id) {
    return maren.get("/api/conversations/" + id).require(200).json().path("conversation");
  }

  private String group(long id) {
    return row(id).path("group").asString();
  }

  private Answer act(long id, String what, @Nullable Object body) {
    return maren.post("/api/conversations/" + id + "/" + what, body);
  }

  private String undo(Answer act) {
    return act.require(200).json().path("undo").asString();
  }

  private List<String> events(long id) {
    return maren
        .script(id)
        .valueStream()
        .filter(entry -> entry.has("event"))
        .map(entry -> entry.path("event").asString())
        .toList();
  }

  private static Map<String, Object> until(Instant at) {
    return Map.of("kind", "AT", "at", at.toString());
  }

  @Test
  void whatIsSetAsideComesBackByItselfAndSaysWhy() {
    long id = waiting();
    String due = row(id).path("dueAt").asString();
    act(id, "set-aside", until(fabulum.clock.instant().plusSeconds(900))).require(200);
    assertThat(group(id)).isEqualTo("SET_ASIDE");
    assertThat(row(id).path("dueAt").asString()).as("the wait goes on").isEqualTo(due);

    try (LiveReader live = maren.live(null)) {
      live.next();
      fabulum.clock.advance(Duration.ofMinutes(15));
      live.await(message ->
          message.path("conversation").path("id").asLong() == id
              && message.path("conversation").path("back").asString("").equals("ITS_TIME"));
    }
    assertThat(group(id)).isEqualTo("OUR_TURN");
    assertThat(events(id)).containsExactly("SET_ASIDE", "BACK");
  }

  @Test
  void aTextBringsItBackBeforeItsTimeAsOurTurn() {
    String number = fabulum.freshNumber();
    long id = waiting(number);
    maren.answer(id, "We look into it").require(200);
    act(id, "set-aside", Map.of("kind", "WHEN_THEY_WRITE")).require(200);
    webhook.text(number, Fabulum.YARD, "any news?").require(200);

    assertThat(group(id)).isEqualTo("OUR_TURN");
    assertThat(row(id).path("back").asString()).isEqualTo("CUSTOMER_WROTE");
    maren.answer(id, "Not yet").require(200);
    assertThat(row(id).has("back")).as("until somebody acts on it").isFalse();
  }

  @Test
  void whatFellDueWhileNobodyRanComesBackAtTheStart(@TempDir Path folder) {
    String[] line = {
      "--fabulum.lines[0].site=Pier",
      "--fabulum.lines[0].name=Desk",
      "--fabulum.lines[0].number=" + Fabulum.DOCK,
      "--fabulum.lines[0].region=US",
      "--fabulum.lines[0].zone=America/Chicago"
    };
    try (Fabulum first = Fabulum.start(folder, line)) {
      first.webhook().text("+13125550199", Fabulum.DOCK, "later").require(200);
      first.tables.update(
          "update conversation set box = 'SET_ASIDE', aside_until = ?, sort_at = ?",
          Fabulum.NOW.minusSeconds(60).atOffset(ZoneOffset.UTC),
          Fabulum.NOW.minusSeconds(60).atOffset(ZoneOffset.UTC));
    }
    try (Fabulum again = Fabulum.start(folder, line)) {
      assertThat(again.comesTo("select box from conversation", "OUR_TURN")).isTrue();
    }
  }

  @Test
  void whatWasDoneBeforeARestartCanBeTakenBackAfterIt(@TempDir Path folder) {
    String undo;
    try (Fabulum first = Fabulum.startInBusiness(folder)) {
      first.webhook().text("+13125550198", Fabulum.DOCK, "still there?").require(200);
      long id =
          Objects.requireNonNull(
              first.tables.queryForObject("select max(id) from conversation", Long.class));
      undo = undo(first.signedIn("maren").post("/api/conversations/" + id + "/done", Map.of()));
    }
    try (Fabulum again = Fabulum.start(folder)) {
      String last = "select box from conversation order by id desc fetch first 1 row only";
      assertThat(again.comesTo(last, "DONE")).isTrue();
      again.signedIn("maren").post("/api/undo/" + undo, null).require(200);
      assertThat(again.comesTo(last, "OUR_TURN")).isTrue();
    }
  }

  @Test
  void aTimeThatHasPassedIsRefusedAndNothingChanges() {
    long id = waiting();
    Answer past = act(id, "set-aside", until(fabulum.clock.instant())).require(422);
    assertThat(past.json().path("detail").asString())
        .isEqualTo("That time has passed already. Nothing was changed.");
    assertThat(group(id)).isEqualTo("OUR_TURN");
    act(id, "set-aside", Map.of("kind", "AT")).require(422);
    act(id, "done", null).require(200);
    assertThat(act(id, "set-aside", Map.of("kind", "TOMORROW")).require(409).problem())
        .isEqualTo("not-open");
  }

  @Test
  void aTimeIsReadAsItIsTypedByTheClocksOfTheLine() {
    String number = fabulum.freshNumber();
    fabulum.webhook().text(number, Fabulum.DOCK, "later").require(200);
    String path =
        "/api/conversations/"
            + maren.conversationOf(number).path("id").asLong()
            + "/moments/read?words=";
    JsonNode thursday = maren.get(path + "Thu+14%3A30").require(200).json();
    // Other classes on this program move its clock.
    ZonedDateTime at =
        fabulum
            .clock
            .instant()
            .atZone(ZoneId.of("America/Chicago"))
            .with(TemporalAdjusters.nextOrSame(DayOfWeek.THURSDAY))
            .with(LocalTime.of(14, 30));
    Instant next =
        (at.toInstant().isAfter(fabulum.clock.instant()) ? at : at.plusWeeks(1)).toInstant();
    assertThat(thursday.path("at").asString()).isEqualTo(next.toString());
    assertThat(thursday.path("open").asBoolean()).isTrue();
    assertThat(maren.get(path + "someday").require(200).json().path("why").asString())
        .contains("“someday” is not clear");
  }

  @Test
  void theLinesOwnCalendarGivesTheMoments() {
    long id = waiting();
    JsonNode moments = maren.get("/api/conversations/" + id + "/moments").require(200).json();
    Instant tomorrow = Instant.parse(moments.path("tomorrow").asString());
    assertThat(Duration.between(fabulum.clock.instant(), tomorrow)).isLessThan(Duration.ofDays(2));
    act(id, "set-aside", Map.of("kind", "TOMORROW")).require(200);
    assertThat(row(id).path("asideUntil").asString()).isEqualTo(tomorrow.toString());
    act(id, "take-up", null).require(200);
    assertThat(group(id)).isEqualTo("OUR_TURN");
  }

  private long timed(long id) {
    return maren.script(id).valueStream().filter(entry -> entry.has("workingSeconds")).count();
  }

  @Test
  void doneCanBeTakenBackAndEverythingIsAsItWas() {
    long id = waiting();
    JsonNode before = row(id);
    String undo = undo(act(id, "done", null));
    assertThat(group(id)).isEqualTo("DONE");
    assertThat(timed(id)).as("done says how long the customer waited").isEqualTo(1);
    maren.post("/api/undo/" + undo, null).require(200);

    assertThat(timed(id)).as("nobody answered, so nobody took any time").isZero();
    for (String kept : List.of("group", "since", "dueAt", "openedAt")) {
      assertThat(row(id).path(kept)).as(kept).isEqualTo(before.path(kept));
    }
    assertThat(events(id)).containsExactly("DONE_UNANSWERED", "UNDONE");
    assertThat(maren.post("/api/undo/" + undo, null).require(409).problem()).isEqualTo("too-late");
  }

  @Test
  void whatHasChangedSinceIsNotTakenBack() {
    String number = fabulum.freshNumber();
    long id = waiting(number);
    String undo = undo(act(id, "done", null));
    webhook.text(number, Fabulum.YARD, "one more thing").require(200);

    assertThat(maren.post("/api/undo/" + undo, null).require(409).problem())
        .isEqualTo("changed-meanwhile");
    assertThat(group(id)).isEqualTo("OUR_TURN");
    String mine = undo(act(id, "done", null));
    fabulum.signedIn("priya").post("/api/undo/" + mine, null).require(409);
    assertThat(group(id)).as("only one's own acts").isEqualTo("DONE");
  }

  @Test
  void twoWhoMarkDoneAtOnceDoItOnce() throws Exception {
    long id = waiting();
    Callable<Integer> done = () -> act(id, "done", null).status();
    ExecutorService both = Executors.newFixedThreadPool(2);
    for (Future<Integer> answer : both.invokeAll(List.of(done, done))) {
      assertThat(answer.get()).isEqualTo(200);
    }
    both.shutdown();
    assertThat(events(id)).containsExactly("DONE_UNANSWERED");
  }

  @Test
  void whatNeedsNoAnswerIsTheirTurn() {
    long id = waiting();
    String undo = undo(act(id, "no-answer-needed", null));
    assertThat(group(id)).isEqualTo("THEIR_TURN");
    assertThat(row(id).has("dueAt")).isFalse();
    maren.post("/api/undo/" + undo, null).require(200);
    assertThat(group(id)).isEqualTo("OUR_TURN");
  }

  @Test
  void aTopicBringsItsOwnPromiseAndTakesItAwayAgain() {
    long id = waiting();
    long topic =
        maren
            .post(
                "/api/setup/teams/1/topics",
                Map.of("name", "urgent", "colour", "ROSE", "promiseMinutes", 5, "retired", false))
            .require(200)
            .json()
            .path("id")
            .asLong();
    String path = "/api/conversations/" + id + "/topics/" + topic;
    maren.call("PUT", path, null).require(200);
    maren.call("PUT", path, null).require(200);
    assertThat(row(id).path("topics").toString()).isEqualTo("[" + topic + "]");
    assertThat(row(id).path("secondsLeft").asLong()).isEqualTo(300);
    maren.call("DELETE", path, null).require(200);
    assertThat(row(id).path("secondsLeft").asLong()).isEqualTo(3600);
    assertThat(events(id)).containsExactly("TOPIC_ADDED", "TOPIC_REMOVED");
    maren.call("PUT", "/api/conversations/" + id + "/topics/98765", null).require(404);
  }
}
