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
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import tools.jackson.databind.JsonNode;

@Execution(ExecutionMode.CONCURRENT)
class CustomerPlaceTest {
  private final TwoTeams office = TwoTeams.start();
  private final Fabulum fabulum = office.fabulum;
  private final Browser priya = fabulum.signedIn("priya");
  private final Browser otto = fabulum.signedIn("otto");

  @AfterEach
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
  void anyPartOfAnythingFinds() {
    String number = fabulum.freshNumber();
    long vera = fabulum.customer("Véra Lindström-Quay", number);
    fabulum.customer("Bo Quist", fabulum.freshNumber());
    fabulum.detail(vera, "Boat", "Kittiwake II");
    field(vera, "EMAIL", null, "vera@lind.example").require(200);
    field(vera, "OUTSIDE_ID", null, "K-7781").require(200);
    priya
        .post("/api/customers/" + vera + "/notes", Map.of("words", "keeps her trailer in row 9"))
        .require(200);
    priya.post("/api/customers/" + vera + "/jobs", job("J-204", "Rudder bearing")).require(200);
    for (String typed :
        List.of(
            "vera",
            "lindstrom",
            "QUAY",
            "kittiw",
            "vera@lind",
            "7781",
            "trailer row",
            "j-204",
            "rudder",
            number.substring(5),
            "lindstrom kittiwake")) {
      assertThat(names(found(priya, "called " + typed)))
          .as(typed)
          .containsExactly("Véra Lindström-Quay");
    }
    assertThat(names(found(priya, "called vera quist"))).isEmpty();
  }

  private static Map<String, Object> job(String number, String what) {
    return Map.of(
        "number", number, "what", what, "standing", "", "state", "OPEN", "place", "", "version", 0);
  }

  @Test
  void theSentenceNarrowsByWhatIsOnFile() {
    long ada = fabulum.customer("Ada", fabulum.freshNumber());
    long ben = fabulum.customer("Ben", fabulum.freshNumber());
    long boat = fabulum.detail(ada, "Boat", "Tansy");
    fabulum.detail(ben, "Boat", "Heron");
    field(ada, "KIND", null, "Regular").require(200);
    field(ben, "SITE", "1", null).require(200);
    long list =
        priya
            .post("/api/customer-lists", Map.of("name", "Outer berths"))
            .require(200)
            .json()
            .path("id")
            .asLong();
    Map<String, Object> both = Map.of("customers", List.of(ada, ben, 999999), "on", true);
    JsonNode put =
        priya.post("/api/customer-lists/" + list + "/customers", both).require(200).json();
    assertThat(put.path("changed").asInt()).isEqualTo(2);
    assertThat(names(found(priya, "site 1"))).containsExactly("Ada");
    assertThat(names(found(priya, "kind regular"))).containsExactly("Ada");
    assertThat(names(found(priya, "list " + list))).containsExactly("Ada", "Ben");
    assertThat(names(found(priya, "list " + list + "; detail " + boat + " her")))
        .containsExactly("Ben");
    assertThat(found(priya, "").path("count").asInt()).isEqualTo(2);
    priya.call("DELETE", "/api/customer-lists/" + list, null).require(200);
    assertThat(names(found(priya, "list " + list))).isEmpty();
    assertThat(names(found(priya, ""))).containsExactly("Ada", "Ben");
    priya.get("/api/customers?sentence=nonsense").require(422);
  }

  @Test
  void theInboxNarrowsByWhatIsOnFileOfTheCustomer() {
    String ada = fabulum.freshNumber();
    String ben = fabulum.freshNumber();
    long first = fabulum.customer("Ada", ada);
    long second = fabulum.customer("Ben", ben);
    long boat = fabulum.detail(first, "Boat", "Tansy");
    fabulum.detail(second, "Boat", "Heron");
    field(second, "KIND", null, "Visitor").require(200);
    long list =
        priya
            .post("/api/customer-lists", Map.of("name", "Outer berths"))
            .require(200)
            .json()
            .path("id")
            .asLong();
    priya
        .post(
            "/api/customer-lists/" + list + "/customers",
            Map.of("customers", List.of(first), "on", true))
        .require(200);
    text(ada, Fabulum.DOCK, "hello");
    text(ben, Fabulum.DOCK, "hello");
    text(fabulum.freshNumber(), Fabulum.DOCK, "hello");
    assertThat(inbox("kind visitor")).containsExactly("Ben");
    assertThat(inbox("list " + list)).containsExactly("Ada");
    assertThat(inbox("detail " + boat)).containsExactly("Ada", "Ben");
    assertThat(inbox("detail " + boat + " tan")).containsExactly("Ada");
    assertThat(inbox("detail " + boat + "; kind Visitor; list " + list)).isEmpty();
    assertThat(
            priya
                .get("/api/conversations/counts?sentence=kind+visitor")
                .require(200)
                .json()
                .path("ourTurn")
                .asInt())
        .isEqualTo(1);
  }

  private List<String> inbox(String sentence) {
    String text = URLEncoder.encode(sentence, StandardCharsets.UTF_8);
    return priya
        .get("/api/conversations?group=OUR_TURN&sentence=" + text)
        .require(200)
        .json()
        .path("rows")
        .valueStream()
        .map(one -> one.path("customerName").asString())
        .sorted()
        .toList();
  }

  @Test
  void whenWeLastHeardCountsOnlyWhatOneSees() {
    String near = fabulum.freshNumber();
    String far = fabulum.freshNumber();
    fabulum.customer("Near", near);
    fabulum.customer("Far", far);
    text(near, Fabulum.DOCK, "here");
    text(far, TwoTeams.FAR, "there");
    assertThat(names(found(priya, "last 7"))).containsExactly("Near");
    assertThat(names(found(otto, "last 7"))).containsExactly("Far");
    assertThat(names(found(priya, "silent 7"))).containsExactly("Far");
    JsonNode rows = found(priya, "called far").path("customers");
    assertThat(
            rows.path(0).path("heardAt").isNull() || rows.path(0).path("heardAt").isMissingNode())
        .isTrue();
    fabulum.clock.advance(Duration.ofDays(8));
    assertThat(names(found(priya, "last 7"))).isEmpty();
    assertThat(names(found(priya, "silent 7"))).containsExactly("Far", "Near");
  }

  @Test
  void whatTheyAgreedToNarrows() {
    String stops = fabulum.freshNumber();
    String writes = fabulum.freshNumber();
    fabulum.customer("Stops", stops);
    fabulum.customer("Writes", writes);
    fabulum.customer("Silent", fabulum.freshNumber());
    text(stops, Fabulum.DOCK, "STOP");
    text(writes, Fabulum.DOCK, "hello");
    assertThat(names(found(priya, "opted out"))).containsExactly("Stops");
    assertThat(names(found(priya, "agreement not known"))).containsExactly("Silent");
    text(stops, Fabulum.DOCK, "START");
    assertThat(names(found(priya, "opted out"))).isEmpty();
    assertThat(names(found(priya, "agreed to news"))).containsExactly("Stops");
  }

  @Test
  void pagesFollowEachOtherWithoutGapOrDouble() {
    for (int i = 0; i < 25; i++) {
      fabulum.customer("Same name", fabulum.freshNumber());
    }
    List<Long> seen = new java.util.ArrayList<>();
    long after = 0;
    boolean more = true;
    while (more) {
      JsonNode page = priya.get("/api/customers?limit=10&after=" + after).require(200).json();
      page.path("customers").forEach(one -> seen.add(one.path("id").asLong()));
      after = seen.get(seen.size() - 1);
      more = page.path("more").asBoolean();
    }
    assertThat(seen).hasSize(25).doesNotHaveDuplicates();
  }
}
