package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.core.arrival.Arrival;
import fabulum.core.conversation.Participants;
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
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
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
}
