package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.conversation.Participants;
import fabulum.core.delivery.ClientReference;
import fabulum.core.delivery.Gateway.OutgoingText;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.sending.Author;
import fabulum.core.sending.SendDecision;
import fabulum.core.sending.SendDecision.Verdict;
import fabulum.server.conversations.Said;
import fabulum.server.lines.LineId;
import fabulum.server.messaging.Messaging;
import fabulum.server.messaging.Recipient;
import fabulum.server.sending.SendSetup;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Who opted out gets nothing but the one confirmation and help. */
class OptingOutTest {
  private static final String CONFIRMED =
      "North Dock: you will get no more texts from us. Text START to get them again.";
  private static final String BACK =
      "North Dock: you will get our texts again. Text STOP at any time to end them.";

  private static TwoTeams office;
  private static Fabulum fabulum;
  private static Browser maren;

  private final String number = fabulum.freshNumber();

  @BeforeAll
  static void start() {
    office = TwoTeams.start();
    fabulum = office.fabulum;
    maren = fabulum.signedIn("maren");
  }

  @AfterAll
  static void stop() {
    office.close();
  }

  @AfterEach
  void settingsAsUsual() {
    fabulum.tables.update("update send_settings set languages = '', stop_everywhere = true");
    fabulum.tables.update("delete from reason_severity");
    fabulum.context.getBean(SendSetup.class).forget();
  }

  private long text(String line, String words) {
    fabulum.webhook().text(number, line, words).require(200);
    Long id =
        fabulum.tables.queryForObject(
            "select c.id from conversation c join number n on n.id = c.number_id"
                + " join line l on l.id = c.line_id where n.address = ? and l.number = ?",
            Long.class,
            number,
            line);
    return id == null ? 0 : id;
  }

  private List<String> handed() {
    return fabulum.network.handed.stream()
        .filter(text -> text.to().contains(new PhoneNumber(number)))
        .map(OutgoingText::words)
        .toList();
  }

  private void comesToHanded(String... words) {
    assertThat(fabulum.becomes(() -> handed().equals(List.of(words)))).as("%s", handed()).isTrue();
  }

  private static JsonNode row(long id) {
    return maren.get("/api/conversations/" + id).require(200).json().path("conversation");
  }

  private static Map<String, Object> answer(String words) {
    return Map.of("words", words, "reference", Fabulum.reference());
  }

  private static JsonNode check(long id, String words) {
    return maren
        .post("/api/conversations/" + id + "/texts/check", Map.of("words", words))
        .require(200)
        .json();
  }

  @Test
  void stopIsConfirmedOnceAndNothingElseGoesOut() {
    long id = text(Fabulum.DOCK, "Is the lift free?");
    maren.post("/api/conversations/" + id + "/texts", answer("At nine")).require(200);
    comesToHanded("At nine");

    text(Fabulum.DOCK, "Stop!");
    comesToHanded("At nine", CONFIRMED);
    text(Fabulum.DOCK, "STOP");

    assertThat(row(id).path("group").asString()).isEqualTo("THEIR_TURN");
    JsonNode refused =
        maren
            .post("/api/conversations/" + id + "/texts", answer("Are you sure?"))
            .require(422)
            .json();
    assertThat(refused.path("fields").path(0).path("field").asString()).isEqualTo("opted-out");
    assertThat(check(id, "Are you sure?").path("verdict").asString()).isEqualTo("MAY_NOT_GO");
    assertThat(handed()).containsExactly("At nine", CONFIRMED);
  }

  @Test
  void anAgreementThatEndsIsAsIfNothingHadBeenSaidAfterwards() {
    long id = text(Fabulum.DOCK, "Hello");
    LocalDate today = LocalDate.ofInstant(fabulum.clock.instant(), ZoneId.of("America/Chicago"));
    Map<String, Object> said =
        Map.of("given", true, "kinds", List.of("NEWS"), "lastDay", today.plusDays(1).toString());
    String address = "/api/conversations/" + id + "/agreement";
    maren.post(address, said).require(204);
    JsonNode news = maren.get(address).require(200).json().path("news");
    assertThat(news.path("answer").asString()).isEqualTo("AGREED");
    assertThat(Instant.parse(news.path("until").asString()))
        .isEqualTo(today.plusDays(2).atStartOfDay(ZoneId.of("America/Chicago")).toInstant());
    fabulum.clock.advance(Duration.ofDays(2));
    assertThat(maren.get(address).require(200).json().path("news").path("answer").asString())
        .isEqualTo("NOT_SAID");
    maren.post(address, said).require(422);
  }

  @Test
  void aStopForANumberOfTwoCustomersHoldsForBoth() {
    fabulum.customer("Ada Brandt", number);
    fabulum.customer("Ben Brandt", number);
    long dock = text(Fabulum.DOCK, "STOP");
    long yard = text(Fabulum.YARD, "When do you open?");
    for (long id : List.of(dock, yard)) {
      assertThat(check(id, "At eight").path("verdict").asString()).isEqualTo("MAY_NOT_GO");
    }
    comesToHanded(CONFIRMED);
  }

  @Test
  void whoOptedOutAndAsksSomethingIsOurTurnAndNoAnswerNeededEndsIt() {
    long id = text(Fabulum.DOCK, "stop");
    assertThat(row(id).path("group").asString()).isEqualTo("DONE");
    text(Fabulum.DOCK, "When do you close?");
    assertThat(row(id).path("group").asString()).isEqualTo("OUR_TURN");
    maren.post("/api/conversations/" + id + "/no-answer-needed", Map.of()).require(200);
    assertThat(row(id).path("group").asString()).isEqualTo("THEIR_TURN");
  }

  @Test
  void stopDoesNotEndTheWaitOfAnEarlierQuestion() {
    long id = text(Fabulum.DOCK, "Is the lift free?");
    text(Fabulum.DOCK, "STOP");
    assertThat(row(id).path("group").asString()).isEqualTo("OUR_TURN");
  }

  @Test
  void aKeywordIsAnsweredInItsLanguageAndStopItselfInEnglish() {
    fabulum.tables.update("update send_settings set languages = 'ES DE'");
    fabulum.context.getBean(SendSetup.class).forget();
    text(Fabulum.DOCK, "Ayuda");
    text(Fabulum.DOCK, "Alto!");
    assertThat(fabulum.becomes(() -> handed().size() == 2)).as("%s", handed()).isTrue();
    assertThat(handed().get(0))
        .contains("también puede llamarnos al")
        .endsWith("Escriba STOP para no recibir más mensajes.");
    assertThat(handed().get(1))
        .isEqualTo(
            "North Dock: no recibirá más mensajes nuestros. Escriba START para recibirlos de nuevo.");
    text(Fabulum.DOCK, "start");
    // What has not left yet when they stop does not leave any more.
    assertThat(fabulum.becomes(() -> handed().size() == 3)).as("%s", handed()).isTrue();
    text(Fabulum.DOCK, "STOP");
    assertThat(fabulum.becomes(() -> handed().size() == 4)).as("%s", handed()).isTrue();
    assertThat(handed().get(3)).isEqualTo(CONFIRMED);
  }

  @Test
  void startBringsTextsBackAndIsConfirmed() {
    long id = text(Fabulum.DOCK, "STOP");
    text(Fabulum.YARD, "Unstop");
    comesToHanded(CONFIRMED, BACK);
    maren.post("/api/conversations/" + id + "/texts", answer("Welcome back")).require(200);
    assertThat(fabulum.becomes(() -> handed().size() == 3)).isTrue();
  }

  @Test
  void startFromSomebodyWhoNeverStoppedIsATextLikeAnyOther() {
    long id = text(Fabulum.DOCK, "Yes!");
    assertThat(row(id).path("group").asString()).isEqualTo("OUR_TURN");
    assertThat(handed()).isEmpty();
  }

  @Test
  void helpIsAnsweredAlsoToWhoOptedOutAndAPersonStillSeesIt() {
    long id = text(Fabulum.DOCK, "STOP");
    comesToHanded(CONFIRMED);
    text(Fabulum.DOCK, "help!");
    String help = "North Dock: you can also call us at (920) 555-0101. Text STOP to end texts.";
    comesToHanded(CONFIRMED, help);
    text(Fabulum.DOCK, "Help");
    assertThat(row(id).path("group").asString()).isEqualTo("OUR_TURN");
    assertThat(handed()).as("said once in ten minutes").hasSize(2);
  }

  @Test
  void whatWaitsIsHeldBackAndItsWriterHearsSo() {
    long id = text(Fabulum.DOCK, "Is the lift free?");
    fabulum.network.held = text -> text.words().equals("first");
    maren.post("/api/conversations/" + id + "/texts", answer("first")).require(200);
    assertThat(fabulum.comesTo("select count(*) from outbox where claimed_by is not null", "1"))
        .isTrue();
    maren.post("/api/conversations/" + id + "/texts", answer("second")).require(200);

    text(Fabulum.YARD, "STOP");

    assertThat(
            fabulum.comesTo(
                "select failure_code from entry where words = 'second' and conversation_id = " + id,
                "opted-out"))
        .isTrue();
    assertThat(row(id).path("failureReason").asString())
        .isEqualTo("The customer opted out before it went.");
    fabulum.network.held = text -> false;
    fabulum.network.letGo();
    assertThat(fabulum.becomes(() -> handed().size() == 2)).isTrue();
    assertThat(handed()).doesNotContain("second");
  }

  @Test
  void aTextThatFallsDueAfterTheStopIsLookedAtAgain() {
    long id = text(Fabulum.DOCK, "Is the lift free?");
    maren.post("/api/conversations/" + id + "/texts", answer("At nine")).require(200);
    assertThat(fabulum.comesTo("select count(*) from outbox where conversation_id = " + id, "0"))
        .isTrue();
    fabulum.tables.update(
        "insert into agreement_change (number_id, noted_at, given, service, news, ground)"
            + " select number_id, current_timestamp, false, true, true, 'BY_WORD'"
            + " from conversation where id = ?",
        id);
    fabulum.tables.update(
        "insert into outbox (entry_id, conversation_id, lane, wanted_at, next_at)"
            + " select max(id), conversation_id, 'SINGLE', ?, ? from entry"
            + " where conversation_id = ? and kind = 'OUT' group by conversation_id",
        fabulum.clock.instant().atOffset(ZoneOffset.UTC),
        fabulum.clock.instant().atOffset(ZoneOffset.UTC),
        id);
    fabulum.clock.advance(Duration.ofMinutes(1));
    assertThat(fabulum.comesTo("select count(*) from outbox where conversation_id = " + id, "0"))
        .isTrue();
    assertThat(handed()).containsExactly("At nine");
  }

  @Test
  void aLeadMayLetItHoldForTheLineOnly() {
    fabulum.tables.update("update send_settings set stop_everywhere = false");
    fabulum.context.getBean(SendSetup.class).forget();
    text(Fabulum.DOCK, "STOP");
    long yard = text(Fabulum.YARD, "Is it ready?");
    maren.post("/api/conversations/" + yard + "/texts", answer("It is")).require(200);
  }

  @Test
  void twoStopsAtOnceAreConfirmedOnce() throws InterruptedException {
    CountDownLatch both = new CountDownLatch(2);
    List<Thread> threads =
        IntStream.range(0, 2)
            .mapToObj(i ->
                new Thread(() -> {
                  both.countDown();
                  text(i == 0 ? Fabulum.DOCK : Fabulum.YARD, "STOP");
                }))
            .toList();
    threads.forEach(Thread::start);
    for (Thread each : threads) {
      each.join();
    }
    assertThat(fabulum.becomes(() -> !handed().isEmpty())).isTrue();
    assertThat(
            fabulum.tables.queryForObject(
                "select count(*) from entry e join conversation c on c.id = e.conversation_id"
                    + " join number n on n.id = c.number_id"
                    + " where n.address = ? and e.kind = 'OUT'",
                Integer.class,
                number))
        .isEqualTo(1);
  }

  @Test
  void theSameTextASecondTimeAsksAndGoesWhenItIsConfirmed() {
    long id = text(Fabulum.DOCK, "Is the lift free?");
    maren.post("/api/conversations/" + id + "/texts", answer("At nine")).require(200);
    fabulum.clock.advance(Duration.ofMinutes(3));

    JsonNode checked = check(id, "At nine");
    assertThat(checked.path("verdict").asString()).isEqualTo("NEEDS_CONFIRMATION");
    assertThat(checked.path("objections").path(0).path("sentence").asString())
        .isEqualTo("Maren Oduya sent the same text to this number 3 minutes ago.");
    maren.post("/api/conversations/" + id + "/texts", answer("At nine")).require(409);
    Map<String, Object> confirmed =
        Map.of(
            "words",
            "At nine",
            "reference",
            Fabulum.reference(),
            "confirmed",
            List.of("same-text"));
    maren.post("/api/conversations/" + id + "/texts", confirmed).require(200);
    comesToHanded("At nine", "At nine");
  }

  @Test
  void sendingAgainAfterALostAnswerIsNotDecidedAgain() {
    long id = text(Fabulum.DOCK, "Is the lift free?");
    Map<String, Object> answer = answer("At nine");
    maren.post("/api/conversations/" + id + "/texts", answer).require(200);
    text(Fabulum.DOCK, "STOP");
    maren.post("/api/conversations/" + id + "/texts", answer).require(200);
  }

  @Test
  void agreementIsNotedByWordWithWhoAndWhenAndEndsNoStop() {
    long id = text(Fabulum.DOCK, "Is the lift free?");
    String agreement = "/api/conversations/" + id + "/agreement";
    JsonNode before = maren.get(agreement).require(200).json();
    assertThat(before.path("service").path("answer").asString()).isEqualTo("AGREED");
    assertThat(before.path("service").path("ground").asString()).isEqualTo("WROTE_FIRST");
    assertThat(before.path("news").path("answer").asString()).isEqualTo("NOT_SAID");

    Map<String, Object> news =
        Map.of("given", true, "kinds", List.of("NEWS"), "words", "at the spring market");
    maren.post(agreement, news).require(204);
    JsonNode noted = maren.get(agreement).require(200).json();
    assertThat(noted.path("news").path("answer").asString()).isEqualTo("AGREED");
    JsonNode entry = noted.path("history").path(0);
    assertThat(entry.path("staff").asString()).isEqualTo("Maren Oduya");
    assertThat(entry.path("words").asString()).isEqualTo("at the spring market");

    text(Fabulum.DOCK, "STOP");
    maren.post(agreement, Map.of("given", true, "kinds", List.of("SERVICE", "NEWS"))).require(204);
    JsonNode stopped = maren.get(agreement).require(200).json();
    assertThat(stopped.path("service").path("answer").asString()).isEqualTo("OPTED_OUT");
    assertThat(stopped.path("history").size()).isEqualTo(3);
  }

  @Test
  void aSentenceThatAsksToStopIsProposedAndNotActedOn() {
    long id = text(Fabulum.DOCK, "Please take me off your list");
    String agreement = "/api/conversations/" + id + "/agreement";
    assertThat(maren.get(agreement).json().path("asksToStop").asLong()).isPositive();
    maren.post("/api/conversations/" + id + "/texts", answer("Do you mean it?")).require(200);
    assertThat(maren.get(agreement).json().has("asksToStop")).isFalse();

    maren.post(agreement, Map.of("given", false, "kinds", List.of("SERVICE", "NEWS"))).require(204);
    maren.post("/api/conversations/" + id + "/texts", answer("Anyway")).require(422);
    maren.post(agreement, Map.of("given", true, "kinds", List.of("SERVICE"))).require(204);
    maren.post("/api/conversations/" + id + "/texts", answer("Glad to")).require(200);
  }

  @Test
  void whatANetworkSaysOfANumberIsRememberedUntilATextComesFromIt() {
    long id = text(Fabulum.DOCK, "Is the lift free?");
    Map<String, Object> lost = answer("At nine");
    maren.post("/api/conversations/" + id + "/texts", lost).require(200);
    comesToHanded("At nine");
    fabulum
        .webhook()
        .report(String.valueOf(lost.get("reference")), "failed", "cannot-receive-texts")
        .require(200);
    assertThat(check(id, "Hello?").path("objections").path(0).path("code").asString())
        .isEqualTo("cannot-receive");
    maren.post("/api/conversations/" + id + "/texts", answer("Hello?")).require(422);

    text(Fabulum.DOCK, "I had no signal");
    maren.post("/api/conversations/" + id + "/texts", answer("At nine it is")).require(200);
  }

  @Test
  void aNumberMarkedAsWrongGetsNothingUntilItIsRightAgain() {
    long id = text(Fabulum.DOCK, "Who is this? You have the wrong number");
    String number = "/api/conversations/" + id + "/agreement/number";
    maren.put(number, Map.of("wrong", true)).require(204);
    text(Fabulum.DOCK, "Hello?");
    maren.post("/api/conversations/" + id + "/texts", answer("Sorry")).require(422);
    maren.put(number, Map.of("wrong", false)).require(204);
    maren.post("/api/conversations/" + id + "/texts", answer("Sorry")).require(200);
  }

  @Test
  void atNightOnlyAnAnswerGoesUnasked() {
    Duration untilNight = Duration.ofHours(9);
    fabulum.clock.advance(untilNight);
    try {
      Messaging messaging = fabulum.context.getBean(Messaging.class);
      assertThat(sendAtNight(messaging, "+13125559911").verdict())
          .isEqualTo(Verdict.NEEDS_CONFIRMATION);
      text(Fabulum.DOCK, "Is somebody still there?");
      assertThat(sendAtNight(messaging, number).verdict()).isEqualTo(Verdict.MAY_GO);
    } finally {
      fabulum.clock.advance(Duration.ofHours(15));
    }
  }

  private static SendDecision sendAtNight(Messaging messaging, String to) {
    return messaging
        .send(
            Recipient.on(new LineId(1), Participants.of(new PhoneNumber(to))),
            Said.by(
                new Author.Person(office.id("maren")),
                "The gate is open.",
                new ClientReference(Fabulum.reference())))
        .decision();
  }

  @Test
  void aLeadSaysWhatAsksAndWhatRefusesAndOptedOutIsNotAmongIt() {
    JsonNode settings = maren.get("/api/setup/sending").require(200).json();
    assertThat(settings.path("reasons").valueStream().map(each -> each.path("code").asString()))
        .contains("same-text", "night")
        .doesNotContain("opted-out");
    maren.put("/api/setup/sending", sending(settings, "opted-out", "TELL")).require(422);
    maren.put("/api/setup/sending", sending(settings, "same-text", "REFUSE")).require(200);
    maren.put("/api/setup/sending", sending(settings, "same-text", "ASK")).require(409);

    long id = text(Fabulum.DOCK, "Is the lift free?");
    maren.post("/api/conversations/" + id + "/texts", answer("At nine")).require(200);
    maren.post("/api/conversations/" + id + "/texts", answer("At nine")).require(422);
    assertThat(maren.get("/api/setup/history").require(200).json().toString())
        .contains("same text", "refuse");
  }

  private static Map<String, Object> sending(JsonNode settings, String code, String severity) {
    Map<String, Object> wanted = new HashMap<>();
    settings.properties().forEach(each -> wanted.put(each.getKey(), each.getValue()));
    wanted.put(
        "reasons", List.of(Map.of("code", code, "severity", severity, "choices", List.of())));
    return wanted;
  }
}
