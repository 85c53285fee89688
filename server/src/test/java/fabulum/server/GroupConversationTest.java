package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.core.arrival.Arrival;
import fabulum.core.conversation.Participants;
import fabulum.core.delivery.Gateway.OutgoingText;
import fabulum.core.phone.PhoneNumber;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.conversations.ReceivedText;
import fabulum.server.lines.LineId;
import fabulum.server.messaging.Arrivals;
import fabulum.server.platform.Problem;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.OnSharedProgram;
import fabulum.server.testing.Webhook;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Conversations of one line with several numbers, as far as the tables and the network go. */
@OnSharedProgram
class GroupConversationTest {
  private static final LineId LINE = new LineId(1);

  private final Fabulum fabulum;
  private final Browser maren;
  private final Conversations conversations;
  private final Arrivals arrivals;

  GroupConversationTest(Fabulum fabulum) {
    this.fabulum = fabulum;
    this.maren = fabulum.signedIn("maren");
    this.conversations = fabulum.context.getBean(Conversations.class);
    this.arrivals = fabulum.context.getBean(Arrivals.class);
  }

  private List<PhoneNumber> numbers(int count) {
    return IntStream.range(0, count).mapToObj(i -> new PhoneNumber(fabulum.freshNumber())).toList();
  }

  private void receive(Participants group, PhoneNumber from, String words) {
    arrivals.receive(
        new ReceivedText(
            Webhook.id(),
            LINE,
            from,
            group,
            words,
            Arrival.of(fabulum.clock.instant(), fabulum.clock.instant()),
            List.of()));
  }

  private JsonNode lastEntry(long id) {
    JsonNode entries = maren.script(id);
    return entries.get(entries.size() - 1);
  }

  private boolean askedAbout(String reference) {
    Integer rows =
        fabulum.tables.queryForObject(
            "select count(*) from unreported u join entry e on e.id = u.entry_id where e.reference = ?",
            Integer.class,
            reference);
    return rows != null && rows == 1;
  }

  @Test
  void theSameNumbersAreOneConversationAndEachTextKnowsWhoWroteIt() {
    List<PhoneNumber> two = numbers(2);
    receive(Participants.group(two), two.get(1), "from the second");
    ConversationId id =
        conversations.open(LINE, Participants.group(List.of(two.get(1), two.get(0))));
    receive(Participants.group(two), two.get(0), "from the first");
    receive(Participants.of(two.get(0)), two.get(0), "to us alone");

    assertThat(
            StreamSupport.stream(maren.script(id.value()).spliterator(), false)
                .map(entry ->
                    entry.path("number").asString() + " " + entry.path("words").asString()))
        .containsExactly(
            two.get(1).e164() + " from the second", two.get(0).e164() + " from the first");
  }

  @Test
  void aGroupLargerThanItsLineAllowsIsRefusedAndNothingIsMade() {
    List<PhoneNumber> nine = numbers(9);
    assertThatThrownBy(() -> conversations.open(LINE, Participants.group(nine)))
        .isInstanceOfSatisfying(
            Problem.class,
            refused -> assertThat(refused.fields().get(0).why()).contains("at most 8 numbers"));
    assertThat(
            fabulum.tables.queryForObject(
                "select count(*) from number where address = ?", Integer.class, nine.get(0).e164()))
        .isZero();
    conversations.open(LINE, Participants.group(nine.subList(0, 8)));
  }

  @Test
  void aTextToAGroupIsAsFarAsWithTheNumberWhereItIsLeastFar() {
    List<PhoneNumber> two = numbers(2);
    receive(Participants.group(two), two.get(0), "we are two");
    long id = conversations.open(LINE, Participants.group(two)).value();
    String reference = Fabulum.reference();
    maren
        .post(
            "/api/conversations/" + id + "/texts",
            Map.of("words", "hello both", "reference", reference))
        .require(200);
    assertThat(
            fabulum.comesTo(
                "select count(*) from entry where delivery = 'SENT' and conversation_id = " + id,
                "1"))
        .isTrue();

    assertThat(askedAbout(reference)).isTrue();
    report(reference, "delivered", two.get(0), 200);
    assertThat(lastEntry(id).path("delivery").asString()).isEqualTo("SENT");
    assertThat(askedAbout(reference)).as("nothing is known of the second").isTrue();
    report(reference, "failed", two.get(1), 200);
    assertThat(askedAbout(reference)).isFalse();
    assertThat(lastEntry(id).path("delivery").asString()).isEqualTo("NOT_DELIVERED");
    assertThat(lastEntry(id).path("needsHand").asBoolean()).isTrue();
    assertThat(
            StreamSupport.stream(lastEntry(id).path("deliveries").spliterator(), false)
                .map(to -> to.path("number").asString() + " " + to.path("delivery").asString()))
        .containsExactlyInAnyOrder(
            two.get(0).e164() + " DELIVERED", two.get(1).e164() + " NOT_DELIVERED");
    report(reference, "delivered", two.get(1), 200);
    assertThat(lastEntry(id).path("delivery").asString()).isEqualTo("DELIVERED");
    assertThat(lastEntry(id).path("needsHand").asBoolean()).isFalse();
    report(reference, "read", new PhoneNumber(Fabulum.YARD), 404);
  }

  private void report(String reference, String state, PhoneNumber to, int status) {
    fabulum
        .webhook()
        .told(
            "{\"type\":\"text.report\",\"reference\":\""
                + reference
                + "\",\"state\":\""
                + state
                + "\",\"to\":\""
                + to.e164()
                + "\",\"code\":\"gone\",\"reason\":\"Out of service.\"}")
        .require(status);
  }

  private long groupOf(List<PhoneNumber> numbers) {
    Map<String, Object> wanted =
        Map.of(
            "line",
            1,
            "number",
            numbers.get(0).e164(),
            "others",
            numbers.stream().skip(1).map(PhoneNumber::e164).toList(),
            "makeCustomer",
            false,
            "name",
            "");
    return maren.post("/api/write-to", wanted).require(200).json().path("id").asLong();
  }

  private Map<String, Object> text(String words, String... confirmed) {
    // Other classes on this program move its clock into the night.
    List<String> all = Stream.concat(Stream.of("night"), Stream.of(confirmed)).toList();
    return Map.of("words", words, "reference", Fabulum.reference(), "confirmed", all);
  }

  private void arrives(PhoneNumber from, List<PhoneNumber> group, String words) {
    List<String> others = group.stream().map(PhoneNumber::e164).toList();
    fabulum.webhook().toAll(from.e164(), Fabulum.DOCK, others, words).require(200);
  }

  private long idOf(String number) {
    return maren.conversationOf(number).path("id").asLong();
  }

  private List<String> words(long id) {
    return StreamSupport.stream(maren.script(id).spliterator(), false)
        .map(entry -> entry.path("event").asString("") + entry.path("words").asString(""))
        .toList();
  }

  private List<String> handedTo(String words) {
    fabulum.network.awaitHanded(words, 1, () -> {});
    OutgoingText text =
        fabulum.network.handed.stream().filter(one -> one.words().equals(words)).findFirst().get();
    assertThat(text.group()).isTrue();
    return text.to().stream().map(PhoneNumber::e164).toList();
  }

  private static List<String> e164(PhoneNumber... numbers) {
    return Stream.of(numbers).map(PhoneNumber::e164).sorted().toList();
  }

  @Test
  void theFirstTextWarnsAndThenOneTextGoesToAll() {
    List<PhoneNumber> three = numbers(3);
    long id = groupOf(three);
    JsonNode refused = maren.post("/api/conversations/" + id + "/texts", text("All three.")).json();
    assertThat(refused.path("fields").toString()).contains("group-begins");
    maren
        .post("/api/conversations/" + id + "/texts", text("All three.", "group-begins"))
        .require(200);

    assertThat(handedTo("All three."))
        .containsExactlyElementsOf(e164(three.toArray(PhoneNumber[]::new)));
    assertThat(fabulum.network.timesHanded("All three.")).isEqualTo(1);
    assertThat(lastEntry(id).path("parts").asInt()).as("a part for each number").isEqualTo(3);
    maren.post("/api/conversations/" + id + "/texts", text("Not asked again.")).require(200);
    assertThat(maren.get("/api/conversations/" + id).require(200).json().path("members"))
        .hasSize(3);
  }

  @Test
  void aGroupAmongSeveralGetsOneTextForAllAndNobodyInItGetsItTwice() {
    List<PhoneNumber> two = numbers(2);
    arrives(two.get(0), two, "the two of us");
    long group = idOf(two.get(0).e164());
    List<Long> ids = new ArrayList<>(List.of(group));
    for (PhoneNumber alone : List.of(two.get(1), numbers(1).get(0))) {
      fabulum.webhook().text(alone.e164(), Fabulum.DOCK, "me alone").require(200);
      ids.add(conversations.open(LINE, Participants.of(alone)).value());
    }
    Collections.reverse(ids);
    String words = "Closed at noon, " + Fabulum.reference();
    Map<String, Object> act = Map.of("ids", ids, "what", "TEXT", "words", words);
    JsonNode check = maren.post("/api/several/check", act).require(200).json();
    assertThat(check.path("will").asInt()).isEqualTo(2);
    assertThat(check.path("parts").asInt()).as("a part for each number").isEqualTo(3);
    assertThat(check.path("skipped").get(0).path("why").asString())
        .isEqualTo("This number already gets it, in another conversation.");
    maren.post("/api/several", Map.of("act", act, "reference", Fabulum.reference())).require(200);
    fabulum.network.awaitHanded(words, 2, () -> {});
    List<String> reached =
        fabulum.network.handed.stream()
            .filter(one -> one.words().equals(words))
            .flatMap(one -> one.to().stream())
            .map(PhoneNumber::e164)
            .toList();
    assertThat(reached).hasSize(3).doesNotHaveDuplicates().contains(two.get(1).e164());
  }

  @Test
  void whoOptsOutInAGroupGetsNoMoreOfItAndTheOthersGoOnInTheSameConversation() {
    List<PhoneNumber> three = numbers(3);
    PhoneNumber first = three.get(0);
    PhoneNumber second = three.get(1);
    PhoneNumber third = three.get(2);
    arrives(first, three, "Are we all here?");
    long id = idOf(first.e164());
    arrives(second, List.of(first, third), "STOP");

    JsonNode left = lastEvent(id);
    assertThat(left.path("event").asString()).isEqualTo("GROUP_LEFT");
    assertThat(left.path("number").asString()).isEqualTo(second.e164());
    assertThat(
            fabulum.becomes(() ->
                fabulum.network.handed.stream()
                    .anyMatch(one -> !one.group() && one.to().equals(List.of(second)))))
        .as("the answer to STOP goes to that number alone")
        .isTrue();
    maren.post("/api/conversations/" + id + "/texts", text("Just you two.")).require(200);
    assertThat(handedTo("Just you two.")).containsExactlyElementsOf(e164(first, third));
    assertThat(lastEntry(id).path("deliveries")).hasSize(2);
    arrives(third, List.of(first), "Fine with us.");
    assertThat(words(id)).endsWith("Fine with us.");
  }

  @Test
  void aSmallerGroupOfPeopleWhoAllStillGetTextsIsAnotherConversation() {
    List<PhoneNumber> three = numbers(3);
    arrives(three.get(0), three, "All three of us");
    arrives(three.get(0), three.subList(0, 2), "The two of us");
    assertThat(words(idOf(three.get(0).e164())))
        .hasSize(1)
        .containsAnyOf("All three of us", "The two of us");
  }

  @Test
  void ourOwnLineAndImpossibleNumbersAreRefusedTogetherAndNothingIsMade() {
    JsonNode refused =
        maren
            .post(
                "/api/write-to",
                Map.of(
                    "line",
                    1,
                    "number",
                    fabulum.freshNumber(),
                    "others",
                    List.of(Fabulum.YARD, "12"),
                    "makeCustomer",
                    false,
                    "name",
                    ""))
            .json();
    assertThat(
            StreamSupport.stream(refused.path("fields").spliterator(), false)
                .map(one -> one.path("field").asString()))
        .containsExactly("others[0]", "others[1]");
    assertThat(refused.path("fields").get(0).path("why").asString())
        .isEqualTo("This is the number of one of our own lines. Nothing was made.");
  }

  @Test
  void aReplyToUsAloneIsAConversationOfItsOwnAndOurLinesAreNobodyInAGroup() {
    List<PhoneNumber> two = numbers(2);
    arrives(two.get(0), List.of(two.get(1), new PhoneNumber(Fabulum.YARD)), "to all");
    arrives(two.get(1), two, "to all as well");
    arrives(two.get(1), List.of(), "between us");
    assertThat(words(idOf(two.get(0).e164()))).containsExactly("to all", "to all as well");
  }

  @Test
  void aGroupIsIdentifiedNumberByNumberAndNothingIsNotedOfAllAtOnce() {
    List<PhoneNumber> two = numbers(2);
    arrives(two.get(0), two, "who are we");
    long id = idOf(two.get(0).e164());
    assertThat(
            maren
                .get("/api/conversations/" + id)
                .require(200)
                .json()
                .path("conversation")
                .path("toIdentify")
                .asBoolean())
        .isTrue();
    for (PhoneNumber each : two) {
      maren
          .post(
              "/api/write-to",
              Map.of(
                  "line",
                  1,
                  "number",
                  each.e164(),
                  "makeCustomer",
                  true,
                  "name",
                  "Member " + each.e164()))
          .require(200);
    }
    JsonNode dossier = maren.get("/api/conversations/" + id).require(200).json();
    assertThat(dossier.path("conversation").path("toIdentify").asBoolean()).isFalse();
    assertThat(dossier.path("conversation").path("number").asString())
        .isEqualTo(
            "Member "
                + e164(two.toArray(PhoneNumber[]::new)).get(0)
                + " and Member "
                + e164(two.toArray(PhoneNumber[]::new)).get(1));
    assertThat(
            maren
                .put("/api/conversations/" + id + "/agreement/number", Map.of("wrong", true))
                .problem())
        .isEqualTo("changed-meanwhile");
  }

  private JsonNode lastEvent(long id) {
    return StreamSupport.stream(maren.script(id).spliterator(), false)
        .filter(entry -> entry.path("kind").asString().equals("EVENT"))
        .reduce((a, b) -> b)
        .orElseThrow();
  }
}
