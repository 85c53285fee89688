package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.OnSharedProgram;
import fabulum.server.testing.Webhook;
import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Texts of unusual length, from unusual numbers, and at unusual times. */
@OnSharedProgram
class ArrivingTest {
  private final Fabulum fabulum;
  private final Browser maren;
  private final Webhook webhook;

  ArrivingTest(Fabulum fabulum) {
    this.fabulum = fabulum;
    this.maren = fabulum.signedIn("maren");
    this.webhook = fabulum.webhook();
  }

  private JsonNode row(String number) {
    return maren.conversationOf(number);
  }

  private JsonNode first(String number) {
    return maren.script(row(number).path("id").asLong()).get(0);
  }

  @Test
  void anythingANetworkCanCarryIsTakenInWhole() {
    String number = fabulum.freshNumber();
    String words = "ü–😀".repeat(10_000);
    assertThat(words).hasSize(40_000);

    webhook.text(number, Fabulum.DOCK, words).require(200);

    assertThat(first(number).path("words").asString()).isEqualTo(words);
    assertThat(webhook.text(number, Fabulum.DOCK, words + "x").require(422).body())
        .contains("40000");
  }

  @Test
  void aNumberOfANewAreaCodeIsToIdentifyAndCanBeAnsweredAndWrittenTo() {
    webhook.text("+12225550123", Fabulum.DOCK, "a new area code").require(200);

    JsonNode row = row("+12225550123");
    assertThat(row.path("toIdentify").asBoolean()).isTrue();
    assertThat(row.path("answerable").asBoolean()).isTrue();
    maren.answer(row.path("id").asLong(), "welcome").require(200);
    JsonNode found = maren.get("/api/write-to?line=1&words=(222)%20555-0124").require(200).json();
    assertThat(found.path("number").asString()).isEqualTo("+12225550124");
  }

  @Test
  void timesThatCannotBeAreNotBelieved() {
    Instant now = fabulum.clock.instant();
    for (Instant claimed : new Instant[] {Instant.EPOCH, now.plus(Duration.ofDays(400))}) {
      String number = fabulum.freshNumber();
      webhook.text(Webhook.id(), number, Fabulum.DOCK, "when?", claimed).require(200);

      assertThat(row(number).path("since").asString()).isEqualTo(now.toString());
      assertThat(first(number).path("claimedAt").asString()).isEqualTo(claimed.toString());
    }
  }

  @Test
  void nothingStandsInTheFuture() {
    String number = fabulum.freshNumber();
    Instant now = fabulum.clock.instant();
    webhook
        .text(Webhook.id(), number, Fabulum.DOCK, "a fast clock", now.plusSeconds(3600))
        .require(200);

    assertThat(first(number).path("at").asString()).isEqualTo(now.toString());
    assertThat(row(number).path("lastAt").asString()).isEqualTo(now.toString());
  }

  @Test
  void whatIsOldOnArrivalIsHistoryAndStartsNoWait() {
    String number = fabulum.freshNumber();
    Instant now = fabulum.clock.instant();
    Instant spring = now.minus(Duration.ofDays(40));
    webhook.text(Webhook.id(), number, Fabulum.DOCK, "from spring", spring).require(200);

    JsonNode row = row(number);
    assertThat(row.path("group").asString()).isEqualTo("DONE");
    assertThat(row.has("dueAt")).isFalse();
    assertThat(first(number).path("arrivedAt").asString()).isEqualTo(now.toString());

    webhook.text(number, Fabulum.DOCK, "and today").require(200);
    webhook
        .text(Webhook.id(), number, Fabulum.DOCK, "older still", spring.minusSeconds(60))
        .require(200);
    assertThat(row(number).path("since").asString()).isEqualTo(now.toString());
    assertThat(first(number).path("words").asString()).isEqualTo("older still");
  }
}
