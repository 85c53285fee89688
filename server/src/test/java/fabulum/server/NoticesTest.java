package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.access.Role;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.LiveReader;
import fabulum.server.testing.TwoTeams;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class NoticesTest {
  private final TwoTeams office = TwoTeams.start();
  private int tests;
  private Browser maren;
  private String priyas;
  private Browser priya;

  /** Nobody waits, no line alerts, nobody was told anything, and Priya begins today. */
  @BeforeEach
  void begin() {
    maren = office.fabulum.signedIn("maren");
    tests++;
    priyas = "priya" + tests;
    office.add(priyas, "Priya Nandakumar", Role.STAFF, office.team);
    priya = office.fabulum.signedIn(priyas);
    office
        .fabulum
        .tables
        .queryForList("select id from conversation where box <> 'DONE'", Long.class)
        .forEach(id -> maren.post("/api/conversations/" + id + "/done", Map.of()).require(200));
    escalation(List.of());
    Browser tom = office.fabulum.signedIn("tom");
    tom.put("/api/me/plan", TwoTeams.plan(List.of(), List.of(), null)).require(204);
    tom.put("/api/me/in", Map.of("in", true)).require(204);
    office.fabulum.tables.update("delete from escalation_step_taken");
    office.fabulum.tables.update("delete from notice");
  }

  @AfterAll
  void end() {
    office.close();
  }

  private JsonNode notices(Browser who) {
    return who.get("/api/notices").require(200).json();
  }

  private List<String> told(Browser who) {
    return notices(who)
        .path("notices")
        .valueStream()
        .map(notice -> notice.path("kind").asString() + " " + notice.path("words").asString())
        .toList();
  }

  private boolean comesTo(String who, String kind, int wanted) {
    return office.fabulum.comesTo(
        "select count(*) from notice n join staff s on s.id = n.staff_id where s.sign_in_name = '"
            + who
            + "' and n.kind = '"
            + kind
            + "'",
        String.valueOf(wanted));
  }

  private boolean stepsTaken(int wanted) {
    return office.fabulum.comesTo(
        "select count(*) from escalation_step_taken", String.valueOf(wanted));
  }

  private void escalation(List<Map<String, Object>> steps) {
    maren.put("/api/setup/lines/1/escalation", Map.of("steps", steps)).require(200);
  }

  private void take(Browser who, long id) {
    who.post("/api/conversations/" + id + "/take", Map.of()).require(200);
  }

  @Test
  void oneIsToldOnceAWaitAndNotOnceAText() {
    long id = office.text(Fabulum.DOCK, "one");
    office.fabulum.webhook().text(office.numberOf(id), Fabulum.DOCK, "two").require(200);
    assertThat(told(priya)).containsExactly("NOBODYS “one”");
    take(priya, id);
    priya.answer(id, "answered").require(200);
    assertThat(notices(priya).path("unseen").asInt()).as("what is answered needs nobody").isZero();
    office.fabulum.clock.advance(Duration.ofMinutes(1));
    office.fabulum.webhook().text(office.numberOf(id), Fabulum.DOCK, "three").require(200);
    assertThat(told(priya)).first().isEqualTo("MINE “three”");
    assertThat(notices(priya).path("unseen").asInt()).isEqualTo(1);
    priya.post("/api/notices/seen", Map.of()).require(204);
    assertThat(notices(priya).path("unseen").asInt()).isZero();
  }

  @Test
  void nothingDisturbsWhoHasTheConversationInFrontOfThem() {
    long id = office.text(Fabulum.DOCK, "one");
    take(priya, id);
    priya.answer(id, "answered").require(200);
    priya.put("/api/conversations/" + id + "/watch", Map.of("writing", false)).require(200);
    office.fabulum.clock.advance(Duration.ofMinutes(1));
    try (LiveReader live = priya.live(null)) {
      live.next();
      office.fabulum.webhook().text(office.numberOf(id), Fabulum.DOCK, "two").require(200);
      live.await(message -> message.path("type").asString().equals("CONVERSATION"));
      priya.call("DELETE", "/api/conversations/" + id + "/watch", null).require(204);
      long other = office.text(Fabulum.DOCK, "another");
      JsonNode notice =
          live.await(message -> message.path("type").asString().equals("NOTICE")).message();
      assertThat(notice.path("notice").path("conversation").path("id").asLong()).isEqualTo(other);
    }
  }

  @Test
  void eachChoosesHowToBeToldAndMailGoesOutOnce() {
    office.fabulum.tables.update(
        "update staff set email = 'priya@quillhaven.example' where sign_in_name = ?", priyas);
    priya
        .put("/api/notices/choices", Map.of("kind", "NOBODYS", "channel", "MAIL", "wanted", true))
        .require(204);
    priya
        .put("/api/notices/choices", Map.of("kind", "NOBODYS", "channel", "HERE", "wanted", false))
        .require(204);
    office.text(Fabulum.DOCK, "by mail, please");
    assertThat(told(priya)).isEmpty();
    List<Map<String, Object>> mails =
        office.fabulum.tables.queryForList("select address, words from mail");
    assertThat(mails).hasSize(1);
    assertThat(mails.get(0).toString()).contains("priya@quillhaven.example", "by mail, please");
  }

  @Test
  void theEscalationTellsEachStepOnceAWaitAlsoAcrossARestart() {
    escalation(
        List.of(
            Map.of("afterMinutes", -15, "told", "TEAM"),
            Map.of("afterMinutes", 0, "told", "LEADS"),
            Map.of("afterMinutes", 30, "told", "PERSON", "staffId", office.id("tom"))));
    long id = office.text(Fabulum.DOCK, "waiting");
    take(priya, id);
    office.fabulum.clock.advance(Duration.ofMinutes(44));
    office.fabulum.clock.advance(Duration.ofMinutes(1));
    assertThat(comesTo("tom", "SOON", 1)).isTrue();
    assertThat(comesTo(priyas, "SOON", 1)).isTrue();
    office.fabulum.clock.advance(Duration.ofMinutes(15));
    assertThat(comesTo("maren", "LATE", 1)).isTrue();
    assertThat(comesTo(priyas, "LATE", 1)).as("the owner").isTrue();
    assertThat(stepsTaken(4)).isTrue();

    // As after a restart: nothing of what was told is in memory, only in the tables.
    office.fabulum.clock.advance(Duration.ofMinutes(30));
    assertThat(comesTo("tom", "LATE", 1)).isTrue();
    assertThat(stepsTaken(5)).isTrue();
    office.fabulum.clock.advance(Duration.ofHours(5));
    long last = office.text(Fabulum.DOCK, "the walk has passed here");
    office.fabulum.clock.advance(Duration.ofMinutes(46));
    assertThat(
            office.fabulum.comesTo(
                "select count(*) from escalation_step_taken where conversation_id = " + last, "2"))
        .isTrue();
    assertThat(comesTo("maren", "LATE", 1)).as("not again").isTrue();
    assertThat(comesTo("tom", "LATE", 1)).as("not again").isTrue();
  }

  @Test
  void aStepTellsTheCoverOfWhoIsAwayAndOnlyInWorkingTime() {
    escalation(List.of(Map.of("afterMinutes", 0, "told", "PERSON", "staffId", office.id("tom"))));
    Browser tom = office.fabulum.signedIn("tom");
    tom.put("/api/me/plan", office.coveredBy(priyas)).require(204);
    tom.put("/api/me/in", Map.of("in", false)).require(204);
    office.text(Fabulum.DOCK, "late for Tom");
    office.fabulum.clock.advance(Duration.ofMinutes(61));
    assertThat(comesTo(priyas, "LATE", 1)).isTrue();
    assertThat(comesTo("tom", "LATE", 0)).isTrue();
  }

  @Test
  void whoIsGivenItAsACoverIsToldThoughTheWaitWasToldOfBefore() {
    Browser tom = office.fabulum.signedIn("tom");
    long id = office.text(Fabulum.DOCK, "for Tom");
    take(tom, id);
    tom.put("/api/me/plan", office.coveredBy(priyas)).require(204);
    tom.put("/api/me/in", Map.of("in", false)).require(204);
    office.fabulum.webhook().text(office.numberOf(id), Fabulum.DOCK, "still there?").require(200);
    assertThat(office.owner(id)).isEqualTo(office.id(priyas));
    assertThat(told(priya)).first().asString().startsWith("MINE");
  }

  @Test
  void anEscalationThatCannotBeIsRefusedWhole() {
    var refused =
        maren
            .put(
                "/api/setup/lines/1/escalation",
                Map.of(
                    "steps",
                    List.of(
                        Map.of("afterMinutes", 99_999, "told", "LEADS"),
                        Map.of("afterMinutes", 5, "told", "PERSON"),
                        Map.of("afterMinutes", 0, "told", "TEAM"),
                        Map.of("afterMinutes", 0, "told", "TEAM"))))
            .require(422);
    assertThat(refused.json().path("fields")).hasSize(3);
    assertThat(maren.get("/api/setup/lines/1/escalation").json().path("steps")).isEmpty();
  }

  @Test
  void noticesTellOnlyOfWhatOneStillSees() {
    long id = office.text(Fabulum.DOCK, "a secret of the dock");
    assertThat(told(priya)).hasSize(1);
    Map<String, Object> away = Map.of("role", "STAFF", "teams", List.of(office.farTeam));
    maren.put("/api/setup/people/" + office.id(priyas), away).require(204);
    assertThat(told(priya)).isEmpty();
    assertThat(id).isPositive();
  }

  @Test
  void whatIsHandedToSomebodyOrToATeamIsTold() {
    long id = office.text(Fabulum.DOCK, "one");
    take(maren, id);
    maren
        .post("/api/conversations/" + id + "/hand-over", Map.of("person", office.id(priyas)))
        .require(200);
    assertThat(told(priya)).first().isEqualTo("MINE Maren Oduya handed it to you.");
    maren
        .post("/api/conversations/" + id + "/hand-over", Map.of("team", office.farTeam))
        .require(200);
    assertThat(told(office.fabulum.signedIn("otto")))
        .containsExactly("NOBODYS Maren Oduya handed it to your team.");
    take(maren, id);
    assertThat(told(maren))
        .as("nobody is told of what they did themselves")
        .noneMatch(told -> told.startsWith("MINE"));
  }

  @Test
  void aNamedPersonIsAlertedOnceWhenNobodySaysWhoWrites() {
    String known = office.fabulum.freshNumber();
    office.fabulum.customer("Ada Known", known);
    office.fabulum.webhook().text(known, Fabulum.DOCK, "me again").require(200);
    long id = office.text(Fabulum.DOCK, "who am I");
    Map<String, Object> alert = Map.of("afterMinutes", 20, "staffId", office.id("tom"));
    assertThat(maren.put("/api/setup/identify-alert", Map.of("afterMinutes", 0)).status())
        .isEqualTo(422);
    maren.put("/api/setup/identify-alert", alert).require(200);
    office.fabulum.clock.advance(Duration.ofMinutes(5));
    office.text(Fabulum.DOCK, "and who am I");
    office.fabulum.clock.advance(Duration.ofMinutes(15));
    assertThat(comesTo("tom", "TO_IDENTIFY", 1)).as("the second waits for 15 minutes").isTrue();
    office.fabulum.webhook().text(office.numberOf(id), Fabulum.DOCK, "hello?").require(200);
    office.fabulum.clock.advance(Duration.ofMinutes(5));
    assertThat(comesTo("tom", "TO_IDENTIFY", 2)).as("each wait once, and only unknown").isTrue();
    assertThat(maren.get("/api/setup/history").require(200).body())
        .contains("Tom Ferry after 20 working minutes");
  }

  @Test
  void choicesBeginAsIsUsualAndChangeOneByOne() {
    JsonNode usual = priya.get("/api/notices/choices").require(200).json();
    assertThat(usual.valueStream().map(one -> one.path("kind").asString() + one.path("by")))
        .containsExactly(
            "MINE[\"HERE\",\"DESKTOP\",\"SOUND\"]",
            "NOBODYS[\"HERE\"]",
            "MENTION[\"HERE\",\"DESKTOP\",\"SOUND\"]",
            "UNDELIVERED[\"HERE\",\"DESKTOP\",\"SOUND\"]",
            "SOON[\"HERE\"]",
            "LATE[\"HERE\",\"DESKTOP\"]",
            "TO_IDENTIFY[\"HERE\",\"DESKTOP\"]");
    priya
        .put("/api/notices/choices", Map.of("kind", "MINE", "channel", "SOUND", "wanted", false))
        .require(204);
    priya
        .put("/api/notices/choices", Map.of("kind", "LATE", "channel", "MAIL", "wanted", true))
        .require(204);
    String chosen = priya.get("/api/notices/choices").body();
    assertThat(chosen).contains("[\"HERE\",\"DESKTOP\"]", "[\"HERE\",\"DESKTOP\",\"MAIL\"]");
    assertThat(maren.get("/api/notices/choices").json()).isEqualTo(usual);
  }

  @Test
  void aLineHasItsOwnEscalationOrThatOfItsTeam() {
    maren
        .put(
            "/api/setup/teams/1/escalation",
            Map.of("steps", List.of(Map.of("afterMinutes", 5, "told", "LEADS"))))
        .require(200);
    long id = office.text(Fabulum.DOCK, "by the team's");
    office.fabulum.clock.advance(Duration.ofMinutes(66));
    assertThat(comesTo("maren", "LATE", 1)).isTrue();
    assertThat(maren.get("/api/setup/history").body())
        .contains("who is told", "late by 5 min: the leads");
    assertThat(id).isPositive();
  }
}
