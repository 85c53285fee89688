package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.access.Role;
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
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

/** When people are in, on a Tuesday at five past two in the afternoon. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class PlanTest {
  private final TwoTeams office = TwoTeams.start();
  private int people;
  private long tomsId;
  private Browser tom;

  @BeforeEach
  void begin() {
    people++;
    tomsId = office.add("tom" + people, "Tom Ferry", Role.STAFF, office.team);
    office.fabulum.clock.advance(Duration.between(office.fabulum.clock.instant(), Fabulum.NOW));
    tom = office.fabulum.signedIn("tom" + people);
  }

  @AfterAll
  void end() {
    office.close();
  }

  private static Map<String, Object> span(int day, int fromHour, int toHour) {
    return Map.of("day", day, "from", fromHour * 60, "to", toHour * 60);
  }

  private static Map<String, Object> away(String first, String last, @Nullable Long cover) {
    Map<String, Object> away = new HashMap<>(Map.of("first", first, "last", last));
    if (cover != null) {
      away.put("coverId", cover);
    }
    return away;
  }

  private JsonNode session() {
    return tom.get("/api/session").require(200).json();
  }

  private boolean isIn() {
    return session().path("in").asBoolean();
  }

  @Test
  void aTimetableSaysWhetherOneIsInAndUntilWhen() {
    tom.put("/api/me/plan", TwoTeams.plan(List.of(span(2, 8, 16), span(3, 8, 12)), List.of(), null))
        .require(204);
    assertThat(session().path("why").asString()).isEqualTo("TIMETABLE");
    assertThat(session().path("until").asString()).isEqualTo("2026-06-09T21:00:00Z");
    office.fabulum.clock.advance(Duration.ofHours(2));
    assertThat(isIn()).isFalse();
    assertThat(session().path("until").asString()).isEqualTo("2026-06-10T13:00:00Z");
  }

  @Test
  void whatOneSaysByHandHoldsUntilTheTimetableWouldNextChangeIt() {
    tom.put("/api/me/plan", TwoTeams.plan(List.of(span(2, 8, 16), span(3, 8, 12)), List.of(), null))
        .require(204);
    tom.put("/api/me/in", Map.of("in", false)).require(204);
    assertThat(isIn()).isFalse();
    office.fabulum.clock.advance(Duration.ofHours(3));
    tom.put("/api/me/in", Map.of("in", true)).require(204);
    assertThat(isIn()).as("working late").isTrue();
    office.fabulum.clock.advance(Duration.ofHours(15));
    assertThat(isIn()).as("the next morning").isTrue();
    office.fabulum.clock.advance(Duration.ofHours(4));
    assertThat(isIn()).as("the next noon").isFalse();
  }

  @Test
  void daysKnownAheadBringTheirOwnCover() {
    long priya = office.id("priya");
    long maren = office.id("maren");
    tom.put(
            "/api/me/plan",
            TwoTeams.plan(List.of(), List.of(away("2026-06-09", "2026-06-10", priya)), maren))
        .require(204);
    assertThat(isIn()).isFalse();
    assertThat(session().path("until").asString()).isEqualTo("2026-06-11T05:00:00Z");

    long id = office.text(Fabulum.DOCK, "first");
    tom.post("/api/conversations/" + id + "/take", Map.of()).require(200);
    tom.answer(id, "in a moment").require(200);
    office.fabulum.clock.advance(Duration.ofMinutes(1));
    office.fabulum.webhook().text(office.numberOf(id), Fabulum.DOCK, "second").require(200);
    assertThat(office.owner(id)).isEqualTo(priya);
  }

  @Test
  void whoIsBackBeforeItIsDueKeepsIt() {
    Map<String, Object> atHalfPastTwo = Map.of("day", 2, "from", 14 * 60 + 30, "to", 18 * 60);
    tom.put("/api/me/plan", TwoTeams.plan(List.of(atHalfPastTwo), List.of(), null)).require(204);
    long id = office.text(Fabulum.DOCK, "first");
    tom.post("/api/conversations/" + id + "/take", Map.of()).require(200);
    tom.answer(id, "in a moment").require(200);
    office.fabulum.clock.advance(Duration.ofMinutes(1));
    office.fabulum.webhook().text(office.numberOf(id), Fabulum.DOCK, "second").require(200);
    assertThat(isIn()).isFalse();
    assertThat(office.owner(id))
        .as("due at six past three, back at half past two")
        .isEqualTo(tomsId);
  }

  @Test
  void whatCannotBePlannedIsSaidAllAtOnceAndNothingIsChanged() {
    Map<String, Object> wrong =
        TwoTeams.plan(
            List.of(span(2, 8, 12), span(2, 11, 14)),
            List.of(
                away("2026-06-12", "2026-06-10", null), away("2026-06-12", "2028-06-10", tomsId)),
            tomsId);
    wrong.put("zone", "Moon/Crater");
    Answer refused = tom.put("/api/me/plan", wrong).require(422);
    assertThat(refused.json().path("fields").valueStream().map(f -> f.path("field").asString()))
        .contains("zone", "week", "coverId", "absences");
    assertThat(tom.get("/api/me/plan").require(200).json().path("absences")).isEmpty();
  }

  @Test
  void aLeadPlansForOthersAndTheFrontOfficeShowsIt() {
    Browser maren = office.fabulum.signedIn("maren");
    String path = "/api/setup/people/" + tomsId + "/plan";
    maren
        .put(
            path,
            TwoTeams.plan(
                List.of(), List.of(away("2026-06-09", "2026-06-09", office.id("priya"))), null))
        .require(204);
    assertThat(tom.get("/api/me/plan").json().path("absences")).hasSize(1);
    JsonNode row =
        maren
            .get("/api/office")
            .require(200)
            .json()
            .path("people")
            .valueStream()
            .filter(person -> person.path("staff").path("id").asLong() == tomsId)
            .findFirst()
            .orElseThrow();
    assertThat(row.path("in").asBoolean()).isFalse();
    assertThat(row.path("cover").path("name").asString()).isEqualTo("Priya Nandakumar");
    office.fabulum.clock.advance(Duration.ofDays(1));
    assertThat(tom.get("/api/me/plan").json().path("absences"))
        .as("what is over is left out")
        .isEmpty();
  }
}
