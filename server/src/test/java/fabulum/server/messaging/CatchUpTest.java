package fabulum.server.messaging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import fabulum.core.delivery.Gateway;
import fabulum.core.delivery.Gateway.GatewayUnavailable;
import fabulum.core.delivery.Gateway.IncomingText;
import fabulum.core.delivery.Gateway.Listing;
import fabulum.server.platform.NetworkSettings;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.OnSharedProgram;
import fabulum.server.testing.TwoTeams;
import fabulum.server.testing.Webhook;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

@OnSharedProgram
class CatchUpTest {
  private final Fabulum fabulum;
  private final Browser maren;
  private final Gateway gateway = mock(Gateway.class);

  CatchUpTest(Fabulum fabulum) {
    this.fabulum = fabulum;
    this.maren = fabulum.signedIn("maren");
  }

  private CatchUp catchUp() {
    return new CatchUp(
        gateway,
        fabulum.context.getBean(Inbound.class),
        fabulum.context.getBean(KeptAside.class),
        fabulum.context.getBean(Arrivals.class),
        fabulum.context.getBean(NetworkSettings.class),
        fabulum.clock);
  }

  private IncomingText text(String id, String from, String to, String words) {
    return new IncomingText(id, from, to, words, fabulum.clock.instant(), List.of(), List.of());
  }

  @Test
  void whatTheWebhookMissedIsFetchedOnceAndWhatIsNotForUsIsLeft() {
    String number = fabulum.freshNumber();
    String known = Webhook.id();
    fabulum
        .webhook()
        .text(known, number, Fabulum.DOCK, "told", fabulum.clock.instant())
        .require(200);
    when(gateway.listReceived(any(), any()))
        .thenReturn(
            Listing.of(
                List.of(
                    text(known, number, Fabulum.DOCK, "told"),
                    text(Webhook.id(), number, "+19205550188", "for somebody else"),
                    text("x".repeat(81), number, Fabulum.DOCK, "an impossible id"),
                    text(Webhook.id(), number, "+".repeat(41), "an impossible line"),
                    text(Webhook.id(), " ", Fabulum.DOCK, "from nobody"),
                    text(Webhook.id(), number, Fabulum.DOCK, "missed"))));
    CatchUp catchUp = catchUp();

    catchUp.ask();
    catchUp.ask();

    assertThat(maren.script(maren.conversationOf(number).path("id").asLong()).valueStream())
        .extracting(entry -> entry.path("words").asString())
        .containsExactly("told", "missed");
    JsonNode kept = maren.get("/api/setup/kept-aside").require(200).json();
    assertThat(kept.valueStream().map(one -> one.path("beginning").asString()))
        .as("kept aside once each, as they came")
        .filteredOn(beginning -> beginning.contains(number) || beginning.contains("from nobody"))
        .hasSize(4);
    assertThat(maren.get("/api/office/troubles").json().toString()).contains("KEPT_ASIDE");
  }

  @Test
  void eachStretchItIsAskedForOverlapsWhatIsThereAlready() {
    List<Instant> asked = new java.util.ArrayList<>();
    when(gateway.listReceived(any(), any()))
        .thenAnswer(call -> {
          asked.add(call.getArgument(0));
          return Listing.of(List.of());
        });
    CatchUp catchUp = catchUp();
    Instant first = fabulum.clock.instant();
    fabulum.webhook().text(fabulum.freshNumber(), Fabulum.DOCK, "the newest").require(200);
    fabulum.clock.advance(Duration.ofHours(40));
    Instant started = fabulum.clock.instant();
    catchUp.ask();
    fabulum.clock.advance(Duration.ofMinutes(3));
    catchUp.ask();

    assertThat(asked)
        .as("a day before the newest text, then ten minutes before the last time it was asked")
        .containsExactly(first.minus(Duration.ofDays(1)), started.minus(Duration.ofMinutes(10)));
  }

  @Test
  void whatALeadSetsUpLaterIsTakenInFromWhatWasKeptAside() {
    String number = fabulum.freshNumber();
    String words = "for a line to come " + number;
    fabulum.webhook().text(number, "+19205550155", words).require(404);
    fabulum.webhook().text(number, "+19205550155", words);
    JsonNode kept = keptWith(words);
    String take = "/api/setup/kept-aside/" + kept.path("id").asLong() + "/take";
    maren.post(take, null).require(404);
    maren.post("/api/setup/lines", TwoTeams.line("A line to come", "+19205550155")).require(200);

    maren.post(take, null).require(204);

    assertThat(maren.conversationOf(number).path("lastWords").asString()).isEqualTo(words);
    maren.post(take, null).require(404);
  }

  private JsonNode keptWith(String words) {
    return maren
        .get("/api/setup/kept-aside")
        .json()
        .valueStream()
        .filter(one -> one.path("beginning").asString().contains(words))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aNetworkThatIsSilentIsAskedAgainForTheSameTime() {
    String number = fabulum.freshNumber();
    List<Instant> asked = new java.util.ArrayList<>();
    when(gateway.listReceived(any(), any()))
        .thenAnswer(call -> {
          asked.add(call.getArgument(0));
          if (asked.size() == 1) {
            throw new GatewayUnavailable("silent", null);
          }
          return Listing.of(List.of(text("late-" + number, number, Fabulum.DOCK, "at last")));
        });
    CatchUp catchUp = catchUp();

    catchUp.ask();
    catchUp.ask();

    assertThat(asked.get(1)).isEqualTo(asked.get(0));
    assertThat(maren.conversationOf(number).path("lastWords").asString()).isEqualTo("at last");
  }
}
