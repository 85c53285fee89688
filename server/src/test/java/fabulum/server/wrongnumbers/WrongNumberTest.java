package fabulum.server.wrongnumbers;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.wrongnumber.RightNumberCode;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class WrongNumberTest {
  private final TwoTeams office = TwoTeams.start();
  private final Fabulum fabulum = office.fabulum;
  private final Browser priya = fabulum.signedIn("priya");
  private final Browser maren = fabulum.signedIn("maren");

  /** Tries that another test counted lie more than a day back. */
  @BeforeEach
  void anotherDay() {
    fabulum.clock.advance(RightNumberCode.COUNTED.plusHours(1));
  }

  @AfterAll
  void stop() {
    office.close();
  }

  private long text(String number, String words) {
    fabulum.clock.advance(Duration.ofMinutes(1));
    fabulum.webhook().text(number, Fabulum.DOCK, words).require(200);
    Long id =
        fabulum.tables.queryForObject(
            "select c.id from conversation c join number n on n.id = c.number_id where n.address = ?",
            Long.class,
            number);
    return id == null ? 0 : id;
  }

  private void answer(long conversation, String words) {
    priya
        .post(
            "/api/conversations/" + conversation + "/texts",
            Map.of("words", words, "reference", Fabulum.reference()))
        .require(200);
  }

  private JsonNode view(long conversation) {
    return priya.get("/api/conversations/" + conversation + "/wrong-number").require(200).json();
  }

  private void stopTexting(long conversation) {
    priya.post("/api/conversations/" + conversation + "/wrong-number", Map.of()).require(200);
  }

  private String code() {
    return String.valueOf(
        fabulum.tables.queryForObject(
            "select code from right_number_ask order by id desc fetch first 1 row only",
            String.class));
  }

  private List<String> holders(String number) {
    return fabulum.tables.queryForList(
        "select k.name from holding h join number n on n.id = h.number_id"
            + " join customer k on k.id = h.customer_id"
            + " where n.address = ? and h.held_until is null order by 1",
        String.class,
        number);
  }

  private List<String> words(long conversation) {
    return priya
        .script(conversation)
        .valueStream()
        .filter(entry -> entry.path("kind").asString().equals("OUT"))
        .map(entry -> entry.path("words").asString())
        .toList();
  }

  /** Vera, whose first number is wrong and who has another one. */
  private record Vera(String wrong, String other, long conversation) {}

  private Vera vera() {
    String wrong = fabulum.freshNumber();
    String other = fabulum.freshNumber();
    fabulum.customer("Vera Lund", wrong, other);
    long id = text(wrong, "hello");
    answer(id, "Hello Vera, your slot is on Friday.");
    return new Vera(wrong, other, id);
  }

  @Test
  void itIsProposedAndAskedOnAnotherNumber() {
    Vera vera = vera();
    assertThat(view(vera.conversation()).path("says").isNumber()).isFalse();
    text(vera.wrong(), "Sorry, you have the wrong number");
    JsonNode proposed = view(vera.conversation());
    assertThat(proposed.path("says").isNumber()).isTrue();
    assertThat(proposed.path("way").asString()).isEqualTo("TEXT");
    stopTexting(vera.conversation());
    assertThat(view(vera.conversation()).path("askedBy").asString()).isEqualTo("TEXT");
    JsonNode check =
        priya
            .post(
                "/api/conversations/" + vera.conversation() + "/texts/check",
                Map.of("words", "a text"))
            .require(200)
            .json();
    assertThat(check.toString()).contains("REFUSE");
    Long asked =
        fabulum.tables.queryForObject(
            "select c.id from conversation c join number n on n.id = c.number_id where n.address = ?",
            Long.class,
            vera.other());
    assertThat(words(asked == null ? 0 : asked))
        .singleElement()
        .asString()
        .contains(code())
        .doesNotContain("Vera");
  }

  @Test
  void theCodeProvesTheNumberOnceAndTheOldOneIsKeptWithItsDates() {
    Vera vera = vera();
    text(vera.wrong(), "wrong number");
    stopTexting(vera.conversation());
    String code = code();
    String right = fabulum.freshNumber();
    long id = text(right, "code " + code.toLowerCase(java.util.Locale.ROOT) + ".");
    assertThat(holders(right)).containsExactly("Vera Lund");
    assertThat(holders(vera.wrong())).isEmpty();
    assertThat(words(id))
        .containsExactly("Thank you. We will text you on this number from now on.");
    assertThat(
            priya
                .get("/api/conversations/" + id)
                .json()
                .path("conversation")
                .path("group")
                .asString())
        .isNotEqualTo("OUR_TURN");
    String thief = fabulum.freshNumber();
    text(thief, code);
    assertThat(holders(thief)).isEmpty();
    Long act =
        fabulum.tables.queryForObject(
            "select max(id) from identifying where kind = 'PROVED'", Long.class);
    priya.post("/api/identifying/" + act + "/undo", Map.of()).require(200);
    assertThat(holders(right)).isEmpty();
    assertThat(holders(vera.wrong())).containsExactly("Vera Lund");
  }

  @Test
  void whatWasHeldCanGoToTheRightNumber() {
    Vera vera = vera();
    text(vera.wrong(), "wrong number");
    fabulum.tables.update(
        "update entry set needs_hand = true, delivery = 'NOT_DELIVERED' where conversation_id = ? and kind = 'OUT'",
        vera.conversation());
    stopTexting(vera.conversation());
    long id = text(fabulum.freshNumber(), code());
    assertThat(view(id).path("held").path(0).path("words").asString())
        .isEqualTo("Hello Vera, your slot is on Friday.");
    Map<String, Object> narrowed = TwoTeams.line("Dock office", Fabulum.DOCK);
    narrowed.put("narrowed", true);
    maren.put("/api/setup/lines/1", narrowed).require(200);
    fabulum.tables.update(
        "update conversation set owner_id = ? where id = ?",
        office.id("maren"),
        vera.conversation());
    assertThat(fabulum.signedIn("tom").get("/api/conversations/" + id + "/wrong-number").body())
        .doesNotContain("your slot");
    narrowed.put("narrowed", false);
    maren.put("/api/setup/lines/1", narrowed).require(200);
  }

  @Test
  void aCodeEndsAndIsOfItsLineOnly() {
    Vera vera = vera();
    text(vera.wrong(), "wrong number");
    stopTexting(vera.conversation());
    String elsewhere = fabulum.freshNumber();
    fabulum.webhook().text(elsewhere, TwoTeams.FAR, code()).require(200);
    assertThat(holders(elsewhere)).isEmpty();
    fabulum.clock.advance(RightNumberCode.WORKS);
    String late = fabulum.freshNumber();
    text(late, code());
    assertThat(holders(late)).isEmpty();
  }

  @Test
  void guessingLeadsNowhere() {
    Vera vera = vera();
    text(vera.wrong(), "wrong number");
    stopTexting(vera.conversation());
    String code = code();
    String guesser = fabulum.freshNumber();
    for (int i = 0; i < RightNumberCode.TRIES_OF_ONE; i++) {
      text(guesser, code.equals("222A") ? "222B" : "222A");
    }
    text(guesser, code);
    assertThat(holders(guesser)).isEmpty();
    fabulum.tables.update("update code_tries set tries = 100 where number_id = 0");
    String other = fabulum.freshNumber();
    text(other, code);
    assertThat(holders(other)).isEmpty();
    fabulum.clock.advance(RightNumberCode.COUNTED.plusMinutes(1));
    text(other, code);
    assertThat(holders(other)).containsExactly("Vera Lund");
  }

  @Test
  void whereALeadAllowsItItIsDoneByItself() {
    Vera vera = vera();
    int before = asks();
    maren.put("/api/setup/wrong-numbers", Map.of("byItself", true)).require(200);
    text(vera.wrong(), "I think you have the wrong number, there is no Vera here");
    JsonNode view = view(vera.conversation());
    assertThat(view.path("askedBy").asString()).isEqualTo("TEXT");
    text(vera.wrong(), "the wrong number of chairs came with the order");
    maren.put("/api/setup/wrong-numbers", Map.of("byItself", false)).require(200);
    assertThat(asks()).isEqualTo(before + 1);
  }

  private int asks() {
    Integer count =
        fabulum.tables.queryForObject("select count(*) from right_number_ask", Integer.class);
    return count == null ? 0 : count;
  }

  @Test
  void withoutAnotherWayItStaysOurTurnWithTheReason() {
    String wrong = fabulum.freshNumber();
    fabulum.customer("Vera Lund", wrong);
    long id = text(wrong, "hello");
    answer(id, "Hello Vera.");
    text(wrong, "wrong number");
    assertThat(view(id).path("way").isString()).isFalse();
    stopTexting(id);
    assertThat(
            priya
                .get("/api/conversations/" + id)
                .json()
                .path("conversation")
                .path("group")
                .asString())
        .isEqualTo("OUR_TURN");
    assertThat(priya.script(id).toString()).contains("RIGHT_NUMBER_ASKED", "NONE");
  }

  @Test
  void aSharedNumberIsWrongOnlyForWhomItIsWrong() {
    String shared = fabulum.freshNumber();
    long vera = fabulum.customer("Vera Lund", shared);
    long otto = fabulum.customer("Otto Lund", shared);
    long id = text(shared, "hello");
    writes(id, vera, List.of(vera, otto));
    answer(id, "Hello Vera.");
    text(shared, "This is not my number, it is my brother's: wrong number");
    stopTexting(id);
    assertThat(objections(id)).contains("marked-wrong");
    writes(id, otto, List.of(vera, otto));
    assertThat(objections(id)).doesNotContain("marked-wrong");
    writes(id, vera, List.of(vera, otto));
    priya
        .put("/api/conversations/" + id + "/agreement/number", Map.of("wrong", false))
        .require(204);
    assertThat(objections(id)).doesNotContain("marked-wrong");
  }

  @Test
  void whoTextsTheCodeFromTheNumberItselfHasTheRightOne() {
    Vera vera = vera();
    text(vera.wrong(), "wrong number");
    stopTexting(vera.conversation());
    assertThat(objections(vera.conversation())).contains("marked-wrong");
    text(vera.wrong(), code());
    assertThat(holders(vera.wrong())).containsExactly("Vera Lund");
    assertThat(objections(vera.conversation())).doesNotContain("marked-wrong");
  }

  private void writes(long conversation, long customer, List<Long> seen) {
    priya
        .post(
            "/api/conversations/" + conversation + "/identify/holder",
            Map.of("customerId", customer, "scope", "CONVERSATION", "seen", seen))
        .require(200);
  }

  private List<String> objections(long conversation) {
    return priya
        .post("/api/conversations/" + conversation + "/texts/check", Map.of("words", "a text"))
        .require(200)
        .json()
        .path("objections")
        .valueStream()
        .map(each -> each.path("code").asString())
        .toList();
  }
}
