package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.conversation.Participants;
import fabulum.core.delivery.Gateway.OutgoingText;
import fabulum.core.delivery.SendOutcome;
import fabulum.core.phone.PhoneNumber;
import fabulum.server.conversations.Conversations;
import fabulum.server.cost.Costs;
import fabulum.server.cost.StockWatch;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.platform.Troubles;
import fabulum.server.sending.SendSetup;
import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** How a text leaves: after a pause, with what stands below it, at a cost, within allowances. */
class LeavingTest {
  private static final String COSTS = "/api/setup/costs";

  private static TwoTeams office;
  private static Fabulum fabulum;
  private static Browser maren;
  private static Browser priya;

  private final long id = office.text(Fabulum.DOCK, "Is the lift free?");

  @BeforeAll
  static void start() {
    office = TwoTeams.start();
    fabulum = office.fabulum;
    maren = fabulum.signedIn("maren");
    priya = fabulum.signedIn("priya");
  }

  @AfterAll
  static void stop() {
    office.close();
  }

  @AfterEach
  void asUsual() {
    // What still pauses leaves now, and takes no answer of the network that the next test has set.
    fabulum.clock.advance(Duration.ofSeconds(21));
    assertThat(fabulum.comesTo("select count(*) from outbox", "0")).isTrue();
    fabulum.tables.update("update staff set pause_seconds = null");
    fabulum.tables.update("update send_settings set service_words = '', service_days = 30");
    fabulum.tables.update("update line set signature = '', reaches = '', most_parts = 10");
    fabulum.tables.update("delete from allowance");
    fabulum.tables.update("delete from price");
    fabulum.tables.update("delete from parts_sent");
    fabulum.tables.update("delete from reason_severity");
    forget();
  }

  private static void forget() {
    fabulum.context.getBean(SendSetup.class).forget();
    fabulum.context.getBean(Costs.class).forget();
    fabulum.context.getBean(Lines.class).forget();
  }

  private static Map<String, Object> said(String words) {
    return Map.of("words", words, "reference", Fabulum.reference());
  }

  private static Map<String, Object> with(Map<String, Object> said, String name, Object value) {
    Map<String, Object> all = new HashMap<>(said);
    all.put(name, value);
    return all;
  }

  private Answer send(Browser by, Map<String, Object> said) {
    return by.post("/api/conversations/" + id + "/texts", said);
  }

  private JsonNode check(Browser by, String words) {
    return by.post("/api/conversations/" + id + "/texts/check", Map.of("words", words))
        .require(200)
        .json();
  }

  private static JsonNode row(long id) {
    return maren.get("/api/conversations/" + id).require(200).json();
  }

  private static void pause(Browser of, int seconds) {
    of.put("/api/me/sending", Map.of("pauseSeconds", seconds, "looksFirst", false)).require(204);
  }

  private static String handed(String beginning) {
    assertThat(
            fabulum.becomes(() ->
                fabulum.network.handed.stream().anyMatch(t -> t.words().startsWith(beginning))))
        .as(beginning)
        .isTrue();
    return fabulum.network.handed.stream()
        .map(OutgoingText::words)
        .filter(words -> words.startsWith(beginning))
        .findFirst()
        .orElseThrow();
  }

  private static List<String> codes(JsonNode objections) {
    return objections.valueStream().map(each -> each.path("code").asString()).toList();
  }

  private void costs(String currency, List<?> prices, List<?> allowances) {
    long version = maren.get(COSTS).require(200).json().path("version").asLong();
    maren
        .put(
            COSTS,
            Map.of(
                "currency",
                currency,
                "prices",
                prices,
                "allowances",
                allowances,
                "version",
                version))
        .require(200);
  }

  @Test
  void aTextWaitsAsItsWriterHasSetAndThenLeaves() {
    pause(priya, 5);
    String words = "Come at nine, " + id;
    JsonNode sent = send(priya, said(words)).require(200).json();
    assertThat(sent.path("pauseSeconds").asLong()).isEqualTo(5);
    assertThat(row(id).path("conversation").path("group").asString()).isEqualTo("THEIR_TURN");
    maren.answer(id, "Behind it, " + id).require(200);
    assertThat(fabulum.network.timesHanded(words)).isZero();
    fabulum.clock.advance(Duration.ofSeconds(5));
    assertThat(handed("Behind it, " + id)).isNotEmpty();
    assertThat(fabulum.network.handed.stream().map(OutgoingText::words).toList())
        .containsSubsequence(words, "Behind it, " + id);
    maren.post("/api/texts/" + sent.path("text").asLong() + "/take-back", null).require(404);
    priya.post("/api/texts/" + sent.path("text").asLong() + "/take-back", null).require(409);
  }

  @Test
  void whatIsTakenBackNeverLeavesAndTheCustomerWaitsAsBefore() {
    pause(priya, 20);
    JsonNode before = row(id).path("conversation");
    Map<String, Object> said = said("Wrong window, " + id);
    long text = send(priya, said).require(200).json().path("text").asLong();
    // The way to undo acts would bring back the turn and let the text go.
    priya.post("/api/undo/text-" + text, null).require(409);
    JsonNode back = priya.post("/api/texts/" + text + "/take-back", null).require(200).json();
    assertThat(back.path("words").asString()).isEqualTo("Wrong window, " + id);

    JsonNode after = row(id).path("conversation");
    for (String kept : List.of("group", "since", "dueAt", "lastWords", "lastAt", "owner")) {
      assertThat(after.path(kept)).as(kept).isEqualTo(before.path(kept));
    }
    JsonNode draft = priya.get("/api/conversations/" + id).require(200).json().path("drafts");
    assertThat(draft.path(0).path("words").asString()).isEqualTo("Wrong window, " + id);
    assertThat(maren.script(id).toString()).contains("TAKEN_BACK").doesNotContain("Wrong window");
    // A late second try of the same request is not another text.
    send(priya, said).require(200);
    priya.post("/api/texts/" + text + "/take-back", null).require(404);
    fabulum.clock.advance(Duration.ofSeconds(30));
    send(priya, said("Right one, " + id)).require(200);
    fabulum.clock.advance(Duration.ofSeconds(30));
    assertThat(handed("Right one, " + id)).isNotEmpty();
    assertThat(fabulum.network.timesHanded("Wrong window, " + id)).isZero();
  }

  @Test
  void whatIsTakenBackFromAGroupWaitsForNoneOfItsNumbers() {
    List<PhoneNumber> two =
        List.of(new PhoneNumber(fabulum.freshNumber()), new PhoneNumber(fabulum.freshNumber()));
    long group =
        fabulum
            .context
            .getBean(Conversations.class)
            .open(new LineId(1), Participants.group(two))
            .value();
    pause(priya, 20);
    long text =
        priya
            .post(
                "/api/conversations/" + group + "/texts",
                Map.of(
                    "words",
                    "Both of you, " + group,
                    "reference",
                    Fabulum.reference(),
                    "confirmed",
                    List.of("group-begins", "night")))
            .require(200)
            .json()
            .path("text")
            .asLong();
    String waiting = "select count(*) from delivery where entry_id = " + text;
    assertThat(fabulum.tables.queryForObject(waiting, Integer.class)).isEqualTo(2);
    priya.post("/api/texts/" + text + "/take-back", null).require(200);
    assertThat(fabulum.tables.queryForObject(waiting, Integer.class)).isZero();
  }

  @Test
  void takenBackAfterItWasDoneTheCustomerIsInSightAgainAndWaitsSinceThen() {
    pause(priya, 20);
    JsonNode before = row(id).path("conversation");
    long text = send(priya, said("Bye, " + id)).require(200).json().path("text").asLong();
    priya.post("/api/conversations/" + id + "/done", Map.of()).require(200);
    priya.post("/api/texts/" + text + "/take-back", null).require(200);
    JsonNode after = row(id).path("conversation");
    assertThat(after.path("group").asString()).isEqualTo("OUR_TURN");
    assertThat(after.path("since")).isEqualTo(before.path("since"));
  }

  @Test
  void whatTheNetworkMayHaveIsNotTakenBack() {
    fabulum.network.script.add(new SendOutcome.Unclear("no answer"));
    long text = send(priya, said("Perhaps, " + id)).require(200).json().path("text").asLong();
    assertThat(fabulum.comesTo("select attempts from outbox where entry_id = " + text, "1"))
        .isTrue();
    priya.post("/api/texts/" + text + "/take-back", null).require(409);
    assertThat(maren.script(id).toString()).contains("Perhaps, " + id);
    fabulum.clock.advance(Duration.ofMinutes(5));
    assertThat(handed("Perhaps, " + id)).isNotEmpty();
  }

  @Test
  void aColleaguesAnswerIsSaidWhileOneWrites() {
    long newest = row(id).path("newest").asLong();
    maren.answer(id, "I have it, " + id).require(200);
    JsonNode is =
        priya
            .post(
                "/api/conversations/" + id + "/texts/check",
                Map.of("words", "Me too", "seen", newest))
            .require(200)
            .json();
    assertThat(codes(is.path("objections"))).contains("answered-meanwhile");
    assertThat(is.toString()).contains("Maren Oduya answered while you were writing.");
  }

  @Test
  void whatIsShownLeavesToTheLastCharacterAndTheWordsThatMustStandThereOnceInSoManyDays() {
    fabulum.tables.update(
        "update line set signature = 'North Dock' where number = ?", Fabulum.DOCK);
    fabulum.tables.update(
        "update send_settings set service_words = 'Reply STOP to opt out.', service_days = 30");
    forget();
    String words = "At nine, " + id;
    String first = words + "\nNorth Dock\nReply STOP to opt out.";
    JsonNode shown = check(priya, words);
    assertThat(shown.path("leaving").asString()).isEqualTo(first);
    assertThat(shown.path("parts").path("units").asInt()).isEqualTo(first.length());

    send(priya, with(said(words), "looked", words + "\nNorth Dock")).require(409);
    Map<String, Object> looked = with(said(words), "looked", first);
    send(priya, looked).require(200);
    send(priya, looked).require(200);
    assertThat(handed(words)).isEqualTo(first);
    assertThat(check(priya, words).toString()).contains("sent the same text");

    assertThat(check(priya, "Bring a rope.").path("leaving").asString())
        .isEqualTo("Bring a rope.\nNorth Dock");
    fabulum.clock.advance(Duration.ofDays(30));
    assertThat(check(priya, "Bring a rope.").path("leaving").asString()).contains("Reply STOP");
    assertThat(check(priya, " ").path("leaving").asString()).isEqualTo(" ");
  }

  @Test
  void whateverIsWrittenLeavesAsItWasShownToTheLastCharacterAndPart() {
    fabulum.tables.update("update line set signature = 'North Dock – harbour office'");
    fabulum.tables.update(
        "update send_settings set service_words = 'Reply STOP to opt out.', service_days = 0");
    forget();
    Random random = new Random(20261127);
    for (int i = 0; i < 40; i++) {
      String words = "No. " + i + " of " + id + " " + written(random);
      JsonNode shown = check(priya, words);
      send(priya, said(words)).require(200);
      String leaving = shown.path("leaving").asString();
      assertThat(leaving).startsWith(words);
      assertThat(handed("No. " + i + " of " + id + " ")).as("text %s", i).isEqualTo(leaving);
      Integer parts =
          fabulum.tables.queryForObject(
              "select parts from entry where words = ?", Integer.class, leaving);
      assertThat(parts)
          .as("parts of text %s", i)
          .isEqualTo(shown.path("parts").path("parts").asInt());
    }
  }

  /** Basic, extended, other and astral characters, line breaks among them. */
  private static String written(Random random) {
    List<String> characters = List.of("a", "é", "€", "{", "ж", "🙏", " ", "\n", "’", "ß", "[", "x");
    StringBuilder words = new StringBuilder();
    for (int length = random.nextInt(300); length > 0; length--) {
      words.append(characters.get(random.nextInt(characters.size())));
    }
    return words.append('.').toString();
  }

  @Test
  void plainWordingIsOfferedOfWhatWasTypedAndSavesPartsOfAllThatLeaves() {
    fabulum.tables.update("update line set signature = ?", "y".repeat(40));
    forget();
    String typed = "x".repeat(110) + "’";
    JsonNode parts = check(priya, typed).path("parts");
    assertThat(parts.path("parts").asInt()).isEqualTo(3);
    assertThat(parts.path("plain").path("words").asString()).isEqualTo("x".repeat(110) + "'");
    assertThat(parts.path("plain").path("saved").asInt()).isEqualTo(2);
    fabulum.tables.update("update line set signature = 'North Dock…'");
    forget();
    assertThat(check(priya, "Yes.").path("parts").path("plain").isMissingNode()).isTrue();
  }

  @Test
  void wordsThatNeverLeftDoNotCountAsSaid() {
    fabulum.tables.update("update send_settings set service_words = 'Reply STOP to opt out.'");
    forget();
    pause(priya, 20);
    long text = send(priya, said("Oh, " + id)).require(200).json().path("text").asLong();
    assertThat(check(priya, "Yes.").path("leaving").asString()).doesNotContain("STOP");
    priya.post("/api/texts/" + text + "/take-back", null).require(200);
    assertThat(check(priya, "Yes.").path("leaving").asString()).contains("STOP");
  }

  @Test
  void whatIsAppendedCountsAgainstTheLongestText() {
    String most = "x".repeat(1_600);
    fabulum.tables.update("update line set most_parts = 11 where number = ?", Fabulum.DOCK);
    forget();
    assertThat(codes(check(priya, most).path("objections"))).doesNotContain("too-many-parts");
    fabulum.tables.update(
        "update send_settings set service_words = ?", "Please reply STOP ".repeat(22));
    fabulum.tables.update("update line set signature = ?", "The whole harbour office ".repeat(3));
    forget();
    JsonNode refused = send(priya, said(most)).require(422).json();
    assertThat(refused.toString()).contains("takes 14 parts; this line sends 11 at most");
    assertThat(refused.toString()).contains("Nothing was sent; your words are kept.");
  }

  @Test
  void aTextCostsWhatItsPriceWasOnItsDayAndKeepsThat() {
    costs(
        "USD",
        List.of(
            Map.of("kind", "PART", "from", "2026-01-01", "amount", 0.0079),
            Map.of("kind", "PART", "from", "2026-12-01", "amount", 5),
            Map.of("kind", "TEXT_OUT", "from", "2026-01-01", "amount", 0.001),
            Map.of("kind", "TEXT_IN", "from", "2026-01-01", "amount", 0.002, "lineId", 1)),
        List.of());
    JsonNode shown = check(priya, "x".repeat(200));
    assertThat(shown.path("cost").path("amount").asDouble()).isEqualTo(0.0168);
    send(priya, said("y".repeat(200))).require(200);
    office.text(Fabulum.DOCK, "That costs, too");
    costs("JPY", List.of(Map.of("kind", "PART", "from", "2026-01-01", "amount", 3)), List.of());
    assertThat(maren.script(id).toString()).contains("\"cost\":0.0168", "\"currency\":\"USD\"");
    JsonNode yen = check(priya, "Yes.").path("cost");
    assertThat(yen.path("amount").asDouble()).isEqualTo(3);
    assertThat(yen.path("currency").asString()).isEqualTo("JPY");
    assertThat(
            fabulum.tables.queryForObject(
                "select max(cost) from entry where words = 'That costs, too'", String.class))
        .isEqualTo("0.00200");
  }

  @Test
  void whatCannotBeAPriceOrAnAllowanceIsRefusedWithEachReason() {
    long version = maren.get(COSTS).require(200).json().path("version").asLong();
    Map<String, Object> price = Map.of("kind", "PART", "from", "2026-01-01", "amount", 1);
    Map<String, Object> allowance = Map.of("staffId", 1, "teamId", 1, "span", "DAY", "parts", 10);
    Answer refused =
        maren.put(
            COSTS,
            Map.of(
                "currency",
                "usd",
                "prices",
                List.of(price, price),
                "allowances",
                List.of(allowance),
                "version",
                version));
    assertThat(refused.require(422).body())
        .contains("\"currency\"", "\"prices[1].from\"", "\"allowances[0].span\"");
  }

  @Test
  void anAllowanceOfAPersonIsUsedUpAndTheRefusalSaysWhoCanAllowMore() {
    send(maren, said("Somebody else’s, " + id)).require(200);
    costs(
        "USD",
        List.of(),
        List.of(Map.of("staffId", office.id("priya"), "span", "DAY", "parts", 2)));
    assertThat(check(priya, "One, " + id).path("allowances").toString())
        .contains("\"limit\":2", "\"used\":0", "Priya Nandakumar");
    send(priya, said("One, " + id)).require(200);
    assertThat(codes(check(priya, "Two, " + id).path("objections")))
        .contains("allowance-nearly-used");
    send(priya, said("Two, " + id)).require(200);
    assertThat(send(priya, said("Three, " + id)).require(422).body())
        .contains("over-allowance", "has no parts left today", "A lead can allow more.");
    send(maren, said("Mine is not limited, " + id)).require(200);

    pause(priya, 0);
    fabulum.clock.advance(Duration.ofHours(10));
    send(priya, with(said("A new day, " + id), "confirmed", List.of("night"))).require(200);
  }

  @Test
  void whatIsTakenBackIsNotUsedAndAnAllowanceOfZeroLetsNothingGo() {
    costs(
        "USD",
        List.of(),
        List.of(Map.of("staffId", office.id("priya"), "span", "MONTH", "parts", 1)));
    pause(priya, 20);
    long text = send(priya, said("Oh, " + id)).require(200).json().path("text").asLong();
    send(priya, said("No, " + id)).require(422);
    priya.post("/api/texts/" + text + "/take-back", null).require(200);
    send(priya, said("Yes, " + id)).require(200);

    costs("USD", List.of(), List.of(Map.of("teamId", 1, "span", "WEEK", "parts", 0)));
    assertThat(send(maren, said("Nothing, " + id)).require(422).body()).contains("over-allowance");
  }

  @Test
  void whatTheNetworkNeverTookCostsNothingAndIsNotUsed() {
    costs(
        "USD",
        List.of(Map.of("kind", "PART", "from", "2026-01-01", "amount", 0.01)),
        List.of(Map.of("staffId", office.id("priya"), "span", "DAY", "parts", 2)));
    fabulum.network.script.add(new SendOutcome.RefusedForGood("gone", "Out of service."));
    send(priya, said("Refused, " + id)).require(200);
    assertThat(
            fabulum.comesTo(
                "select delivery from entry where words = 'Refused, " + id + "'", "NOT_DELIVERED"))
        .isTrue();
    assertThat(used()).isZero();
    send(priya, said("Taken, " + id)).require(200);
    assertThat(handed("Taken, " + id)).isNotEmpty();
    assertThat(used()).isEqualTo(1);
    assertThat(costOf("Taken, " + id)).isEqualTo("0.01000");

    pause(priya, 20);
    send(priya, said("Held back, " + id)).require(200);
    assertThat(used()).isEqualTo(2);
    fabulum.webhook().text(office.numberOf(id), Fabulum.DOCK, "STOP").require(200);
    assertThat(used()).isEqualTo(1);
    assertThat(costOf("Held back, " + id)).isNull();
  }

  private static @Nullable String costOf(String words) {
    return fabulum.tables.queryForObject(
        "select cost from entry where words = ?", String.class, words);
  }

  private int used() {
    return check(priya, "?").path("allowances").path(0).path("used").asInt();
  }

  @Test
  void fiftyAtOnceSendExactlyWhatIsAllowed() throws Exception {
    costs("USD", List.of(), List.of(Map.of("span", "MONTH", "parts", 20)));
    List<Long> each = new ArrayList<>();
    for (int i = 0; i < 50; i++) {
      each.add(office.text(Fabulum.DOCK, "Question " + i));
    }
    ExecutorService senders = Executors.newFixedThreadPool(50);
    try {
      List<Callable<Integer>> sends = new ArrayList<>();
      for (long one : each) {
        Browser by = one % 2 == 0 ? maren : priya;
        sends.add(
            () -> by.post("/api/conversations/" + one + "/texts", said("Yes, " + one)).status());
      }
      List<Integer> answers = new ArrayList<>();
      for (Future<Integer> sent : senders.invokeAll(sends)) {
        answers.add(sent.get());
      }
      assertThat(answers).filteredOn(status -> status == 200).hasSize(20);
      assertThat(answers).filteredOn(status -> status == 422).hasSize(30);
    } finally {
      senders.shutdown();
    }
  }

  @Test
  void severalAtOnceSayWhatTheyCostAndGoNowhereOverAnAllowance() {
    costs(
        "USD",
        List.of(Map.of("kind", "PART", "from", "2026-01-01", "amount", 0.01)),
        List.of(Map.of("staffId", office.id("maren"), "span", "DAY", "parts", 1)));
    List<Long> two = List.of(id, office.text(Fabulum.DOCK, "Me too"));
    Map<String, Object> act = Map.of("what", "TEXT", "words", "Storm at six.", "ids", two);
    JsonNode coming = maren.post("/api/several/check", act).require(200).json();
    assertThat(coming.path("cost").asDouble()).isEqualTo(0.02);
    assertThat(coming.path("refused").asBoolean()).isTrue();
    assertThat(coming.path("against").toString()).contains("1 part left today, and this takes 2");
    Answer refused =
        maren.post("/api/several", Map.of("act", act, "reference", Fabulum.reference()));
    assertThat(refused.require(422).body()).contains("1 part left today", "Nothing was sent.");
  }

  @Test
  void otherWaysAreEachLineOneMayUseWithEachNumberAndWhatIsDifferentThere() {
    String second = fabulum.freshNumber();
    fabulum.customer("Greta Moss", office.numberOf(id), second);
    fabulum.tables.update(
        "update conversation set customer_id = (select max(id) from customer) where id = ?", id);
    fabulum.webhook().text(second, Fabulum.YARD, "STOP").require(200);
    JsonNode ways = priya.get("/api/conversations/" + id + "/ways").require(200).json();
    assertThat(ways.size()).isEqualTo(4);
    assertThat(ways.path(0).path("here").asBoolean()).isTrue();
    assertThat(ways.valueStream().map(way -> way.path("line").asString()).distinct().toList())
        .containsExactlyInAnyOrder("Dock office", "Yard and lift");
    JsonNode there =
        ways.valueStream()
            .filter(way -> way.path("address").asString().equals(second))
            .filter(way -> way.path("line").asString().equals("Yard and lift"))
            .findFirst()
            .orElseThrow();
    assertThat(there.path("agreement").asString()).isEqualTo("OPTED_OUT");
    assertThat(there.path("conversation").isMissingNode()).isFalse();
  }

  @Test
  void writingToSomeoneBeginsFromTheLineTheyWroteToLast() {
    String number = office.numberOf(id);
    fabulum.clock.advance(Duration.ofMinutes(1));
    fabulum.webhook().text(number, Fabulum.YARD, "And is the crane?").require(200);
    fabulum.clock.advance(Duration.ofMinutes(1));
    send(maren, said("The dock says yes, " + id)).require(200);
    JsonNode found =
        maren.get("/api/write-to?line=1&words=" + number.substring(1)).require(200).json();
    assertThat(found.path("people").path(0).path("usualLine").asLong()).isEqualTo(2);
  }

  @Test
  void aLineSaysWhereItSendsToAndADayOffIsSaid() {
    fabulum.tables.update("update line set reaches = 'CA MX' where number = ?", Fabulum.DOCK);
    forget();
    assertThat(send(priya, said("Yes, " + id)).require(422).body())
        .contains("country-not-reached", "United States");
    fabulum.tables.update("update line set reaches = ''");
    maren.post("/api/conversations/" + id + "/no-answer-needed", Map.of()).require(200);
    fabulum.clock.advance(Duration.ofDays(2));
    fabulum.tables.update("insert into closed_day (line_id, closed) values (1, ?)", today());
    forget();
    try {
      assertThat(check(priya, "Yes.").toString()).contains("It is a day off");
    } finally {
      fabulum.tables.update("delete from closed_day");
    }
  }

  @Test
  void leadsAreToldBeforeThePartsBoughtAheadAreUsedUp() {
    StockWatch watch = fabulum.context.getBean(StockWatch.class);
    fabulum.tables.update(
        "update staff set email = sign_in_name || '@quillhaven.example'"
            + " where sign_in_name in ('maren', 'priya')");
    forget();
    Map<String, Object> bought =
        Map.of(
            "day",
            today().minusDays(8).toString(),
            "parts",
            1_000,
            "price",
            8,
            "currency",
            "USD",
            "remark",
            "first");
    maren.post(COSTS + "/bought", bought).require(200);
    assertThat(troubles()).isEmpty();
    fabulum.tables.update(
        "insert into parts_sent (on_day, line_id, team_id, staff_id, texts, parts)"
            + " values (?, 1, 1, 0, 900, 900)",
        today().minusDays(1));
    watch.look();
    watch.look();
    assertThat(troubles()).anyMatch(sentence -> sentence.contains("less than a day"));
    assertThat(mailsAboutParts()).containsExactly("maren@quillhaven.example");
    maren.post(COSTS + "/bought", with(bought, "parts", 100_000)).require(200);
    assertThat(troubles()).isEmpty();
    fabulum.tables.update("update parts_sent set parts = 100900 where parts = 900");
    watch.look();
    assertThat(mailsAboutParts()).hasSize(2);
    fabulum.tables.update("update parts_sent set parts = 900 where parts = 100900");
    watch.look();
    assertThat(troubles()).isEmpty();
    JsonNode ledger = maren.get(COSTS + "/bought").require(200).json();
    assertThat(ledger.path("purchases").size()).isEqualTo(2);
    assertThat(ledger.path("left").asLong() + ledger.path("used").asLong()).isEqualTo(101_000);
    maren.post(COSTS + "/bought", with(bought, "parts", 0)).require(422);
  }

  private static List<String> mailsAboutParts() {
    return fabulum.tables.queryForList(
        "select address from mail where subject like 'Parts bought%'", String.class);
  }

  private static LocalDate today() {
    return LocalDate.ofInstant(fabulum.clock.instant(), ZoneId.of("America/Chicago"));
  }

  private static List<String> troubles() {
    return fabulum.context.getBean(Troubles.class).list().stream()
        .filter(each -> each.kind() == Troubles.Kind.PARTS)
        .map(Troubles.Trouble::sentence)
        .toList();
  }

  @Test
  void whoOptsOutOfAGroupWhileATextWaitsDoesNotGetItAndTheOthersDo() {
    leavesAGroup(
        "Still on its way.",
        leaves -> fabulum.webhook().text(leaves, Fabulum.DOCK, "STOP").require(200));
  }

  @Test
  void whatIsDueIsLookedAtAgainForEachOfAGroup() {
    leavesAGroup(
        "Due in a moment.",
        leaves ->
            fabulum.tables.update(
                "insert into agreement_change (number_id, noted_at, given, service, news, ground)"
                    + " select id, current_timestamp, false, true, true, 'BY_WORD'"
                    + " from number where address = ?",
                leaves));
  }

  private void leavesAGroup(String words, Consumer<String> leave) {
    String stays = fabulum.freshNumber();
    String leaves = fabulum.freshNumber();
    Map<String, Object> group =
        Map.of(
            "line",
            1,
            "number",
            stays,
            "others",
            List.of(leaves),
            "makeCustomer",
            false,
            "name",
            "");
    long id = maren.post("/api/write-to", group).require(200).json().path("id").asLong();
    pause(maren, 20);
    try {
      maren
          .post(
              "/api/conversations/" + id + "/texts",
              Map.of(
                  "words",
                  words,
                  "reference",
                  Fabulum.reference(),
                  "confirmed",
                  List.of("group-begins", "night")))
          .require(200);
      leave.accept(leaves);
    } finally {
      pause(maren, 0);
    }
    fabulum.clock.advance(Duration.ofSeconds(21));

    handed(words);
    assertThat(
            fabulum.network.handed.stream()
                .filter(text -> text.words().startsWith(words))
                .flatMap(text -> text.to().stream())
                .map(PhoneNumber::e164))
        .containsExactly(stays);
    assertThat(
            fabulum.tables.queryForList(
                "select d.state from delivery d join number n on n.id = d.number_id where n.address = ?",
                String.class,
                leaves))
        .containsExactly("NOT_DELIVERED");
  }
}
