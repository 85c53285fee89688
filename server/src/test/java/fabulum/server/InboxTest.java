package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.conversation.ConversationState;
import fabulum.core.hours.Hours;
import fabulum.core.hours.WeekReader;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.promise.Promise;
import fabulum.server.conversations.Reckoning;
import fabulum.server.lines.Lines;
import fabulum.server.lines.NewLine;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.OnSharedProgram;
import fabulum.server.testing.Webhook;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

@OnSharedProgram
class InboxTest {
  private final Fabulum fabulum;
  private final Browser maren;
  private final Webhook webhook;

  InboxTest(Fabulum fabulum) {
    this.fabulum = fabulum;
    this.maren = fabulum.signedIn("maren");
    this.webhook = fabulum.webhook();
  }

  private long waiting(String words) {
    String number = fabulum.freshNumber();
    webhook.text(number, Fabulum.YARD, words).require(200);
    return maren.conversationOf(number).path("id").asLong();
  }

  private JsonNode row(long id) {
    return maren.get("/api/conversations/" + id).require(200).json().path("conversation");
  }

  private void act(long id, String what) {
    maren.post("/api/conversations/" + id + "/" + what, null).require(200);
  }

  @Test
  void doneLeavesTheTurnAndATextOpensItAgainByItself() {
    String number = fabulum.freshNumber();
    webhook.text(number, Fabulum.DOCK, "never mind").require(200);
    long id = maren.conversationOf(number).path("id").asLong();

    act(id, "done");
    act(id, "done");
    assertThat(row(id).path("group").asString()).isEqualTo("DONE");
    assertThat(maren.script(id).size()).as("done once").isEqualTo(2);
    assertThat(maren.script(id).get(1).path("event").asString()).isEqualTo("DONE_UNANSWERED");

    fabulum.clock.advance(Duration.ofMinutes(3));
    webhook.text(number, Fabulum.DOCK, "one more thing").require(200);
    assertThat(row(id).path("group").asString()).isEqualTo("OUR_TURN");
    assertThat(row(id).path("since").asString()).isEqualTo(row(id).path("lastAt").asString());
  }

  @Test
  void oneCanAnswerInAConversationThatIsDone() {
    long id = waiting("thanks!");
    act(id, "done");
    maren.answer(id, "You are welcome").require(200);

    assertThat(row(id).path("group").asString()).isEqualTo("THEIR_TURN");
  }

  @Test
  void takingAndLettingGoAreToldInTheScript() {
    long id = waiting("anyone?");
    act(id, "take");
    assertThat(row(id).path("owner").path("initials").asString()).isEqualTo("MO");
    fabulum.signedIn("priya").post("/api/conversations/" + id + "/take", null).require(200);
    assertThat(row(id).path("owner").path("initials").asString()).isEqualTo("PN");
    act(id, "let-go");
    assertThat(row(id).has("owner")).isFalse();

    assertThat(maren.script(id).valueStream().skip(1).map(e -> e.path("event").asString()))
        .containsExactly("TAKEN", "TAKEN", "LET_GO");
  }

  @Test
  void aNoteIsForTheTeamAndNeverSent() {
    long id = waiting("hello");
    String reference = Fabulum.reference();
    Map<String, String> note = Map.of("words", "always pays late", "reference", reference);
    maren.post("/api/conversations/" + id + "/notes", note).require(204);
    maren.post("/api/conversations/" + id + "/notes", note).require(204);

    assertThat(maren.script(id).size()).isEqualTo(2);
    assertThat(row(id).path("group").asString()).as("a note is no answer").isEqualTo("OUR_TURN");
    assertThat(row(id).path("lastWords").asString()).isEqualTo("hello");
    assertThat(fabulum.network.timesHanded("always pays late")).isZero();
    assertThat(
            fabulum.tables.queryForObject(
                "select count(*) from outbox where conversation_id = ?", Integer.class, id))
        .isZero();
  }

  @Test
  void draftsAreMyOwnAndAreThrownAwayWhenTheyAreSent() {
    long id = waiting("a question");
    maren
        .put("/api/conversations/" + id + "/drafts/REPLY", Map.of("words", "Well, let me"))
        .require(204);
    maren.put("/api/conversations/" + id + "/drafts/NOTE", Map.of("words", "hm")).require(204);

    assertThat(drafts(maren, id)).containsExactly("hm", "Well, let me");
    assertThat(drafts(fabulum.signedIn("priya"), id)).isEmpty();
    maren.answer(id, "Well, let me see. Yes.").require(200);
    assertThat(drafts(maren, id)).containsExactly("hm");
    maren.put("/api/conversations/" + id + "/drafts/NOTE", Map.of("words", "")).require(204);
    assertThat(drafts(maren, id)).isEmpty();
    maren.put("/api/conversations/987654/drafts/NOTE", Map.of("words", "lost?")).require(404);
  }

  @Test
  void aDraftThatIsToldAfterItsWordsWentOutIsNone() {
    long id = waiting("another question");
    String reference = Fabulum.reference();
    String place = "/api/conversations/" + id;
    maren
        .post(place + "/texts", Map.of("words", "Yes, at nine.", "reference", reference))
        .require(200);
    for (String late : List.of("Yes, at", "Yes, at nine.")) {
      maren
          .put(place + "/drafts/REPLY", Map.of("words", late, "reference", reference))
          .require(204);
      assertThat(drafts(maren, id)).isEmpty();
    }
    maren
        .put(place + "/drafts/REPLY", Map.of("words", "No, at ten.", "reference", reference))
        .require(204);
    assertThat(drafts(maren, id)).containsExactly("No, at ten.");
  }

  private static List<String> drafts(Browser browser, long id) {
    return browser
        .get("/api/conversations/" + id)
        .json()
        .path("drafts")
        .valueStream()
        .map(draft -> draft.path("words").asString())
        .toList();
  }

  @Test
  void anyPagingGivesTheSameListInTheSameOrder() {
    for (int i = 0; i < 7; i++) {
      long id = waiting("paged " + i);
      if (i % 3 == 1) {
        maren.answer(id, "so be it").require(200);
      }
      if (i % 3 == 2) {
        act(id, "done");
      }
      if (i % 2 == 0) {
        fabulum.clock.advance(Duration.ofSeconds(1));
      }
    }
    for (String group : List.of("OUR_TURN", "THEIR_TURN", "DONE")) {
      for (String choice :
          List.of(
              "",
              "&sentence=mine",
              "&sentence=nobody's",
              "&sentence=line%202",
              "&sentence=to%20identify")) {
        List<Long> whole = pages(group + choice, 100);
        assertThat(pages(group + choice, 2)).as(group + choice).isEqualTo(whole);
        assertThat(whole).doesNotHaveDuplicates();
        assertThat(whole.size()).isEqualTo(count(group, choice));
      }
    }
  }

  /** Lines are read no further than the last page needed; what they hold changes meanwhile. */
  @Test
  void aPageIsWholeWhenOneLineHasSuddenlyAllOfIt() {
    String newest = "/api/conversations?group=OUR_TURN&order=NEWEST&limit=40";
    for (String line : List.of(Fabulum.DOCK, Fabulum.YARD)) {
      arriving(line, 20);
    }
    assertThat(maren.get(newest).json().path("rows")).hasSize(40);

    List<String> numbers = arriving(Fabulum.YARD, 50);
    Collections.reverse(numbers);
    List<String> latestFirst = numbers.subList(0, 40);
    for (int again = 0; again < 2; again++) {
      assertThat(maren.get(newest).json().path("rows"))
          .extracting(row -> row.path("address").asString())
          .isEqualTo(latestFirst);
    }
  }

  private List<String> arriving(String line, int many) {
    List<String> numbers = new ArrayList<>();
    for (int i = 0; i < many; i++) {
      numbers.add(fabulum.freshNumber());
      fabulum.clock.advance(Duration.ofSeconds(1));
      webhook.text(numbers.get(i), line, "one of many").require(200);
    }
    return numbers;
  }

  private List<Long> pages(String choice, int limit) {
    List<Long> ids = new ArrayList<>();
    String from = "";
    do {
      JsonNode page =
          maren
              .get("/api/conversations?group=" + choice + "&limit=" + limit + from)
              .require(200)
              .json();
      page.path("rows").valueStream().forEach(row -> ids.add(row.path("id").asLong()));
      from = page.has("next") ? "&from=" + page.path("next").asString() : "";
    } while (!from.isEmpty());
    return ids;
  }

  private int count(String group, String choice) {
    JsonNode counts = maren.get("/api/conversations/counts?" + choice).require(200).json();
    return counts
        .path(
            group.equals("OUR_TURN")
                ? "ourTurn"
                : group.equals("THEIR_TURN") ? "theirTurn" : "done")
        .asInt();
  }

  /** The law that locking serves: state and script never drift apart. */
  @Test
  void whateverHappensAtOnceTheStateIsWhatThePlayedScriptGives() throws Exception {
    String number = fabulum.freshNumber();
    webhook.text(number, Fabulum.DOCK, "begin").require(200);
    long id = maren.conversationOf(number).path("id").asLong();
    Browser priya = fabulum.signedIn("maren");
    List<Callable<Integer>> acts = new ArrayList<>();
    for (int i = 0; i < 15; i++) {
      Instant at = fabulum.clock.instant().minusSeconds(i);
      String words = "text " + i;
      acts.add(() -> webhook.text(Webhook.id(), number, Fabulum.DOCK, words, at).status());
      acts.add(() -> priya.answer(id, "answer to " + words).status());
      acts.add(() -> priya.post("/api/conversations/" + id + "/done", null).status());
    }
    ExecutorService crowd = Executors.newFixedThreadPool(6);
    for (Future<Integer> act : crowd.invokeAll(acts)) {
      assertThat(act.get()).isIn(200, 204);
    }
    crowd.shutdown();

    List<JsonNode> entries =
        new ArrayList<>(
            maren
                .get("/api/conversations/" + id + "/script?limit=100")
                .json()
                .path("entries")
                .valueStream()
                .toList());
    entries.sort(Comparator.comparingLong(entry -> entry.path("id").asLong()));
    ConversationState played =
        ConversationState.begunByCustomer(Instant.parse(entries.get(0).path("at").asString()));
    for (JsonNode entry : entries.subList(1, entries.size())) {
      played = play(played, entry);
    }
    assertThat(row(id).path("group").asString()).isEqualTo(played.group().name());
    assertThat(Instant.parse(row(id).path("since").asString())).isEqualTo(played.since());
  }

  private static ConversationState play(ConversationState before, JsonNode entry) {
    Instant at = Instant.parse(entry.path("at").asString());
    return switch (entry.path("kind").asString() + entry.path("event").asString("")) {
      case "IN" -> before.customerWrote(at);
      case "OUT" -> before.personAnswered(at);
      case "EVENTDONE", "EVENTDONE_UNANSWERED" -> before.finished(at);
      default -> before;
    };
  }

  @Test
  void onOurTurnWhatIsDueFirstComesFirstAlsoOnTheRibbon() {
    waiting("due in an hour");
    JsonNode rows =
        maren.get("/api/conversations?group=OUR_TURN&limit=100").require(200).json().path("rows");
    assertThat(rows.valueStream().map(row -> row.path("dueAt").asString())).isNotEmpty().isSorted();
    JsonNode ribbon = maren.get("/api/conversations/ribbon").require(200).json();
    assertThat(ribbon.valueStream().map(row -> row.path("id").asLong()))
        .containsExactlyElementsOf(pages("OUR_TURN", 100));
    assertThat(ribbon.valueStream().map(row -> row.path("secondsLeft").asLong())).isSorted();
  }

  @Test
  void theTimeLeftRunsWhileTheLineIsOpenAndEndsWithAnAnswer() {
    long id = waiting("how long?");
    assertThat(row(id).path("secondsLeft").asLong()).isEqualTo(3600);
    fabulum.clock.advance(Duration.ofMinutes(90));
    assertThat(row(id).path("secondsLeft").asLong()).isEqualTo(-1800);
    maren.answer(id, "now").require(200);
    assertThat(row(id).has("dueAt")).isFalse();
    assertThat(row(id).has("secondsLeft")).isFalse();
  }

  /** A text on a new line that is hardly ever open. */
  private long waitingAtNight(String name, String number) {
    Hours never =
        new Hours(ZoneId.of("America/Chicago"), WeekReader.read("Sun 3:00-3:30"), Set.of());
    fabulum
        .context
        .getBean(Lines.class)
        .add(
            new NewLine(
                "North Dock",
                NewLine.FIRST_TEAM,
                name,
                new PhoneNumber(number),
                new Region("US"),
                never,
                new Promise(Duration.ofHours(1))));
    String from = fabulum.freshNumber();
    webhook.text(from, number, "sometime").require(200);
    return maren.conversationOf(from).path("id").asLong();
  }

  @Test
  void inOneListTheTimeLeftOfEachIsCountedInTheHoursOfItsLine() {
    long day = waiting("by day");
    long night = waitingAtNight("Night line 2", "+19205550152");
    fabulum.clock.advance(Duration.ofMinutes(20));
    Map<Long, Long> left =
        maren
            .get("/api/conversations?group=OUR_TURN&order=NEWEST&limit=100")
            .require(200)
            .json()
            .path("rows")
            .valueStream()
            .collect(
                Collectors.toMap(
                    row -> row.path("id").asLong(), row -> row.path("secondsLeft").asLong()));
    assertThat(left).containsEntry(day, 2400L).containsEntry(night, 3600L);
    act(night, "done");
  }

  @Test
  void whenHoursOrPromisesChangeTheWaitingAreReckonedAnew() {
    Reckoning reckoning = fabulum.context.getBean(Reckoning.class);
    long id = waitingAtNight("Night line", "+19205550150");
    String before = row(id).path("dueAt").asString();
    assertThat(reckoning.reckonDue()).isZero();

    fabulum.tables.update("update conversation set due_at = since where id = ?", id);

    assertThat(reckoning.reckonDue()).isEqualTo(1);
    assertThat(row(id).path("dueAt").asString()).isEqualTo(before);
    act(id, "done");
  }

  @Test
  void answersAndDoneKeepTheWorkingTimeTheyTook() {
    Hours week =
        new Hours(ZoneId.of("America/Chicago"), WeekReader.read("Mon-Fri 8:00-17:00"), Set.of());
    PhoneNumber number = new PhoneNumber("+19205550151");
    Promise hour = new Promise(Duration.ofHours(1));
    Region region = new Region("US");
    fabulum
        .context
        .getBean(Lines.class)
        .add(new NewLine("Pier", NewLine.FIRST_TEAM, "Week line", number, region, week, hour));
    String from = fabulum.freshNumber();
    advanceTo("2026-09-04T21:30:00Z");
    webhook.text(from, number.e164(), "late on Friday").require(200);
    long id = maren.conversationOf(from).path("id").asLong();
    advanceTo("2026-09-07T14:00:00Z");
    maren.answer(id, "On Monday morning").require(200);
    webhook.text(from, number.e164(), "and?").require(200);
    fabulum.clock.advance(Duration.ofMinutes(10));
    maren.answer(id, "So").require(200);
    maren.answer(id, "and so").require(200);
    act(id, "done");

    assertThat(
            maren
                .script(id)
                .valueStream()
                .filter(e -> e.has("workingSeconds"))
                .map(e -> e.path("workingSeconds").asLong()))
        .as("half an hour on Friday and one on Monday; ten minutes; all of it till done")
        .containsExactly(90L * 60, 10L * 60, 100L * 60);
    assertThat(
            fabulum.tables.queryForList(
                "select words from entry where first_answer and conversation_id = ?",
                String.class,
                id))
        .containsExactly("On Monday morning");
  }

  private void advanceTo(String instant) {
    fabulum.clock.advance(Duration.between(fabulum.clock.instant(), Instant.parse(instant)));
  }

  @Test
  void theScriptIsReadBackToTheVeryFirstText() {
    String number = fabulum.freshNumber();
    for (int i = 0; i < 7; i++) {
      webhook.text(number, Fabulum.DOCK, "line " + i).require(200);
    }
    long id = maren.conversationOf(number).path("id").asLong();
    List<String> read = new ArrayList<>();
    String before = "";
    do {
      JsonNode page =
          maren.get("/api/conversations/" + id + "/script?limit=3" + before).require(200).json();
      read.addAll(
          0, page.path("entries").valueStream().map(e -> e.path("words").asString()).toList());
      before = page.has("earlier") ? "&before=" + page.path("earlier").asString() : "";
    } while (!before.isEmpty());

    assertThat(read)
        .containsExactly("line 0", "line 1", "line 2", "line 3", "line 4", "line 5", "line 6");
  }

  @Test
  void oneJumpsByAnyPieceOfNameNumberOrDetail() {
    String number = fabulum.freshNumber();
    long customer = fabulum.customer("Ottilie 100% Farrowby", number);
    fabulum.detail(customer, "Boat", "Kittiwake II");
    webhook.text(number, Fabulum.DOCK, "hello").require(200);

    String digits = number.substring(2);
    for (String words :
        List.of(
            "farrow",
            "100%25",
            "kittiwake",
            digits,
            digits.substring(0, 3) + "-" + digits.substring(3))) {
      assertThat(maren.get("/api/conversations/jump?words=" + words).require(200).json().toString())
          .as(words)
          .contains(number);
    }
    assertThat(maren.get("/api/conversations/jump?words=%25%25").json().size())
        .as("a per cent sign is only itself")
        .isZero();
  }

  @Test
  void nonsenseIsRefusedWithASentence() {
    assertThat(maren.get("/api/conversations?group=SOMEWHERE").require(400).problem())
        .isEqualTo("unreadable");
    assertThat(maren.get("/api/conversations?group=DONE&from=here").require(422).problem())
        .isEqualTo("bad-fields");
    assertThat(maren.get("/api/conversations/none").require(400).problem()).isEqualTo("unreadable");
    assertThat(maren.get("/api/conversations/987654").require(404).json().path("detail").asString())
        .isEqualTo("This conversation does not exist, or you cannot see it.");
    assertThat(maren.get("/api/nowhere").require(404).problem()).isEqualTo("not-found");
    assertThat(maren.call("DELETE", "/api/lines", null).require(405).problem())
        .isEqualTo("method-not-allowed");
  }

  @Test
  void theServerCountsPartsAndNamesTheDearCharacters() {
    JsonNode parts =
        maren
            .post("/api/parts", Map.of("words", "It’s ready… " + "x".repeat(70)))
            .require(200)
            .json();
    assertThat(parts.path("encoding").asString()).isEqualTo("UCS2");
    assertThat(parts.path("parts").asInt()).isEqualTo(2);
    assertThat(parts.path("forcing").toString()).isEqualTo("[\"’\",\"…\"]");
    assertThat(parts.path("plain").path("saved").asInt()).isEqualTo(1);
  }

  @Test
  void whatEachPersonHasNotReadIsKeptForEachAndIsPartOfTheSentence() {
    String number = fabulum.freshNumber();
    fabulum.webhook().text(number, Fabulum.DOCK, "first").require(200);
    long id = maren.conversationOf(number).path("id").asLong();
    String watch = "/api/conversations/" + id + "/watch";
    Browser priya = fabulum.signedIn("priya");
    assertThat(isUnread(maren, id)).isTrue();
    assertThat(maren.put(watch, Map.of("writing", false)).require(200).json().has("readUpTo"))
        .as("never opened before")
        .isFalse();
    assertThat(isUnread(maren, id)).isFalse();
    assertThat(isUnread(priya, id)).as("each for themselves").isTrue();
    String read = maren.conversationOf(number).path("lastAt").asString();

    fabulum.clock.advance(Duration.ofMinutes(3));
    fabulum.webhook().text(number, Fabulum.DOCK, "second").require(200);
    assertThat(isUnread(maren, id)).isTrue();
    JsonNode page =
        maren
            .get("/api/conversations/among?group=OUR_TURN&sentence=unread&ids=" + id)
            .require(200)
            .json();
    assertThat(
            page.path("seen")
                .valueStream()
                .filter(seen -> seen.path("conversationId").asLong() == id))
        .singleElement()
        .satisfies(seen -> assertThat(seen.path("at").asString()).isEqualTo(read));
    assertThat(maren.put(watch, Map.of("writing", false)).json().path("readUpTo").asString())
        .isEqualTo(read);

    fabulum.clock.advance(Duration.ofMinutes(1));
    priya.answer(id, "an answer");
    assertThat(isUnread(priya, id)).as("what we said last is not unread").isFalse();
  }

  @Test
  void aRowStandsOnceInTheListHoweverManyTopicsItHas() {
    long id = waiting("two things at once");
    List<Long> topics = new ArrayList<>();
    for (String name : List.of("knots", "sails", "ropes")) {
      Map<String, Object> topic = Map.of("name", name + id, "colour", "MOSS", "retired", false);
      topics.add(
          maren.post("/api/setup/teams/1/topics", topic).require(200).json().path("id").asLong());
    }
    for (long topic : topics) {
      maren.put("/api/conversations/" + id + "/topics/" + topic, null).require(200);
    }

    JsonNode page =
        maren
            .get("/api/conversations?group=OUR_TURN&sentence=topic%20" + topics.get(1))
            .require(200)
            .json();
    assertThat(page.path("rows").valueStream())
        .singleElement()
        .satisfies(row ->
            assertThat(row.path("topics").valueStream().map(JsonNode::asLong))
                .containsExactlyElementsOf(topics));
    assertThat(page.path("places").size()).isEqualTo(1);
  }

  private static boolean isUnread(Browser whose, long id) {
    return whose
        .get("/api/conversations/among?group=OUR_TURN&sentence=unread&ids=" + id)
        .require(200)
        .json()
        .path("rows")
        .valueStream()
        .anyMatch(row -> row.path("id").asLong() == id);
  }
}
