package fabulum.server.clientele;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class CustomerPageTest {
  private final TwoTeams office = TwoTeams.start();
  private final Fabulum fabulum = office.fabulum;
  private final Browser priya = fabulum.signedIn("priya");
  private final Browser otto = fabulum.signedIn("otto");

  @AfterAll
  void stop() {
    office.close();
  }

  private void text(String number, String line, String words) {
    fabulum.clock.advance(Duration.ofMinutes(1));
    fabulum.webhook().text(number, line, words).require(200);
  }

  private static List<String> names(JsonNode page) {
    return page.path("customers").valueStream().map(one -> one.path("name").asString()).toList();
  }

  private JsonNode found(Browser who, String sentence) {
    String text = URLEncoder.encode(sentence, StandardCharsets.UTF_8);
    return who.get("/api/customers?sentence=" + text).require(200).json();
  }

  private Answer field(long customer, String field, @Nullable String was, @Nullable String now) {
    Map<String, Object> change = new HashMap<>();
    change.put("field", field);
    change.put("was", was);
    change.put("now", now);
    return priya.put("/api/customers/" + customer + "/field", change);
  }

  @Test
  void theStoryGoesOverEveryLineAndNumberInOrderAsFarAsOneSees() {
    String first = fabulum.freshNumber();
    String second = fabulum.freshNumber();
    long ada = fabulum.customer("Ada", first, second);
    text(first, Fabulum.DOCK, "one");
    text(second, TwoTeams.FAR, "two");
    text(second, Fabulum.DOCK, "three");
    text(first, Fabulum.DOCK, "four");
    assertThat(words(story(priya, ada))).containsExactly("one", "three", "four");
    assertThat(words(story(otto, ada))).containsExactly("two");
    assertThat(story(priya, ada).path("where").size()).isEqualTo(2);
    JsonNode last = priya.get("/api/customers/" + ada + "/story?limit=2").require(200).json();
    assertThat(words(last)).containsExactly("three", "four");
    JsonNode before =
        priya
            .get("/api/customers/" + ada + "/story?limit=2&before=" + last.path("earlier").asLong())
            .require(200)
            .json();
    assertThat(words(before)).containsExactly("one");
  }

  @Test
  void oldTextsStayWithWhoWroteThemThen() {
    String number = fabulum.freshNumber();
    long ada = fabulum.customer("Ada", number);
    long ben = fabulum.customer("Ben", fabulum.freshNumber());
    text(number, Fabulum.DOCK, "from Ada");
    long id = numberId(ada, number);
    fabulum.clock.advance(Duration.ofDays(1));
    JsonNode act =
        priya
            .post("/api/customers/" + ada + "/numbers/" + id + "/give-up", Map.of())
            .require(200)
            .json();
    text(number, Fabulum.DOCK, "from nobody");
    Map<String, Object> typed = Map.of("number", number, "kind", "mobile", "word", "");
    priya.post("/api/customers/" + ben + "/numbers", typed).require(200);
    priya.post("/api/customers/" + ben + "/numbers", typed).require(422);
    text(number, Fabulum.DOCK, "from Ben");
    assertThat(words(story(priya, ada))).containsExactly("from Ada");
    assertThat(words(story(priya, ben))).contains("from Ben").doesNotContain("from Ada");
    priya.post("/api/identifying/" + act.path("act").asLong() + "/undo", Map.of()).require(200);
    assertThat(words(story(priya, ada))).containsExactly("from Ada", "from nobody", "from Ben");
  }

  @Test
  void aFieldIsChangedFromWhatWasSeenAndTheSecondIsTold() {
    long ada = fabulum.customer("Ada", fabulum.freshNumber());
    field(ada, "NAME", "Ada", "Ada Quay").require(200);
    Answer second = field(ada, "NAME", "Ada", "Ada Moss");
    assertThat(second.status()).isEqualTo(409);
    assertThat(second.json().path("detail").asString()).contains("Yours was not saved");
    assertThat(page(ada).path("file").path("name").asString()).isEqualTo("Ada Quay");
    field(ada, "EMAIL", null, "no address").require(422);
    field(ada, "NAME", "Ada Quay", " ").require(422);
    JsonNode changes = priya.get("/api/customers/" + ada + "/changes").require(200).json();
    assertThat(changes.path(0).path("what").asString()).isEqualTo("name");
    assertThat(changes.path(0).path("before").asString()).isEqualTo("Ada");
    assertThat(changes.path(0).path("after").asString()).isEqualTo("Ada Quay");
    assertThat(field(ada, "LANGUAGE", null, "tlh").require(422).body()).contains("It knows en, es");
    field(ada, "LANGUAGE", null, "es").require(200);
    assertThat(priya.get("/api/customers/" + ada).body()).contains("\"language\":\"es\"");
  }

  @Test
  void anExtraFieldHoldsWhatItsTypeAllows() {
    long ada = fabulum.customer("Ada", fabulum.freshNumber());
    Browser maren = fabulum.signedIn("maren");
    Map<String, Object> length =
        Map.of(
            "name", "Length", "type", "NUMBER", "choices", List.of(), "retired", false, "version",
            0);
    long kind = maren.post("/api/setup/details", length).require(200).json().path("id").asLong();
    String address = "/api/customers/" + ada + "/details/" + kind;
    priya.put(address, Map.of("now", "27 feet")).require(422);
    priya.put(address, Map.of("now", "27,50")).require(200);
    assertThat(page(ada).path("file").path("details").path(0).path("words").asString())
        .isEqualTo("27.5");
    priya.put(address, Map.of("now", "30")).require(409);
    Map<String, Object> date = new HashMap<>(length);
    date.put("type", "DATE");
    Answer refused = maren.put("/api/setup/details/" + kind, date);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.json().toString()).contains("such as “27.5”");
    Map<String, Object> words = new HashMap<>(length);
    words.put("type", "TEXT");
    maren.put("/api/setup/details/" + kind, words).require(200);
    maren.put("/api/setup/details/" + kind, words).require(409);
  }

  @Test
  void anAppointmentStandsInTheDossierUntilItIsCancelled() {
    String number = fabulum.freshNumber();
    long ada = fabulum.customer("Ada", number);
    text(number, Fabulum.DOCK, "hello");
    Map<String, Object> lift = new HashMap<>();
    lift.put("what", "Lift-out");
    lift.put("startsAt", fabulum.clock.instant().plus(Duration.ofDays(2)).toString());
    lift.put("place", "Slip 2");
    lift.put("state", "AGREED");
    lift.put("version", 0);
    long id =
        priya
            .post("/api/customers/" + ada + "/appointments", lift)
            .require(200)
            .json()
            .path("id")
            .asLong();
    assertThat(dossier(ada).path("nextAppointment").path("what").asString()).isEqualTo("Lift-out");
    lift.put("state", "CANCELLED");
    priya.put("/api/appointments/" + id, lift).require(200);
    priya.put("/api/appointments/" + id, lift).require(409);
    assertThat(dossier(ada).path("nextAppointment").isObject()).isFalse();
    lift.put("endsAt", fabulum.clock.instant().toString());
    lift.put("what", "");
    Answer bad = priya.post("/api/customers/" + ada + "/appointments", lift);
    assertThat(bad.status()).isEqualTo(422);
    assertThat(bad.json().toString()).contains("what", "endsAt");
  }

  @Test
  void twoAreJoinedAndTakenApartAgain() {
    String one = fabulum.freshNumber();
    String two = fabulum.freshNumber();
    long bob = fabulum.customer("Bob Marsh", one);
    long robert = fabulum.customer("Robert Marsh", two);
    fabulum.detail(robert, "Boat", "Tansy");
    text(one, Fabulum.DOCK, "from one");
    text(two, Fabulum.DOCK, "from two");
    JsonNode act =
        priya.post("/api/customers/" + bob + "/join", Map.of("gone", robert)).require(200).json();
    assertThat(words(story(priya, bob))).containsExactly("from one", "from two");
    assertThat(names(found(priya, "called marsh"))).containsExactly("Bob Marsh");
    assertThat(names(found(priya, "called tansy"))).containsExactly("Bob Marsh");
    assertThat(page(robert).path("joinedIntoName").asString()).isEqualTo("Bob Marsh");
    priya.post("/api/customers/" + bob + "/join", Map.of("gone", robert)).require(409);
    priya.post("/api/customers/" + bob + "/join", Map.of("gone", bob)).require(422);
    field(robert, "NAME", "Robert Marsh", "Rob").require(404);
    priya.post("/api/identifying/" + act.path("act").asLong() + "/undo", Map.of()).require(200);
    assertThat(words(story(priya, bob))).containsExactly("from one");
    assertThat(words(story(priya, robert))).containsExactly("from two");
    assertThat(names(found(priya, "called marsh"))).containsExactly("Bob Marsh", "Robert Marsh");
  }

  private long numberId(long customer, String address) {
    return page(customer)
        .path("numbers")
        .valueStream()
        .filter(one -> one.path("address").asString().equals(address))
        .findFirst()
        .orElseThrow()
        .path("numberId")
        .asLong();
  }

  private JsonNode dossier(long customer) {
    Long conversation =
        fabulum.tables.queryForObject(
            "select max(id) from conversation where customer_id = ?", Long.class, customer);
    return priya.get("/api/conversations/" + conversation).require(200).json().path("customer");
  }

  private JsonNode story(Browser who, long customer) {
    return who.get("/api/customers/" + customer + "/story").require(200).json();
  }

  private static List<String> words(JsonNode story) {
    return story
        .path("entries")
        .valueStream()
        .filter(entry -> entry.path("kind").asString().equals("IN"))
        .map(entry -> entry.path("words").asString())
        .toList();
  }

  private JsonNode page(long customer) {
    return priya.get("/api/customers/" + customer).require(200).json();
  }
}
