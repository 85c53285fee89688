package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.OnSharedProgram;
import fabulum.server.testing.Webhook;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

@OnSharedProgram
class WebhookTest {
  private final Fabulum fabulum;
  private final Browser maren;
  private final Webhook webhook;

  WebhookTest(Fabulum fabulum) {
    this.fabulum = fabulum;
    this.maren = fabulum.signedIn("maren");
    this.webhook = fabulum.webhook();
  }

  @Test
  void charactersThatAreNoneAreReplacedAndTheRestIsTaken() {
    String number = fabulum.freshNumber();
    fabulum
        .webhook()
        .told(
            "{\"type\":\"text.received\",\"id\":\"odd-"
                + number
                + "\",\"from\":\""
                + number
                + "\",\"to\":\""
                + Fabulum.DOCK
                + "\",\"body\":\"a\\u0000b\\ud83dc \\ud83d\\ude00\",\"receivedAt\":\""
                + fabulum.clock.instant()
                + "\"}")
        .require(200);
    long id = maren.conversationOf(number).path("id").asLong();
    assertThat(maren.script(id).path(0).path("words").asString())
        .isEqualTo("a\uFFFDb\uFFFDc \uD83D\uDE00");
  }

  @Test
  void aTextIsInTheInboxWhenItIsAcknowledged() {
    String number = fabulum.freshNumber();
    fabulum.customer("Vera Lund", number);

    webhook.text(number, Fabulum.DOCK, "Is berth C14 free?").require(200);

    JsonNode row = maren.conversationOf(number);
    assertThat(row.path("group").asString()).isEqualTo("OUR_TURN");
    assertThat(row.path("customerName").asString()).isEqualTo("Vera Lund");
    assertThat(row.path("toIdentify").asBoolean()).isFalse();
    assertThat(maren.script(row.path("id").asLong()).get(0).path("words").asString())
        .isEqualTo("Is berth C14 free?");
  }

  @Test
  void theSameTextToldTwiceIsOneText() {
    String number = fabulum.freshNumber();
    String id = Webhook.id();
    assertThat(
            webhook
                .text(id, number, Fabulum.DOCK, "once", fabulum.clock.instant())
                .require(200)
                .json()
                .path("result")
                .asString())
        .isEqualTo("taken");
    assertThat(
            webhook
                .text(id, number, Fabulum.DOCK, "once", fabulum.clock.instant())
                .require(200)
                .json()
                .path("result")
                .asString())
        .isEqualTo("known");

    assertThat(maren.script(maren.conversationOf(number).path("id").asLong()).size()).isEqualTo(1);
  }

  @Test
  void textsToldAtTheSameMomentBeginOneConversationAndNoneIsLostOrDoubled() throws Exception {
    String number = fabulum.freshNumber();
    List<Callable<Answer>> calls = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      String id = Webhook.id();
      String words = "at once " + i;
      calls.add(() -> webhook.text(id, number, Fabulum.DOCK, words, fabulum.clock.instant()));
      calls.add(() -> webhook.text(id, number, Fabulum.DOCK, words, fabulum.clock.instant()));
    }
    ExecutorService crowd = Executors.newFixedThreadPool(calls.size());
    for (Future<Answer> answer : crowd.invokeAll(calls)) {
      answer.get().require(200);
    }
    crowd.shutdown();

    assertThat(maren.script(maren.conversationOf(number).path("id").asLong()).size()).isEqualTo(6);
  }

  @Test
  void numbersAreReadInTheRegionOfTheLine() {
    webhook.text("(312) 555-0187", Fabulum.DOCK, "nationally written").require(200);

    assertThat(maren.conversationOf("+13125550187").path("number").asString())
        .isEqualTo("(312) 555-0187");
  }

  @Test
  void aSenderThatIsNoNumberCanBeReadAndNotAnswered() {
    webhook.text("LAKEWATCH", Fabulum.YARD, "Advisory until 23:00").require(200);

    JsonNode row = maren.get("/api/conversations/jump?words=lakewatch").json().get(0);
    assertThat(row.path("answerable").asBoolean()).isFalse();
    assertThat(row.path("toIdentify").asBoolean()).isFalse();
    Answer refused = maren.answer(row.path("id").asLong(), "Thank you").require(422);
    assertThat(refused.problem()).isEqualTo("may-not-be-sent");
    assertThat(refused.json().path("detail").asString())
        .contains("cannot be answered", "your words are kept");
    assertThat(
            maren
                .get("/api/conversations/jump?words=lakewatch")
                .json()
                .get(0)
                .path("group")
                .asString())
        .isEqualTo("OUR_TURN");
  }

  @Test
  void aNumberOfNobodyOrOfSeveralIsToIdentify() {
    String nobodys = fabulum.freshNumber();
    String shared = fabulum.freshNumber();
    fabulum.customer("Edda Mossop", shared);
    fabulum.customer("Jonas Mossop", shared);
    webhook.text(nobodys, Fabulum.DOCK, "new here").require(200);
    webhook.text(shared, Fabulum.DOCK, "one of us").require(200);

    assertThat(maren.conversationOf(nobodys).path("toIdentify").asBoolean()).isTrue();
    JsonNode both = maren.conversationOf(shared);
    assertThat(both.path("toIdentify").asBoolean()).isTrue();
    assertThat(
            maren
                .get("/api/conversations/" + both.path("id").asLong())
                .json()
                .path("holders")
                .toString())
        .isEqualTo("[\"Edda Mossop\",\"Jonas Mossop\"]");
  }

  @Test
  void aTextThatComesLateStandsWhereItBelongs() {
    String number = fabulum.freshNumber();
    Instant now = fabulum.clock.instant();
    Instant before = now.minusSeconds(600);
    webhook.text(Webhook.id(), number, Fabulum.DOCK, "second", now).require(200);
    webhook.text(Webhook.id(), number, Fabulum.DOCK, "first", before).require(200);

    JsonNode row = maren.conversationOf(number);
    assertThat(maren.script(row.path("id").asLong()).get(0).path("words").asString())
        .isEqualTo("first");
    assertThat(row.path("lastWords").asString()).isEqualTo("second");
    assertThat(row.path("since").asString()).isEqualTo(before.toString());
  }

  @Test
  void whoeverDoesNotHaveTheSecretIsRefused() {
    String body = "{}";
    String timestamp = Long.toString(fabulum.clock.instant().getEpochSecond());
    assertThat(webhook.told(timestamp, "00", body).require(401).problem())
        .isEqualTo("bad-signature");
    assertThat(webhook.told(timestamp, "", body).require(401).problem()).isEqualTo("bad-signature");
    assertThat(
            webhook
                .told(timestamp, webhook.sign(timestamp, body + " "), body)
                .require(401)
                .problem())
        .isEqualTo("bad-signature");
  }

  @Test
  void whatIsOlderThanFiveMinutesIsRefused() {
    String body = "{}";
    for (Duration off : List.of(Duration.ofSeconds(-301), Duration.ofSeconds(301))) {
      String timestamp = Long.toString(fabulum.clock.instant().plus(off).getEpochSecond());
      assertThat(
              webhook.told(timestamp, webhook.sign(timestamp, body), body).require(401).problem())
          .isEqualTo("stale-timestamp");
    }
    assertThat(webhook.told("soon", webhook.sign("soon", body), body).require(401).problem())
        .isEqualTo("stale-timestamp");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "[]",
        "null",
        "{",
        "{\"type\":\"text.lost\"}",
        "{\"type\":\"text.received\"}",
        "{\"type\":\"text.received\",\"id\":\"x\",\"from\":\"+13125550100\",\"to\":\"+19205550101\",\"receivedAt\":\"2026-06-09T19:05:00Z\"}",
        "{\"type\":\"text.received\",\"id\":\"x\",\"from\":\"+13125550100\",\"to\":\"+19205550101\",\"body\":\"b\",\"receivedAt\":\"yesterday\"}",
        "{\"type\":\"text.report\",\"reference\":\"abcdefgh\",\"state\":\"eaten\"}",
        "{\"type\":\"text.report\",\"state\":\"read\"}"
      })
  void whatIsNotTheProtocolIsRefusedAndChangesNothing(String body) {
    int before = count("entry");

    Answer refused = webhook.told(body);

    assertThat(refused.status()).isIn(400, 422);
    assertThat(refused.problem()).isIn("unreadable", "bad-fields");
    assertThat(count("entry")).isEqualTo(before);
  }

  @Test
  void aLineWeDoNotHaveAndATextWeNeverSentAreRefused() {
    int before = count("entry");
    assertThat(webhook.text(fabulum.freshNumber(), "+19205550199", "hello?").require(404).problem())
        .isEqualTo("unknown-line");
    assertThat(webhook.text(fabulum.freshNumber(), "the dock", "hello?").require(404).problem())
        .isEqualTo("unknown-line");
    assertThat(webhook.report("never-sent-this", "read").require(404).problem())
        .isEqualTo("unknown-text");
    assertThat(webhook.told("\"" + "x".repeat(300_000) + "\"").require(413).problem())
        .isEqualTo("too-large");
    assertThat(count("entry")).isEqualTo(before);
  }

  private int count(String table) {
    Integer rows = fabulum.tables.queryForObject("select count(*) from " + table, Integer.class);
    return rows == null ? -1 : rows;
  }
}
