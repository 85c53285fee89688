package fabulum.server.outage;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.access.Role;
import fabulum.core.delivery.Gateway;
import fabulum.core.delivery.Gateway.GatewayUnavailable;
import fabulum.core.delivery.Gateway.IncomingText;
import fabulum.core.delivery.Gateway.Listing;
import fabulum.server.messaging.Inbound;
import fabulum.server.messaging.KeptAside;
import fabulum.server.outage.OutageView.Doing;
import fabulum.server.outage.store.OursMapper;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import fabulum.server.testing.Webhook;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.mockito.Mockito;
import tools.jackson.databind.JsonNode;

@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class OutageTest {
  private TwoTeams office;
  private Fabulum fabulum;
  private Browser maren;

  @BeforeAll
  void start() {
    office = TwoTeams.start();
    fabulum = office.fabulum;
    maren = fabulum.signedIn("maren");
  }

  @AfterAll
  void stop() {
    office.close();
  }

  /** Each test has days of its own. */
  @BeforeEach
  void later() {
    fabulum.clock.advance(Duration.ofDays(40));
    fabulum.network.received.clear();
  }

  private Instant now() {
    return fabulum.clock.instant();
  }

  private LocalDate today() {
    return LocalDate.ofInstant(now(), ZoneOffset.UTC);
  }

  private String holds(String line, String words, Duration ago) {
    return holds(Webhook.id(), fabulum.freshNumber(), line, words, ago);
  }

  private String holds(String id, String from, String line, String words, Duration ago) {
    fabulum.network.received.add(
        new IncomingText(id, from, line, words, now().minus(ago), List.of(), List.of()));
    return from;
  }

  private JsonNode compared(int days) {
    Map<String, Object> span =
        Map.of("first", today().minusDays(days).toString(), "last", today().toString());
    maren.post("/api/outage/compare", span).require(204);
    return rested();
  }

  private JsonNode taken(Map<String, Object> how) {
    maren.post("/api/outage/take", how).require(204);
    return rested();
  }

  private JsonNode rested() {
    assertThat(
            fabulum.becomes(() ->
                !comparison().path("doing").asString().endsWith("ING")
                    || comparison().path("doing").asString().equals("RESTING")))
        .isTrue();
    return comparison();
  }

  private JsonNode comparison() {
    return maren.get("/api/outage").require(200).json().path("comparison");
  }

  private static List<String> words(JsonNode comparison) {
    return comparison
        .path("texts")
        .valueStream()
        .map(text -> text.path("state").asString() + " " + text.path("words").asString())
        .toList();
  }

  @Test
  void whatIsMissingIsTakenInOnceAtItsOwnTimeAndDoneAgainNothingIsMissing() {
    String number = fabulum.freshNumber();
    String known = Webhook.id();
    fabulum.webhook().text(known, number, Fabulum.DOCK, "told", now()).require(200);
    holds(known, number, Fabulum.DOCK, "told", Duration.ZERO);
    Instant then = now().minus(Duration.ofHours(30));
    String lost = holds(Fabulum.DOCK, "never told", Duration.ofHours(30));
    JsonNode found = compared(2);
    assertThat(words(found)).containsExactly("MISSING never told");
    assertThat(found.path("known").asInt()).isEqualTo(1);
    assertThat(found.path("daysDone").asInt()).isEqualTo(3);
    JsonNode text = found.path("texts").get(0);
    assertThat(text.path("number").asString()).matches("\\(\\d{3}\\) 555-01\\d\\d");
    assertThat(text.path("day").asString())
        .isEqualTo(LocalDate.ofInstant(then, ZoneOffset.UTC).toString());
    JsonNode after = taken(Map.of());
    assertThat(after.path("taken").asInt()).isEqualTo(1);
    JsonNode entry = maren.script(maren.conversationOf(lost).path("id").asLong());
    assertThat(Instant.parse(entry.get(0).path("at").asString())).isEqualTo(then);
    taken(Map.of());
    JsonNode again = compared(2);
    assertThat(words(again)).isEmpty();
    assertThat(again.path("known").asInt()).isEqualTo(2);
  }

  @Test
  void onlyTextsSinceTheChosenTimeWaitForAnAnswer() {
    String old = holds(Fabulum.DOCK, "three days ago", Duration.ofDays(3));
    String fresh = holds(Fabulum.DOCK, "this morning", Duration.ofHours(3));
    compared(4);
    taken(Map.of("waitsSince", now().minus(Duration.ofDays(1)).toString()));
    assertThat(group(old)).isNotEqualTo("OUR_TURN");
    assertThat(group(fresh)).isEqualTo("OUR_TURN");
  }

  private String group(String number) {
    return String.valueOf(
        fabulum.tables.queryForObject(
            "select c.box from conversation c join number n on n.id = c.number_id where n.address = ?",
            String.class,
            number));
  }

  @Test
  void otherWordsAreShownBesideOursAndOursStay() {
    String number = fabulum.freshNumber();
    String id = Webhook.id();
    fabulum.webhook().text(id, number, Fabulum.DOCK, "as it came", now()).require(200);
    holds(id, number, Fabulum.DOCK, "as they have it", Duration.ZERO);
    JsonNode found = compared(0);
    assertThat(words(found)).containsExactly("DIFFERENT as they have it");
    assertThat(found.path("texts").get(0).path("ours").asString()).isEqualTo("as it came");
    taken(Map.of());
    assertThat(maren.conversationOf(number).path("lastWords").asString()).isEqualTo("as it came");
  }

  @Test
  void whatCameToNoLineOfOursIsKeptAside() {
    holds("+19205550188", "wrong way", Duration.ZERO);
    compared(0);
    JsonNode after = taken(Map.of());
    assertThat(after.path("cannot").asInt()).isEqualTo(1);
    assertThat(after.path("texts").get(0).path("problem").asString()).contains("no line");
    assertThat(maren.get("/api/setup/kept-aside").body()).contains("wrong way");
  }

  /** A lead of one team neither sees nor takes in what came to the lines of another. */
  @Test
  void eachLeadComparesTheirOwnLines() {
    String far = holds(TwoTeams.FAR, "for the far team", Duration.ZERO);
    JsonNode found = compared(0);
    assertThat(words(found)).isEmpty();
    taken(Map.of());
    long farLead = office.add("fay", "Fay Lead", Role.LEAD, office.farTeam);
    assertThat(farLead).isPositive();
    Browser fay = fabulum.signedIn("fay");
    assertThat(words(fay.get("/api/outage").require(200).json().path("comparison")))
        .containsExactly("MISSING for the far team");
    assertThat(
            fabulum.tables.queryForObject(
                "select count(*) from number where address = ?", Integer.class, far))
        .isZero();
    fabulum.signedIn("priya").get("/api/outage").require(403);
  }

  @Test
  void daysThatCannotBeComparedAreRefused() {
    for (String[] span :
        List.of(
            new String[] {today().toString(), today().minusDays(1).toString()},
            new String[] {today().toString(), today().plusDays(1).toString()},
            new String[] {today().minusDays(31).toString(), today().toString()},
            new String[] {"2026-02-30", "2026-03-01"})) {
      assertThat(
              maren.post("/api/outage/compare", Map.of("first", span[0], "last", span[1])).status())
          .isIn(400, 422);
    }
  }

  /** What was compared before the network stopped answering stays, and says so. */
  @Test
  void aNetworkThatDoesNotAnswerStopsItAndNothingIsLost() {
    Gateway gateway = Mockito.mock(Gateway.class);
    IncomingText text =
        new IncomingText(
            Webhook.id(),
            fabulum.freshNumber(),
            Fabulum.DOCK,
            "first day",
            now(),
            List.of(),
            List.of());
    Mockito.when(gateway.listReceived(Mockito.any(), Mockito.any()))
        .thenReturn(Listing.of(List.of(text)))
        .thenThrow(new GatewayUnavailable("down", null));
    Comparing comparing =
        new Comparing(
            gateway,
            fabulum.context.getBean(Inbound.class),
            fabulum.context.getBean(KeptAside.class),
            fabulum.context.getBean(OursMapper.class));
    comparing.begin(today().minusDays(1), today());
    assertThat(
            fabulum.becomes(() -> {
              Run run = comparing.last();
              return run != null && run.doing() == Doing.STOPPED;
            }))
        .isTrue();
    Run run = comparing.last();
    assertThat(run.found()).hasSize(1);
    assertThat(run.daysDone()).isEqualTo(1);
    assertThat(run.problem()).contains("does not answer");
  }

  @Test
  void textsOfUnknownFateAreAskedAboutNow() {
    long id = office.text(Fabulum.DOCK, "Hello?");
    String reference = Fabulum.reference();
    maren
        .post(
            "/api/conversations/" + id + "/texts",
            Map.of("words", "Hello!", "reference", reference))
        .require(200);
    assertThat(fabulum.comesTo("select count(*) from unreported", "1")).isTrue();
    int before = (int) fabulum.network.asked.stream().filter(reference::equals).count();
    JsonNode asked = maren.post("/api/outage/ask", null).require(200).json();
    assertThat(asked.path("texts").asInt()).isEqualTo(1);
    assertThat(maren.get("/api/outage").json().path("unreported").asInt()).isEqualTo(1);
    assertThat(
            fabulum.becomes(
                () -> fabulum.network.asked.stream().filter(reference::equals).count() > before))
        .isTrue();
  }
}
