package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.delivery.SendOutcome;
import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.LiveReader;
import fabulum.server.testing.OnSharedProgram;
import fabulum.server.testing.Webhook;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

@OnSharedProgram
class SendingTest {
  private final Fabulum fabulum;
  private final Browser maren;
  private final Webhook webhook;
  private final LiveReader live;
  private final String number;
  private final long conversation;

  SendingTest(Fabulum fabulum) {
    this.fabulum = fabulum;
    this.maren = fabulum.signedIn("maren");
    this.webhook = fabulum.webhook();
    this.number = fabulum.freshNumber();
    webhook.text(number, Fabulum.DOCK, "When is the lift free?").require(200);
    this.conversation = maren.conversationOf(number).path("id").asLong();
    this.live = maren.live(null);
  }

  @AfterEach
  void close() {
    live.close();
  }

  private Answer send(String words, String reference) {
    return maren.post(
        "/api/conversations/" + conversation + "/texts",
        Map.of("words", words, "reference", reference));
  }

  @Test
  void anAnswerGoesOutAndMakesItTheirTurn() {
    Answer answer = send("Tuesday at 9", "reference-answer-1").require(200);

    assertThat(answer.json().path("parts").asInt()).isEqualTo(1);
    live.awaitDelivery("Tuesday at 9", "SENT");
    JsonNode row = maren.conversationOf(number);
    assertThat(row.path("group").asString()).isEqualTo("THEIR_TURN");
    assertThat(row.path("owner").path("name").asString())
        .as("answered, so taken")
        .isEqualTo("Maren Oduya");
    assertThat(fabulum.network.handed)
        .anySatisfy(text -> {
          assertThat(text.words()).isEqualTo("Tuesday at 9");
          assertThat(text.from().e164()).isEqualTo(Fabulum.DOCK);
          assertThat(text.to().get(0).e164()).isEqualTo(number);
        });
  }

  @Test
  void sendingAgainUnderTheSameReferenceSendsOnce() {
    String reference = Fabulum.reference();
    send("only once please", reference).require(200);
    send("only once please", reference).require(200);
    live.awaitDelivery("only once please", "SENT");

    assertThat(fabulum.network.timesHanded("only once please")).isEqualTo(1);
    Answer other = send("other words", reference).require(409);
    assertThat(other.problem()).isEqualTo("sent-with-other-words");
    assertThat(other.json().path("detail").asString()).contains("These words are kept");
  }

  @Test
  void aRefusalThatMayPassIsTriedAgainWhenItsWaitIsOver() {
    fabulum.network.script.add(
        new SendOutcome.RefusedForNow("too-fast", "Slow down.", Optional.empty()));
    send("please try again", Fabulum.reference()).require(200);
    awaitHanded("please try again", 1);

    moveClockUntil("please try again", 2);

    live.awaitDelivery("please try again", "SENT");
  }

  @Test
  void aRefusalForGoodIsToldWithItsReasonAndShownOnTheRow() {
    fabulum.network.script.add(
        new SendOutcome.RefusedForGood("barred", "The network does not carry this text."));
    send("will not go", Fabulum.reference()).require(200);

    JsonNode message = live.awaitDelivery("will not go", "NOT_DELIVERED");

    assertThat(message.path("conversation").path("failed").asBoolean()).isTrue();
    JsonNode entries = maren.script(conversation);
    JsonNode last = entries.get(entries.size() - 1);
    assertThat(last.path("failureReason").asString())
        .isEqualTo("The network does not carry this text.");
    assertThat(last.path("failureCode").asString()).isEqualTo("barred");
  }

  @Test
  void afterAnUnclearEndTheNetworkIsAskedBeforeAnythingIsSentAgain() {
    String reference = Fabulum.reference();
    fabulum.network.script.add(new SendOutcome.Unclear("The answer was lost."));
    fabulum.network.secretlyTaken.put(reference, "n-secret");
    send("did it arrive?", reference).require(200);
    awaitHanded("did it arrive?", 1);
    send("the next one", Fabulum.reference()).require(200);

    moveClockUntil("the next one", 1);

    live.awaitDelivery("did it arrive?", "SENT");

    assertThat(fabulum.network.timesHanded("did it arrive?")).isEqualTo(1);
  }

  @Test
  void textsOfOneConversationGoOutInTheOrderTheyWereWritten() {
    fabulum.network.script.add(
        new SendOutcome.RefusedForNow("too-fast", "Slow down.", Optional.empty()));
    send("one", Fabulum.reference()).require(200);
    send("two", Fabulum.reference()).require(200);
    awaitHanded("one", 1);
    moveClockUntil("one", 2);
    live.awaitDelivery("two", "SENT");

    List<String> order =
        fabulum.network.handed.stream()
            .filter(t -> t.to().get(0).e164().equals(number))
            .map(t -> t.words())
            .toList();
    assertThat(order).containsExactly("one", "one", "two");
  }

  @Test
  void underLoadEachTextIsHandedOverOnce() {
    for (int i = 0; i < 300; i++) {
      send("load " + i, Fabulum.reference()).require(200);
    }
    awaitHanded("load 299", 1);

    List<String> handed =
        fabulum.network.handed.stream()
            .map(t -> t.words())
            .filter(w -> w.startsWith("load "))
            .toList();
    assertThat(handed).doesNotHaveDuplicates().hasSize(300);
  }

  @Test
  void reportsOnlyMoveForwardWhateverOrderTheyComeIn() {
    String reference = Fabulum.reference();
    send("how far?", reference).require(200);
    live.awaitDelivery("how far?", "SENT");

    webhook.report(reference, "read").require(200);
    webhook.report(reference, "failed").require(200);
    webhook.report(reference, "delivered").require(200);
    webhook.report(reference, "sent").require(200);

    JsonNode entries = maren.script(conversation);
    assertThat(entries.get(entries.size() - 1).path("delivery").asString()).isEqualTo("READ");
    assertThat(maren.conversationOf(number).path("failed").asBoolean()).isFalse();
  }

  @Test
  void aTextThatCannotBePutIntoTheOutboxIsNotInTheScriptEither() {
    fabulum.tables.execute(
        "alter table outbox add constraint broken check (conversation_id <> " + conversation + ")");
    try {
      assertThat(send("half done?", Fabulum.reference()).require(500).problem())
          .isEqualTo("broken");
    } finally {
      fabulum.tables.execute("alter table outbox drop constraint broken");
    }

    assertThat(maren.script(conversation).size()).isEqualTo(1);
    assertThat(maren.conversationOf(number).path("group").asString()).isEqualTo("OUR_TURN");
  }

  @Test
  void badAnswersAreRefusedWithEveryReason() {
    Answer answer =
        maren
            .post("/api/conversations/" + conversation + "/texts", Map.of("reference", "x"))
            .require(422);
    assertThat(answer.json().path("fields").valueStream().map(f -> f.path("field").asString()))
        .contains("words", "reference");
    assertThat(send("  ", Fabulum.reference()).require(422).problem()).isEqualTo("may-not-be-sent");
    assertThat(
            send("x".repeat(1601), Fabulum.reference())
                .require(422)
                .json()
                .path("detail")
                .asString())
        .contains("This takes 11 parts; this line sends 10 at most.");
    assertThat(maren.answer(987_654, "nobody there").require(404).problem()).isEqualTo("not-found");
    assertThat(maren.script(conversation).size()).isEqualTo(1);
  }

  private void awaitHanded(String words, int times) {
    fabulum.network.awaitHanded(words, times, () -> {});
  }

  private void moveClockUntil(String words, int times) {
    fabulum.network.awaitHanded(words, times, () -> fabulum.clock.advance(Duration.ofSeconds(1)));
  }
}
