package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.access.Role;
import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import tools.jackson.databind.JsonNode;

@TestInstance(Lifecycle.PER_CLASS)
class OwningTest {
  private TwoTeams office;
  private Browser maren;
  private Browser priya;
  private Browser tom;

  @BeforeAll
  void begin() {
    office = TwoTeams.start();
    maren = office.fabulum.signedIn("maren");
    priya = office.fabulum.signedIn("priya");
    tom = office.fabulum.signedIn("tom");
  }

  @AfterAll
  void end() {
    office.close();
  }

  private Answer act(Browser by, long id, String act, Object body) {
    return by.post("/api/conversations/" + id + "/" + act, body);
  }

  private Answer note(Browser by, long id, String words) {
    return act(by, id, "notes", Map.of("words", words, "reference", Fabulum.reference()));
  }

  private JsonNode dossier(Browser by, long id) {
    return by.get("/api/conversations/" + id).require(200).json();
  }

  /** The events of a script, as "KIND about: words". */
  private List<String> events(long id) {
    return maren
        .script(id)
        .valueStream()
        .filter(entry -> entry.has("event"))
        .map(entry ->
            entry.path("event").asString()
                + " "
                + entry.path("about").path("name").asString("-")
                + ": "
                + entry.path("words").asString("-"))
        .toList();
  }

  private Map<String, Object> line(String way, boolean narrowed, List<Long> told) {
    Map<String, Object> line = TwoTeams.line("Yard and lift", Fabulum.YARD);
    line.put("way", way);
    line.put("narrowed", narrowed);
    line.put("tellOfNobodys", told);
    return line;
  }

  private void yard(String way, boolean narrowed) {
    maren.put("/api/setup/lines/2", line(way, narrowed, List.of(office.id("maren")))).require(200);
  }

  private void inOrAway(Browser who, boolean isIn) {
    who.put("/api/me/in", Map.of("in", isIn)).require(204);
  }

  private void cover(Browser who, String cover) {
    who.put("/api/me/plan", office.coveredBy(cover)).require(204);
  }

  @Test
  void handingOverTellsToWhomAndKeepsWhyAsANoteAndSumsItUp() {
    long id = office.text(Fabulum.DOCK, "can you lift us on Friday?");
    act(priya, id, "take", Map.of()).require(200);
    note(priya, id, "the crane is free at ten").require(204);
    act(priya, id, "hand-over", Map.of("person", office.id("tom"), "why", "you have the key"))
        .require(200);

    assertThat(office.owner(id)).isEqualTo(office.id("tom"));
    assertThat(events(id)).endsWith("HANDED_OVER Tom Ferry: -");
    JsonNode summary = dossier(tom, id).path("summary");
    assertThat(summary.path("from").path("name").asString()).isEqualTo("Priya Nandakumar");
    assertThat(summary.path("fromSince").asString()).isNotEmpty();
    assertThat(summary.path("asked").path("words").asString())
        .isEqualTo("can you lift us on Friday?");
    assertThat(summary.path("due").asString()).isEqualTo("2026-06-09T20:05:00Z");
    assertThat(summary.path("notes").valueStream().map(note -> note.path("words").asString()))
        .containsExactly("the crane is free at ten", "you have the key");
    tom.answer(id, "Friday at ten").require(200);
    assertThat(dossier(tom, id).has("summary")).isFalse();
  }

  @Test
  void whoTakesItAnewHasNoSummaryThatWasForAnother() {
    long id = office.text(Fabulum.DOCK, "whose is this?");
    act(priya, id, "take", Map.of()).require(200);
    act(priya, id, "hand-over", Map.of("person", office.id("tom"))).require(200);
    assertThat(dossier(tom, id).has("summary")).isTrue();
    act(maren, id, "take", Map.of()).require(200);
    assertThat(dossier(maren, id).has("summary")).isFalse();
    assertThat(dossier(tom, id).has("summary")).isFalse();
  }

  @Test
  void workMovedToSomebodyWhoDoesNotSeeItIsNobodysInstead() {
    long id = office.text(Fabulum.DOCK, "not for the far team");
    act(tom, id, "take", Map.of()).require(200);
    String path = "/api/office/people/" + office.id("tom") + "/move";
    JsonNode moved =
        tom.post(path, Map.of("ids", List.of(id), "person", office.id("otto"))).require(200).json();
    assertThat(moved.path("nobodys").asInt()).isEqualTo(1);
    assertThat(office.owner(id)).isZero();
    office.fabulum.signedIn("otto").get("/api/conversations/" + id).require(404);
  }

  @Test
  void whatIsHandedToATeamIsNobodysThereAndTheOthersStillSeeIt() {
    long id = office.text(Fabulum.DOCK, "the bill, please");
    act(priya, id, "take", Map.of()).require(200);
    Browser otto = office.fabulum.signedIn("otto");
    otto.get("/api/conversations/" + id).require(404);
    String undo =
        act(priya, id, "hand-over", Map.of("team", office.farTeam))
            .require(200)
            .json()
            .path("undo")
            .asString();

    assertThat(office.owner(id)).isZero();
    assertThat(dossier(otto, id).path("conversation").path("teamId").asLong())
        .isEqualTo(office.farTeam);
    assertThat(otto.get("/api/lines").body()).contains("Dock office");
    assertThat(otto.get("/api/write-to/lines").body())
        .as("what was handed over is answered, nothing new is begun there")
        .contains("Far line")
        .doesNotContain("Dock office");
    priya.post("/api/undo/" + undo, null).require(200);
    assertThat(office.owner(id)).isEqualTo(office.id("priya"));
    otto.get("/api/conversations/" + id).require(404);
  }

  @Test
  void itCannotBeHandedToWhoMayNotSeeItOrToATeamWithoutPeople() {
    long id = office.text(Fabulum.DOCK, "to whom?");
    Answer blind = act(maren, id, "hand-over", Map.of("person", office.id("otto"))).require(422);
    assertThat(blind.json().path("detail").asString())
        .startsWith("Otto Farr may not work on Dock office.");
    assertThat(act(maren, id, "hand-over", Map.of("person", office.id("vera"))).status())
        .isEqualTo(422);
    long empty =
        maren
            .post("/api/setup/teams", Map.of("name", "Empty"))
            .require(200)
            .json()
            .path("id")
            .asLong();
    Answer nobody = act(maren, id, "hand-over", Map.of("team", empty)).require(422);
    assertThat(nobody.json().path("detail").asString())
        .startsWith("There is nobody in the team Empty yet.");
    assertThat(office.owner(id)).isZero();
    String receivers = maren.get("/api/conversations/" + id + "/hand-to").require(200).body();
    assertThat(receivers).contains("Tom Ferry").doesNotContain("Otto", "Vera", "Empty");
  }

  @Test
  void takingWhatAColleagueTookASecondAgoSaysWho() {
    long id = office.text(Fabulum.DOCK, "who takes it?");
    act(priya, id, "take", Map.of("shown", 0)).require(200);
    Answer refused = act(tom, id, "take", Map.of("shown", 0)).require(409);
    assertThat(refused.problem()).isEqualTo("taken-meanwhile");
    assertThat(refused.json().path("detail").asString())
        .startsWith("Priya Nandakumar took it a moment ago.");
    act(tom, id, "take", Map.of("shown", office.id("priya"))).require(200);
    assertThat(office.owner(id)).isEqualTo(office.id("tom"));
  }

  @Test
  void anAnswerIsStoppedWhenAColleagueAnsweredSinceItWasBegun() {
    long id = office.text(Fabulum.DOCK, "which berth?");
    JsonNode script = tom.script(id);
    long seen = script.get(script.size() - 1).path("id").asLong();
    assertThat(dossier(tom, id).path("newest").asLong()).isEqualTo(seen);
    priya.answer(id, "A12").require(200);
    Map<String, Object> mine =
        new HashMap<>(Map.of("words", "B7", "reference", Fabulum.reference(), "seen", seen));
    Answer stopped = act(tom, id, "texts", mine).require(409);
    assertThat(stopped.problem()).isEqualTo("answered-meanwhile");
    assertThat(stopped.json().path("detail").asString())
        .contains("Priya Nandakumar answered", "“A12”", "your words are kept");
    assertThat(tom.script(id).toString()).doesNotContain("B7");
    mine.remove("seen");
    act(tom, id, "texts", mine).require(200);
    assertThat(tom.script(id).toString()).contains("B7");
  }

  private long waiting(String who) {
    Long waiting =
        office.fabulum.tables.queryForObject(
            "select count(*) from conversation where box = 'OUR_TURN' and owner_id = ?",
            Long.class,
            office.id(who));
    return waiting == null ? 0 : waiting;
  }

  @Test
  void aLineGivesOutWhatIsNewToWhoHasLeastAndSaysWhy() {
    yard("LEAST_WAITING", false);
    try {
      act(tom, office.text(Fabulum.DOCK, "busy"), "take", Map.of()).require(200);
      act(maren, office.text(Fabulum.DOCK, "busy"), "take", Map.of()).require(200);
      for (int i = 0; i < 4; i++) {
        long least = Math.min(waiting("priya"), Math.min(waiting("tom"), waiting("maren")));
        long id = office.text(Fabulum.YARD, "for whoever has least");
        String got =
            office.owner(id) == office.id("priya")
                ? "priya"
                : office.owner(id) == office.id("tom") ? "tom" : "maren";
        assertThat(waiting(got)).isEqualTo(least + 1);
        assertThat(events(id))
            .first()
            .asString()
            .startsWith("GIVEN ")
            .endsWith(": least waiting, " + least);
      }
      inOrAway(priya, false);
      inOrAway(tom, false);
      inOrAway(maren, false);
      long nobodys = office.text(Fabulum.YARD, "is anybody in?");
      assertThat(office.owner(nobodys)).isZero();
      assertThat(events(nobodys)).containsExactly("NOT_GIVEN -: nobody is in");
      String notices = maren.get("/api/notices").require(200).body();
      assertThat(notices).contains("Not assigned: nobody is in.");
    } finally {
      List.of(priya, tom, maren).forEach(one -> inOrAway(one, true));
      yard("NOBODY", false);
    }
  }

  @Test
  void inTurnNobodyIsTwoAheadAndTheLastOwnerIsPreferredWhereTheLineSaysSo() {
    yard("IN_TURN", false);
    try {
      Map<Long, Integer> got = new HashMap<>();
      for (int i = 0; i < 8; i++) {
        got.merge(office.owner(office.text(Fabulum.YARD, "in turn")), 1, Integer::sum);
      }
      assertThat(got.values()).allMatch(count -> count >= 2 && count <= 4);
      assertThat(got).doesNotContainKeys(0L, office.id("vera"), office.id("otto"));

      yard("LAST_OWNER", false);
      long id = office.text(Fabulum.YARD, "who had me last?");
      act(tom, id, "take", Map.of()).require(200);
      tom.answer(id, "I have").require(200);
      act(tom, id, "let-go", Map.of()).require(200);
      office.fabulum.webhook().text(office.numberOf(id), Fabulum.YARD, "and again").require(200);
      assertThat(office.owner(id)).isEqualTo(office.id("tom"));
      assertThat(events(id)).last().isEqualTo("GIVEN Tom Ferry: had this customer last");
    } finally {
      yard("NOBODY", false);
    }
  }

  @Test
  void whoHasAsMuchAsTheyCanIsGivenNoMore() {
    yard("LEAST_WAITING", false);
    List<String> all = List.of("maren", "priya", "tom");
    try {
      for (String one : all) {
        String role = one.equals("maren") ? "LEAD" : "STAFF";
        Map<String, Object> full =
            Map.of("role", role, "permissions", List.of("TEXT"), "teams", List.of(1), "limit", 1);
        act(
                office.fabulum.signedIn(one),
                office.text(Fabulum.DOCK, "one is enough"),
                "take",
                Map.of())
            .require(200);
        maren.put("/api/setup/people/" + office.id(one), full).require(204);
      }
      long id = office.text(Fabulum.YARD, "one too many");
      assertThat(office.owner(id)).isZero();
      assertThat(events(id))
          .containsExactly("NOT_GIVEN -: everyone who is in has as much as they can");
    } finally {
      office.fabulum.tables.update("update staff set work_limit = null");
      yard("NOBODY", false);
    }
  }

  @Test
  void whatIsWrittenToOnANarrowedLineAndRefusedMakesNobodyACustomer() {
    yard("NOBODY", true);
    try {
      long id = office.text(Fabulum.YARD, "narrow");
      act(priya, id, "take", Map.of()).require(200);
      Map<String, Object> wanted =
          Map.of(
              "line", 2, "number", office.numberOf(id), "makeCustomer", true, "name", "A Secret");
      tom.post("/api/write-to", wanted).require(404);
      assertThat(
              office.fabulum.tables.queryForObject(
                  "select count(*) from customer where name = 'A Secret'", Integer.class))
          .isZero();
    } finally {
      yard("NOBODY", false);
    }
  }

  @Test
  void lettingGoAndTakingBackTellInTheScript() {
    long id = office.text(Fabulum.DOCK, "back and forth");
    act(priya, id, "take", Map.of()).require(200);
    String undo = act(priya, id, "let-go", Map.of()).require(200).json().path("undo").asString();
    assertThat(office.owner(id)).isZero();
    priya.post("/api/undo/" + undo, null).require(200);
    assertThat(office.owner(id)).isEqualTo(office.id("priya"));
    assertThat(events(id)).containsExactly("TAKEN -: -", "LET_GO -: -", "UNDONE -: LET_GO");
    assertThat(act(tom, id, "let-go", Map.of()).require(200).json().has("undo")).isTrue();
    assertThat(priya.post("/api/undo/" + undo, null).problem()).isEqualTo("too-late");
  }

  @Test
  void whatComesForSomebodyAwayGoesToTheCoverAndACircleEndsAtNobody() {
    long id = office.text(Fabulum.DOCK, "first");
    String number = office.numberOf(id);
    act(priya, id, "take", Map.of()).require(200);
    cover(priya, "tom");
    cover(tom, "maren");
    inOrAway(priya, false);
    inOrAway(tom, false);
    try {
      office.fabulum.webhook().text(number, Fabulum.DOCK, "second").require(200);
      assertThat(office.owner(id)).isEqualTo(office.id("maren"));
      assertThat(events(id))
          .last()
          .isEqualTo("COVERED Maren Oduya: Priya Nandakumar is away, so is Tom Ferry");
      assertThat(dossier(maren, id).path("summary").path("from").path("name").asString())
          .isEqualTo("Priya Nandakumar");

      Answer refused = maren.put("/api/me/plan", office.coveredBy("priya")).require(422);
      assertThat(refused.json().path("detail").asString())
          .isEqualTo(
              "The covers would lead in a circle: Priya Nandakumar, then Tom Ferry, then Maren Oduya.");
      // Dates can still make one, so what comes then must end somewhere.
      office.fabulum.tables.update(
          "update staff set cover_id = ? where id = ?", office.id("priya"), office.id("maren"));
      inOrAway(maren, false);
      office.fabulum.webhook().text(number, Fabulum.DOCK, "third").require(200);
      assertThat(office.owner(id)).isZero();
      assertThat(events(id))
          .last()
          .asString()
          .contains("the covers lead in a circle: Maren Oduya, then Priya");
    } finally {
      office.fabulum.tables.update("update staff set cover_id = null");
      List.of(priya, tom, maren).forEach(one -> inOrAway(one, true));
    }
  }

  @Test
  void nobodyCoversForThemselves() {
    assertThat(
            tom.put("/api/me/plan", office.coveredBy("tom"))
                .require(422)
                .json()
                .path("detail")
                .asString())
        .isEqualTo("A colleague cannot cover for themselves. Choose another.");
  }

  @Test
  void onANarrowedLineOneSeesNobodysAndOnesOwn() {
    yard("NOBODY", true);
    try {
      long id = office.text(Fabulum.YARD, "narrow");
      tom.get("/api/conversations/" + id).require(200);
      act(priya, id, "take", Map.of()).require(200);
      tom.get("/api/conversations/" + id).require(404);
      maren.get("/api/conversations/" + id).require(200);
      act(priya, id, "let-go", Map.of()).require(200);
      tom.get("/api/conversations/" + id).require(200);
    } finally {
      yard("NOBODY", false);
    }
  }

  @Test
  void notesAreChangedAndWithdrawnByTheirAuthorAndTheTraceStays() {
    long id = office.text(Fabulum.DOCK, "a question");
    note(priya, id, "the berth is taken").require(204);
    long note = priya.script(id).get(1).path("id").asLong();
    String path = "/api/conversations/" + id + "/notes/" + note;
    priya.put(path, Map.of("words", "the berth is free")).require(204);
    assertThat(tom.put(path, Map.of("words", "no")).require(403).json().path("detail").asString())
        .startsWith("Only the author of a note can change it.");
    priya.call("DELETE", path, null).require(204);
    JsonNode shown = tom.script(id).get(1);
    assertThat(shown.path("withdrawn").asBoolean()).isTrue();
    assertThat(shown.has("words")).isFalse();
    assertThat(
            tom.get(path + "/trace")
                .require(200)
                .json()
                .valueStream()
                .map(one -> one.path("words").asString()))
        .containsExactly("the berth is taken", "the berth is free");
  }

  @Test
  void aNoteThatNamesSomebodyWithoutSightIsNotAdded() {
    long id = office.text(Fabulum.DOCK, "a question");
    Answer refused = note(priya, id, "ask @Otto Farr about it").require(422);
    assertThat(refused.json().path("detail").asString())
        .startsWith("Otto Farr does not see this conversation");
    assertThat(priya.script(id)).hasSize(1);
    note(priya, id, "ask @Tom about it").require(204);
    assertThat(office.fabulum.signedIn("tom").get("/api/notices").body())
        .contains("Priya Nandakumar: “ask @Tom about it”");
  }

  @Test
  void aLeadSeesTheWholeOfficeAndOnLeavingAllIsMovedAtOnce() {
    long spare = office.add("spare", "Spare Hand", Role.STAFF, 1);
    Browser hand = office.fabulum.signedIn("spare");
    long one = office.text(Fabulum.DOCK, "one");
    long two = office.text(Fabulum.DOCK, "two");
    act(hand, one, "take", Map.of()).require(200);
    act(hand, two, "take", Map.of()).require(200);
    JsonNode row =
        maren
            .get("/api/office")
            .require(200)
            .json()
            .path("people")
            .valueStream()
            .filter(person -> person.path("staff").path("id").asLong() == spare)
            .findFirst()
            .orElseThrow();
    assertThat(row.path("desk").path("ourTurn").asInt()).isEqualTo(2);

    hand.put("/api/conversations/" + one + "/drafts/REPLY", Map.of("words", "I was about to say"))
        .require(204);
    JsonNode moved =
        hand.post(
                "/api/office/people/" + spare + "/move",
                Map.of("ids", List.of(two), "person", office.id("tom")))
            .require(200)
            .json();
    assertThat(moved.path("moved").asInt()).isEqualTo(1);
    assertThat(office.owner(two)).isEqualTo(office.id("tom"));
    maren
        .post("/api/office/people/" + spare + "/off", Map.of("person", office.id("priya")))
        .require(200);
    assertThat(office.owner(one)).isEqualTo(office.id("priya"));
    hand.get("/api/lines").require(401);
    office.fabulum.browser().signIn("spare", Fabulum.PASSWORD).require(401);
    assertThat(dossier(maren, one).path("left").get(0).path("words").asString())
        .isEqualTo("I was about to say");
    assertThat(dossier(priya, one).path("left")).isEmpty();
  }
}
