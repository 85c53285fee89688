package fabulum.server.identify;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

/** One program for all: each test has customers and numbers of its own. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class IdentifyTest {
  private final TwoTeams office = TwoTeams.start();
  private final Fabulum fabulum = office.fabulum;
  private final Browser priya = fabulum.signedIn("priya");

  @AfterAll
  void stop() {
    office.close();
  }

  private long text(String number, String line, String words) {
    fabulum.clock.advance(Duration.ofMinutes(1));
    return office.textFrom(number, line, words);
  }

  private JsonNode likely(Browser who, long conversation) {
    return who.get("/api/conversations/" + conversation + "/likely").require(200).json();
  }

  private Answer identify(Browser who, long conversation, String as, Map<String, Object> body) {
    return who.post("/api/conversations/" + conversation + "/identify/" + as, body);
  }

  private Map<String, Object> is(
      long customer, boolean shared, @Nullable Long givesUp, Long... seen) {
    Map<String, Object> body = new HashMap<>();
    body.put("customerId", customer);
    body.put("shared", shared);
    body.put("givesUp", givesUp);
    body.put("seen", List.of(seen));
    return body;
  }

  private List<String> writers(long conversation) {
    List<String> names = new ArrayList<>();
    priya
        .script(conversation)
        .forEach(entry -> {
          if (entry.path("kind").asString().equals("IN")) {
            names.add(entry.path("writer").path("name").asString("nobody"));
          }
        });
    return names;
  }

  private @Nullable String customerOf(long conversation) {
    return fabulum.tables.queryForObject(
        "select (select k.name from customer k where k.id = c.customer_id) from conversation c where c.id = ?",
        String.class,
        conversation);
  }

  private boolean toIdentify(long conversation) {
    return Boolean.TRUE.equals(
        fabulum.tables.queryForObject(
            "select to_identify from conversation where id = ?", Boolean.class, conversation));
  }

  private int toIdentify() {
    return priya.get("/api/conversations/counts").require(200).json().path("toIdentify").asInt();
  }

  @Test
  void whoIsNamedComesFirstWithTheEvidence() {
    long vera = fabulum.customer("Sanna Oster", fabulum.freshNumber());
    fabulum.customer("Bo Ostergren", fabulum.freshNumber());
    long id = text(fabulum.freshNumber(), Fabulum.DOCK, "Sanna Oster here, this is my new phone");
    JsonNode found = likely(priya, id);
    assertThat(found.path("candidates").path(0).path("customerId").asLong()).isEqualTo(vera);
    assertThat(found.path("candidates").path(0).path("likelihood").asDouble()).isGreaterThan(0.8);
    assertThat(found.path("candidates").path(0).path("reasons").path(0).path("sentence").asString())
        .contains("Sanna Oster");
    assertThat(found.path("guessedName").asString()).isEqualTo("Sanna Oster");
  }

  @Test
  void whatWasSaidOnALineOfOthersIsNeitherQuotedNorCounted() {
    String own = fabulum.freshNumber();
    fabulum.customer("Ole Brandt", own);
    text(own, TwoTeams.FAR, "The rudder bearing of the ketch squeaks");
    long id =
        text(
            fabulum.freshNumber(),
            Fabulum.DOCK,
            "does the rudder bearing still squeak on the ketch");
    assertThat(likely(priya, id).toString()).doesNotContain("MATTER");
    long far =
        text(
            fabulum.freshNumber(),
            TwoTeams.FAR,
            "does the rudder bearing still squeak on the ketch");
    assertThat(likely(fabulum.signedIn("otto"), far).toString()).contains("MATTER");
  }

  @Test
  void whatIsAskedAboutIsNoEvidenceOfItself() {
    String number = fabulum.freshNumber();
    fabulum.customer("Ada Berg", number);
    fabulum.customer("Ben Berg", number);
    long id = text(number, Fabulum.DOCK, "may we fetch the cushions from the loft");
    assertThat(likely(priya, id).toString()).doesNotContain("MATTER").contains("HOLDS_NUMBER");
  }

  @Test
  void itIsThisCustomerForPastTextsTooAndInEveryConversationOfTheNumber() {
    long vera = fabulum.customer("Vera Lund", fabulum.freshNumber());
    String number = fabulum.freshNumber();
    long dock = text(number, Fabulum.DOCK, "is the crane free");
    long yard = text(number, Fabulum.YARD, "and the lift");
    assertThat(toIdentify(dock)).isTrue();
    identify(priya, dock, "customer", is(vera, false, null)).require(200);
    assertThat(writers(dock)).containsExactly("Vera Lund");
    assertThat(writers(yard)).containsExactly("Vera Lund");
    assertThat(customerOf(yard)).isEqualTo("Vera Lund");
    assertThat(toIdentify(yard)).isFalse();
    assertThat(likely(priya, dock).path("acts").path(0).path("kind").asString())
        .isEqualTo("CUSTOMER");
  }

  @Test
  void aNumberThatIsGivenUpKeepsItsTextsWithWhoWroteThem() {
    String old = fabulum.freshNumber();
    long vera = fabulum.customer("Vera Lund", old);
    long before = text(old, Fabulum.DOCK, "my old phone");
    long id = text(fabulum.freshNumber(), Fabulum.DOCK, "my new phone, the old one is gone");
    Long numberId =
        fabulum.tables.queryForObject("select id from number where address = ?", Long.class, old);
    identify(priya, id, "customer", is(vera, false, numberId)).require(200);
    assertThat(writers(before)).containsExactly("Vera Lund");
    text(old, Fabulum.DOCK, "hello, who is this?");
    assertThat(writers(before)).contains("Vera Lund", "nobody");
    assertThat(toIdentify(before)).isTrue();
  }

  @Test
  void oneOfTwoHoldersForOneTextForTheConversationOrAlways() {
    String number = fabulum.freshNumber();
    long ada = fabulum.customer("Ada Berg", number);
    long ben = fabulum.customer("Ben Berg", number);
    long id = text(number, Fabulum.DOCK, "first");
    text(number, Fabulum.DOCK, "second");
    assertThat(toIdentify(id)).isTrue();
    identify(
            priya,
            id,
            "holder",
            Map.of("customerId", ben, "scope", "TEXT", "seen", List.of(ada, ben)))
        .require(200);
    assertThat(writers(id)).containsExactlyInAnyOrder("nobody", "Ben Berg");
    assertThat(toIdentify(id)).as("one text says nothing of the next").isTrue();
    long act =
        identify(
                priya,
                id,
                "holder",
                Map.of("customerId", ada, "scope", "ALWAYS", "seen", List.of(ada, ben)))
            .require(200)
            .json()
            .path("act")
            .asLong();
    assertThat(writers(id)).containsExactlyInAnyOrder("Ada Berg", "Ben Berg");
    assertThat(customerOf(id)).isEqualTo("Ada Berg");
    priya.post("/api/identifying/" + act + "/undo", null).require(200);
    assertThat(customerOf(id)).isNull();
    assertThat(toIdentify(id)).isTrue();
  }

  @Test
  void aNewCustomerCanBeTakenBackAWeekLater() {
    String number = fabulum.freshNumber();
    long id = text(number, Fabulum.DOCK, "My name is Jonas Trudeau");
    long act =
        identify(priya, id, "new", Map.of("name", "Jonas Trudeau", "seen", List.of()))
            .require(200)
            .json()
            .path("act")
            .asLong();
    assertThat(customerOf(id)).isEqualTo("Jonas Trudeau");
    fabulum.clock.advance(Duration.ofDays(7));
    text(number, Fabulum.DOCK, "still me");
    Browser maren = fabulum.signedIn("maren");
    maren.post("/api/identifying/" + act + "/undo", null).require(200);
    assertThat(customerOf(id)).isNull();
    assertThat(writers(id)).containsOnly("nobody");
    assertThat(fabulum.tables.queryForList("select name from customer where name like 'Jonas%'"))
        .isEmpty();
    maren.post("/api/identifying/" + act + "/undo", null).require(200);
  }

  @Test
  void aCustomerWithASecondNumberIsNotTakenBackUnderIt() {
    long id = text(fabulum.freshNumber(), Fabulum.DOCK, "one");
    long act =
        identify(priya, id, "new", Map.of("name", "Kim Sund", "seen", List.of()))
            .require(200)
            .json()
            .path("act")
            .asLong();
    Long kim =
        fabulum.tables.queryForObject(
            "select id from customer where name = 'Kim Sund'", Long.class);
    long other = text(fabulum.freshNumber(), Fabulum.DOCK, "two");
    identify(priya, other, "customer", is(kim, false, null)).require(200);
    Answer refused = priya.post("/api/identifying/" + act + "/undo", null);
    assertThat(refused.status()).isEqualTo(409);
    assertThat(customerOf(id)).isEqualTo("Kim Sund");
  }

  @Test
  void theSecondOfTwoWhoIdentifyAtOnceIsTold() {
    long vera = fabulum.customer("Vera Lund", fabulum.freshNumber());
    long bo = fabulum.customer("Bo Lind", fabulum.freshNumber());
    long id = text(fabulum.freshNumber(), Fabulum.DOCK, "hello");
    identify(priya, id, "customer", is(vera, false, null)).require(200);
    Answer second = identify(fabulum.signedIn("maren"), id, "customer", is(bo, false, null));
    assertThat(second.status()).isEqualTo(409);
    assertThat(second.body()).contains("Vera Lund");
    assertThat(customerOf(id)).isEqualTo("Vera Lund");
    identify(priya, id, "customer", is(bo, true, null, vera)).require(200);
    assertThat(toIdentify(id)).as("shared by two").isTrue();
  }

  @Test
  void whatIsNotForUsLeavesTheListAndFurtherTextsStayThere() {
    int before = toIdentify();
    String number = fabulum.freshNumber();
    long id = text(number, Fabulum.DOCK, "Congratulations! You won");
    long act =
        identify(priya, id, "not-for-us", Map.of("reason", "JUNK", "seen", List.of()))
            .require(200)
            .json()
            .path("act")
            .asLong();
    text(number, Fabulum.DOCK, "Click now");
    long other = text(number, Fabulum.YARD, "Click here");
    JsonNode list = priya.get("/api/conversations?group=OUR_TURN&limit=50").require(200).json();
    assertThat(list.toString()).doesNotContain(number);
    assertThat(toIdentify()).isEqualTo(before);
    assertThat(writers(id)).hasSize(2);
    JsonNode row = priya.get("/api/conversations/" + id).require(200).json().path("conversation");
    assertThat(row.path("group").asString()).isEqualTo("BLANK");
    assertThat(row.path("notForUs").asBoolean()).isTrue();
    priya.post("/api/identifying/" + act + "/undo", null).require(200);
    assertThat(
            priya.get("/api/conversations?group=OUR_TURN&limit=50").require(200).json().toString())
        .contains(number);
    assertThat(toIdentify(other)).isTrue();
    assertThat(
            fabulum.tables.queryForObject(
                "select box from conversation where id = ?", String.class, other))
        .isEqualTo("OUR_TURN");
  }

  @Test
  void whoDoesNotSeeAConversationIdentifiesNobodyThere() {
    long id = text(fabulum.freshNumber(), TwoTeams.FAR, "hello");
    assertThat(identify(priya, id, "new", Map.of("name", "X", "seen", List.of())).status())
        .isEqualTo(404);
    assertThat(priya.get("/api/conversations/" + id + "/likely").status()).isEqualTo(404);
    long dock = text(fabulum.freshNumber(), Fabulum.DOCK, "hello");
    assertThat(
            identify(fabulum.signedIn("vera"), dock, "new", Map.of("name", "X", "seen", List.of()))
                .status())
        .isEqualTo(403);
  }
}
