package fabulum.server.programs;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

/** Other programs keep customers, appointments and jobs in step. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ProgramsTest {
  private static final String OUTSIDE = "/api/outside/v1";

  private final TwoTeams office = TwoTeams.start();
  private final Fabulum fabulum = office.fabulum;
  private final Browser maren = fabulum.signedIn("maren");

  @AfterAll
  void stop() {
    office.close();
  }

  private JsonNode made(String name, String... rights) {
    return maren
        .post("/api/setup/programs", Map.of("name", name, "rights", List.of(rights)))
        .require(200)
        .json();
  }

  private Browser program(String name, String... rights) {
    return fabulum.browser().withKey(made(name, rights).path("key").asString());
  }

  private JsonNode listed(String name) {
    return maren
        .get("/api/setup/programs")
        .require(200)
        .json()
        .valueStream()
        .filter(one -> one.path("name").asString().equals(name))
        .findFirst()
        .orElseThrow();
  }

  private static Map<String, Object> number(String number) {
    return Map.of("number", number, "kind", "mobile");
  }

  @Test
  void aCustomerIsMadeChangedAndReadByItsOutsideId() {
    Browser books = program("Books", "CHANGE_CUSTOMERS");
    long boat = fabulum.detail(fabulum.customer("Someone"), "Boat", "Tern");
    String first = fabulum.freshNumber();
    String second = fabulum.freshNumber();
    fabulum.webhook().text(first, Fabulum.DOCK, "who am I").require(200);
    Map<String, Object> ada =
        Map.of(
            "name", "Ada Brandt",
            "email", "ada@post.example",
            "contacts", List.of("Ida"),
            "details", Map.of("boat", "Heron"),
            "numbers", List.of(number(first)));
    String path = OUTSIDE + "/customers/B-1";
    assertThat(books.put(path, ada).status()).isEqualTo(201);
    assertThat(books.put(path, ada).status()).as("told again").isEqualTo(200);
    assertThat(maren.conversationOf(first).path("customerName").asString()).isEqualTo("Ada Brandt");

    Map<String, Object> more =
        Map.of(
            "email", "", "numbers", List.of(number(second)), "details", Map.of("Boat", "Plover"));
    JsonNode now = books.put(path, more).require(200).json();
    assertThat(now.path("name").asString()).as("what is absent stays").isEqualTo("Ada Brandt");
    assertThat(now.has("email")).as("what is empty is emptied").isFalse();
    assertThat(now.path("numbers").findValuesAsString("number")).containsExactly(second);
    assertThat(now.path("details").path("Boat").asString()).isEqualTo("Plover");
    assertThat(books.get(path).require(200).json()).isEqualTo(now);
    assertThat(boat).isPositive();

    long id = id("B-1");
    JsonNode changes = maren.get("/api/customers/" + id + "/changes").require(200).json();
    assertThat(changes.findValuesAsString("program")).contains("Books").doesNotContain("Someone");
    assertThat(changes.toString()).contains("Heron", "Plover", "GIVEN_UP");
    assertThat(
            fabulum.tables.queryForObject(
                "select count(*) from holding where customer_id = ?", Integer.class, id))
        .as("the number that was given up keeps its dates")
        .isEqualTo(2);
  }

  private long id(String outsideId) {
    Long id =
        fabulum.tables.queryForObject(
            "select id from customer where outside_id = ?", Long.class, outsideId);
    return id == null ? 0 : id;
  }

  @Test
  void whoIsOnFileWithThatNameAndNumberIsNotMadeOnceMore() {
    Browser books = program("Ledger", "CHANGE_CUSTOMERS");
    String number = fabulum.freshNumber();
    long ben = fabulum.customer("Ben Moss", number);
    Map<String, Object> other = Map.of("name", "Vera Moss", "numbers", List.of(number(number)));
    books.put(OUTSIDE + "/customers/L-2", other).require(201);
    assertThat(id("L-2")).isNotEqualTo(ben);
    Map<String, Object> told = Map.of("name", "Ben Moss", "numbers", List.of(number(number)));
    books.put(OUTSIDE + "/customers/L-1", told).require(201);
    assertThat(id("L-1")).isEqualTo(ben);
    JsonNode known = books.get(OUTSIDE + "/numbers/" + number).require(200).json();
    assertThat(known.path("customers").findValuesAsString("outsideId"))
        .containsExactlyInAnyOrder("L-1", "L-2");
    JsonNode page = books.get(OUTSIDE + "/customers?after=L-1&limit=1").require(200).json();
    assertThat(page.findValuesAsString("outsideId")).containsExactly("L-2");
  }

  @Test
  void allThatIsWrongIsSaidAndNothingIsChanged() {
    Browser books = program("Wrong", "CHANGE_CUSTOMERS", "CHANGE_JOBS", "CHANGE_APPOINTMENTS");
    Map<String, Object> bad =
        Map.of(
            "email",
            "nowhere",
            "site",
            "Moon",
            "details",
            Map.of("Wingspan", "2"),
            "numbers",
            List.of(number("12"), number(Fabulum.DOCK)));
    Answer refused = books.put(OUTSIDE + "/customers/W-1", bad);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.json().path("fields").findValuesAsString("field"))
        .containsExactlyInAnyOrder(
            "name", "email", "site", "details.Wingspan", "numbers[0].number", "numbers[1].number");
    assertThat(books.get(OUTSIDE + "/customers/W-1").status()).isEqualTo(404);
    Answer job = books.put(OUTSIDE + "/jobs/J-1", Map.of("customer", "nobody"));
    assertThat(job.json().path("fields").findValuesAsString("field"))
        .containsExactlyInAnyOrder("customer", "what");
    Answer lift = books.put(OUTSIDE + "/appointments/A-1", Map.of("what", "Lift"));
    assertThat(lift.json().path("fields").findValuesAsString("field"))
        .containsExactlyInAnyOrder("customer", "startsAt");
  }

  @Test
  void appointmentsAndJobsAreKeptInStep() {
    Browser diary = program("Diary", "CHANGE_CUSTOMERS", "CHANGE_APPOINTMENTS", "CHANGE_JOBS");
    diary.put(OUTSIDE + "/customers/D-1", Map.of("name", "Dora Lind")).require(201);
    Map<String, Object> lift =
        Map.of("customer", "D-1", "what", "Lift-out", "startsAt", "2026-07-01T14:00:00Z");
    diary.put(OUTSIDE + "/appointments/A-7", lift).require(201);
    JsonNode off =
        diary.put(OUTSIDE + "/appointments/A-7", Map.of("state", "CANCELLED")).require(200).json();
    assertThat(off.path("what").asString()).isEqualTo("Lift-out");
    assertThat(off.path("state").asString()).isEqualTo("CANCELLED");
    Map<String, Object> job = Map.of("customer", "D-1", "number", "J-7", "what", "Paint");
    diary.put(OUTSIDE + "/jobs/7", job).require(201);
    diary
        .put(OUTSIDE + "/jobs/7", Map.of("state", "CLOSED", "closedAt", "2026-06-01T10:00:00Z"))
        .require(200);
    JsonNode jobs = diary.get(OUTSIDE + "/customers/D-1/jobs").require(200).json();
    assertThat(jobs.path(0).path("closedAt").asString()).isEqualTo("2026-06-01T10:00:00Z");
    assertThat(jobs.path(0).path("number").asString()).isEqualTo("J-7");
    JsonNode work = maren.get("/api/customers/" + id("D-1") + "/work").require(200).json();
    assertThat(work.path("appointments").path(0).path("state").asString()).isEqualTo("CANCELLED");
    diary.put(OUTSIDE + "/customers/D-2", Map.of("name", "Egon Falk")).require(201);
    assertThat(diary.put(OUTSIDE + "/jobs/7", Map.of("customer", "D-2")).status()).isEqualTo(422);
  }

  @Test
  void aKeyGivesOnlyWhatItWasGivenUntilItIsEnded() {
    JsonNode made = made("Reader", "READ_CUSTOMERS");
    String key = made.path("key").asString();
    assertThat(fabulum.tables.queryForList("select * from program").toString())
        .doesNotContain(key)
        .contains(key.substring(0, 12));
    Browser reader = fabulum.browser().withKey(key);
    reader.get(OUTSIDE + "/customers").require(200);
    assertThat(reader.put(OUTSIDE + "/customers/R-1", Map.of("name", "A")).status()).isEqualTo(403);
    assertThat(reader.get(OUTSIDE + "/jobs/1").status()).isEqualTo(403);
    assertThat(reader.get("/api/customers?sentence=").status())
        .as("no door of people")
        .isEqualTo(401);
    assertThat(maren.get(OUTSIDE + "/customers").status()).as("no door of programs").isEqualTo(401);
    assertThat(
            fabulum
                .browser()
                .withKey("fabulum_" + "x".repeat(32))
                .get(OUTSIDE + "/customers")
                .status())
        .isEqualTo(401);
    JsonNode used = listed("Reader");
    assertThat(used.path("reads").asInt()).isEqualTo(1);
    assertThat(used.path("refused").asInt()).isEqualTo(2);
    assertThat(used.has("lastUsedAt")).isTrue();

    maren.post("/api/setup/programs/" + made.path("id").asLong() + "/end", Map.of()).require(200);
    assertThat(reader.get(OUTSIDE + "/customers").status()).isEqualTo(401);
    assertThat(maren.get("/api/setup/history").require(200).body()).contains("program Reader");
  }

  @Test
  void theSameCustomerToldManyTimesAtOnceIsMadeOnce() {
    Browser books = program("Racer", "CHANGE_CUSTOMERS");
    String number = fabulum.freshNumber();
    Map<String, Object> told = Map.of("name", "Nora Quist", "numbers", List.of(number(number)));
    List<CompletableFuture<Integer>> all = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      all.add(
          CompletableFuture.supplyAsync(
              () -> books.put(OUTSIDE + "/customers/N-1", told).status()));
    }
    List<Integer> came = all.stream().map(CompletableFuture::join).toList();
    assertThat(came).contains(201).allMatch(status -> status == 200 || status == 201);
    assertThat(fabulum.tables.queryForList("select id from customer where name = 'Nora Quist'"))
        .hasSize(1);
    assertThat(books.get(OUTSIDE + "/customers/N-1").json().path("numbers")).hasSize(1);
  }

  @Test
  void aProgramThatAsksWithoutEndIsSlowedDown() {
    Browser flood = program("Flood", "READ_CUSTOMERS");
    int refused = 0;
    for (int i = 0; i < ProgramUse.MOST_A_MINUTE + 5 && refused == 0; i++) {
      refused += flood.get(OUTSIDE + "/customers?limit=1").status() == 429 ? 1 : 0;
    }
    assertThat(refused).isEqualTo(1);
  }
}
