package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.delivery.DeliveryState;
import fabulum.core.delivery.SendOutcome;
import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Nobody waits unseen: what was not delivered is our turn until a person has dealt with it. */
class UndeliveredTest {
  private static TwoTeams office;
  private static Fabulum fabulum;
  private static Browser maren;
  private static Browser priya;

  @BeforeAll
  static void start() {
    office = TwoTeams.start();
    fabulum = office.fabulum;
    maren = fabulum.signedIn("maren");
    priya = fabulum.signedIn("priya");
  }

  @AfterAll
  static void stop() {
    office.close();
  }

  private static String send(Browser by, long id, String words, @Nullable Long again) {
    String reference = Fabulum.reference();
    Map<String, Object> answer = new HashMap<>(Map.of("words", words, "reference", reference));
    if (again != null) {
      answer.put("again", again);
    }
    by.post("/api/conversations/" + id + "/texts", answer).require(200);
    assertThat(
            fabulum.comesTo(
                "select delivery from entry where reference = '" + reference + "'", "SENT"))
        .isTrue();
    return reference;
  }

  private static void fail(String reference) {
    fabulum.webhook().report(reference, "failed").require(200);
  }

  private static JsonNode row(long id) {
    return maren.get("/api/conversations/" + id).require(200).json().path("conversation");
  }

  private static long entry(String reference) {
    Long id =
        fabulum.tables.queryForObject(
            "select id from entry where reference = ?", Long.class, reference);
    return id == null ? 0 : id;
  }

  private static void isOurTurnSince(long id, Object since) {
    JsonNode row = row(id);
    assertThat(row.path("group").asString()).isEqualTo("OUR_TURN");
    assertThat(row.path("failed").asBoolean()).isTrue();
    assertThat(row.path("failureReason").asString()).isEqualTo("Out of service.");
    assertThat(row.path("since").asString()).isEqualTo(String.valueOf(since));
    assertThat(row.path("dueAt").asString()).isNotEmpty();
  }

  private static void isTheirTurn(long id) {
    assertThat(row(id).path("group").asString()).isEqualTo("THEIR_TURN");
    assertThat(row(id).path("failed").asBoolean()).isFalse();
  }

  @Test
  void theWaitGoesOnFromTheTextItWasToAnswerAndItIsCountedAndTold() {
    long id = office.text(Fabulum.DOCK, "Is the lift free?");
    Object asked = fabulum.clock.instant();
    fabulum.clock.advance(Duration.ofMinutes(20));
    String reference = send(priya, id, "At nine", null);
    isTheirTurn(id);
    int before = counted(priya);

    fail(reference);

    isOurTurnSince(id, asked);
    assertThat(counted(priya)).isEqualTo(before + 1);
    assertThat(notices(priya))
        .anySatisfy(notice -> {
          assertThat(notice.path("kind").asString()).isEqualTo("UNDELIVERED");
          assertThat(notice.path("conversation").path("id").asLong()).isEqualTo(id);
          assertThat(notice.path("words").asString()).contains("At nine", "Out of service.");
        });
  }

  private static int counted(Browser by) {
    return by.get("/api/conversations/counts").require(200).json().path("notDelivered").asInt();
  }

  private static List<JsonNode> notices(Browser of) {
    return of.get("/api/notices").require(200).json().path("notices").valueStream().toList();
  }

  @Test
  void whatAnsweredNobodyWaitsSinceItFailed() {
    long id = office.text(Fabulum.DOCK, "hello");
    send(priya, id, "hello to you", null);
    String unasked = send(priya, id, "and another thing", null);
    fabulum.clock.advance(Duration.ofMinutes(7));

    fail(unasked);

    isOurTurnSince(id, fabulum.clock.instant());
  }

  @Test
  void whatWasDoneOrSetAsideComesBackAndSaysWhy() {
    for (String act : List.of("done", "set-aside")) {
      long id = office.text(Fabulum.DOCK, "before " + act);
      Object asked = fabulum.clock.instant();
      String reference = send(priya, id, "answered", null);
      priya
          .post("/api/conversations/" + id + "/" + act, Map.of("kind", "WHEN_THEY_WRITE"))
          .require(200);

      fail(reference);

      isOurTurnSince(id, asked);
      assertThat(row(id).path("back").asString()).isEqualTo("NOT_DELIVERED");
    }
  }

  @Test
  void aLaterTextThatGoesOutDoesNotHideIt() {
    long id = office.text(Fabulum.DOCK, "two things");
    Object asked = fabulum.clock.instant();
    String first = send(priya, id, "the first", null);
    fail(first);
    fabulum.clock.advance(Duration.ofMinutes(2));

    String second = send(priya, id, "the second", null);
    fabulum.webhook().report(second, "delivered").require(200);

    isOurTurnSince(id, asked);
  }

  @Test
  void sendingItAgainSettlesItAndFailingAgainGoesOnFromTheSameText() {
    long id = office.text(Fabulum.DOCK, "again please");
    Object asked = fabulum.clock.instant();
    String first = send(priya, id, "once", null);
    fail(first);
    fabulum.clock.advance(Duration.ofMinutes(3));

    String second = send(priya, id, "once more", entry(first));
    isTheirTurn(id);
    fail(second);

    isOurTurnSince(id, asked);
    assertThat(needing(id)).containsExactly(entry(second));
  }

  private static List<Long> needing(long id) {
    return fabulum.tables.queryForList(
        "select id from entry where conversation_id = ? and needs_hand order by id",
        Long.class,
        id);
  }

  @Test
  void eachFailedTextCounts() {
    long id = office.text(Fabulum.DOCK, "three answers");
    String one = send(priya, id, "one", null);
    String two = send(priya, id, "two", null);
    fail(one);
    fail(two);
    leave(id, one).require(200);
    assertThat(row(id).path("failed").asBoolean()).isTrue();
    assertThat(row(id).path("group").asString()).isEqualTo("OUR_TURN");

    leave(id, two).require(200);

    isTheirTurn(id);
  }

  private static Answer leave(long id, String reference) {
    return priya.post("/api/conversations/" + id + "/texts/" + entry(reference) + "/leave", null);
  }

  @Test
  void leavingItIsAnActThatCanBeTakenBack() {
    long id = office.text(Fabulum.DOCK, "leave it");
    Object asked = fabulum.clock.instant();
    String reference = send(priya, id, "lost", null);
    fail(reference);

    String undo = leave(id, reference).require(200).json().path("undo").asString();
    isTheirTurn(id);
    assertThat(leave(id, reference).require(200).json().has("undo")).as("already left").isFalse();
    priya.post("/api/undo/" + undo, null).require(200);

    isOurTurnSince(id, asked);
    leave(987_654, reference).require(404);
  }

  @Test
  void sendingItToAnotherNumberSettlesItHere() {
    long id = office.text(Fabulum.DOCK, "my phone is broken");
    long other = office.text(Fabulum.DOCK, "this is my wife’s phone");
    String lost = send(priya, id, "come at nine", null);
    fail(lost);

    send(priya, other, "come at nine", entry(lost));

    isTheirTurn(id);
    JsonNode script = maren.script(id);
    JsonNode last = script.get(script.size() - 1);
    assertThat(last.path("event").asString()).isEqualTo("SENT_AGAIN");
    assertThat(last.path("words").asString()).isEqualTo(office.numberOf(other));
  }

  @Test
  void itArrivedAfterAll() {
    long id = office.text(Fabulum.DOCK, "a slow phone");
    String reference = send(priya, id, "slowly", null);
    fail(reference);

    fabulum.webhook().report(reference, "delivered").require(200);

    isTheirTurn(id);
  }

  @Test
  void whatNobodyOwnsTellsWhoWroteItAndTheTeam() {
    long id = office.text(Fabulum.DOCK, "nobody has me");
    String reference = send(priya, id, "answered and let go", null);
    priya.post("/api/conversations/" + id + "/let-go", null).require(200);

    fail(reference);

    for (Browser told : List.of(priya, fabulum.signedIn("tom"))) {
      assertThat(notices(told))
          .anyMatch(notice ->
              notice.path("kind").asString().equals("UNDELIVERED")
                  && notice.path("conversation").path("id").asLong() == id);
    }
  }

  @Test
  void oneOfManyIsShownWithTheActThatSentItUnlessSomebodyWaitedForIt() {
    long waits = office.text(Fabulum.DOCK, "when is the storm?");
    long quiet = office.text(Fabulum.DOCK, "thanks");
    maren.answer(quiet, "you are welcome").require(200);
    Map<String, Object> act =
        Map.of("ids", List.of(waits, quiet), "what", "TEXT", "words", "Storm at six.");
    long batch =
        maren
            .post("/api/several", Map.of("act", act, "reference", Fabulum.reference()))
            .require(200)
            .json()
            .path("id")
            .asLong();
    for (long id : List.of(waits, quiet)) {
      String reference = "batch-" + batch + "-" + id;
      assertThat(
              fabulum.comesTo(
                  "select max(delivery) from entry where reference = '" + reference + "'", "SENT"))
          .isTrue();
      fail(reference);
    }

    assertThat(row(waits).path("group").asString()).isEqualTo("OUR_TURN");
    assertThat(row(quiet).path("group").asString()).isEqualTo("THEIR_TURN");
    assertThat(row(quiet).path("failed").asBoolean()).isFalse();
    JsonNode lost = maren.get("/api/several/" + batch).json().path("notDelivered");
    assertThat(lost.valueStream().map(one -> one.path("conversationId").asLong()))
        .containsExactlyInAnyOrder(waits, quiet);
    assertThat(lost.get(0).path("why").asString()).isEqualTo("Out of service.");
  }

  @Test
  void doneIsAWayOfLeavingIt() {
    long id = office.text(Fabulum.DOCK, "never mind");
    String reference = send(priya, id, "gone", null);
    fail(reference);
    String undo =
        priya
            .post("/api/conversations/" + id + "/done", null)
            .require(200)
            .json()
            .path("undo")
            .asString();
    assertThat(row(id).path("failed").asBoolean()).isFalse();

    priya.post("/api/undo/" + undo, null).require(200);

    assertThat(row(id).path("failed").asBoolean()).isTrue();
    assertThat(needing(id)).containsExactly(entry(reference));
  }

  /** What a page shows of a conversation now, as it says with what puts it out of sight. */
  private static Map<String, Object> shown(long id) {
    JsonNode dossier = priya.get("/api/conversations/" + id).require(200).json();
    List<Long> lost = dossier.path("lost").valueStream().map(JsonNode::asLong).toList();
    return Map.of("newest", dossier.path("newest").asLong(), "lost", lost);
  }

  private static Answer putAway(long id, String act, Map<String, Object> shown) {
    Map<String, Object> body = Map.of("kind", "WHEN_THEY_WRITE", "shown", shown);
    return priya.post("/api/conversations/" + id + "/" + act, body);
  }

  private static final List<String> OUT_OF_SIGHT = List.of("done", "set-aside", "no-answer-needed");

  @Test
  void aFailureThatThePageDoesNotShowYetIsNotPutOutOfSight() {
    for (String act : OUT_OF_SIGHT) {
      long id = office.text(Fabulum.DOCK, "thank you, that is all");
      Object asked = fabulum.clock.instant();
      Map<String, Object> shown = shown(id);
      String reference = send(priya, id, "see you", null);
      fail(reference);

      String why = putAway(id, act, shown).require(409).json().path("detail").asString();

      assertThat(why).contains("not delivered", "see you");
      isOurTurnSince(id, asked);
      putAway(id, act, shown(id)).require(200);
      assertThat(row(id).path("group").asString()).isNotEqualTo("OUR_TURN");
    }
  }

  @Test
  void aTextThatThePageDoesNotShowYetIsNotPutOutOfSight() {
    for (String act : OUT_OF_SIGHT) {
      long id = office.text(Fabulum.DOCK, "all fine");
      Map<String, Object> shown = shown(id);
      fabulum.webhook().text(office.numberOf(id), Fabulum.DOCK, "wait, one more").require(200);

      String why = putAway(id, act, shown).require(409).json().path("detail").asString();

      assertThat(why).contains("wait, one more");
      assertThat(row(id).path("group").asString()).isEqualTo("OUR_TURN");
      putAway(id, act, shown(id)).require(200);
      assertThat(row(id).path("group").asString()).isNotEqualTo("OUR_TURN");
    }
  }

  @Test
  void whatTheNetworkRefusesForGoodIsOurTurnAsWell() {
    long id = office.text(Fabulum.DOCK, "refuse me");
    fabulum.network.script.add(new SendOutcome.RefusedForGood("barred", "Out of service."));
    priya.answer(id, "barred").require(200);
    assertThat(
            fabulum.comesTo(
                "select max(box) from conversation where id = " + id + " and failed", "OUR_TURN"))
        .isTrue();
  }

  @Test
  void aTextWithoutAReportIsAskedAbout() {
    long id = office.text(Fabulum.DOCK, "silence");
    String reference = send(priya, id, "did you get it?", null);
    fabulum.network.secretlyTaken.put(reference, "n-silent");
    fabulum.network.states.put(reference, DeliveryState.NOT_DELIVERED);
    fabulum.clock.advance(Duration.ofMinutes(9));
    assertThat(row(id).path("failed").asBoolean()).isFalse();

    fabulum.clock.advance(Duration.ofMinutes(2));

    assertThat(
            fabulum.comesTo("select count(*) from conversation where failed and id = " + id, "1"))
        .isTrue();
    assertThat(
            fabulum.comesTo(
                "select count(*) from unreported where entry_id = " + entry(reference), "0"))
        .isTrue();
  }
}
