package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.OnSharedProgram;
import fabulum.server.testing.Webhook;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** One act on several conversations, and writing to someone unasked. */
@OnSharedProgram
class SeveralTest {
  private final Fabulum fabulum;
  private final Browser maren;
  private final Webhook webhook;

  SeveralTest(Fabulum fabulum) {
    this.fabulum = fabulum;
    this.maren = fabulum.signedIn("maren");
    this.webhook = fabulum.webhook();
  }

  private long waiting(String from, String line) {
    webhook.text(from, line, "hello").require(200);
    Long id =
        fabulum.tables.queryForObject(
            "select c.id from conversation c join number n on n.id = c.number_id"
                + " join line l on l.id = c.line_id where n.address = ? and l.number = ?",
            Long.class,
            from,
            line);
    return Objects.requireNonNull(id);
  }

  private JsonNode begin(Map<String, Object> act, String reference) {
    return maren
        .post("/api/several", Map.of("act", act, "reference", reference))
        .require(200)
        .json();
  }

  private JsonNode finished(JsonNode batch) {
    long id = batch.path("id").asLong();
    String finished = "select count(*) from batch where finished and id = " + id;
    assertThat(fabulum.comesTo(finished, "1")).isTrue();
    return maren.get("/api/several/" + id).require(200).json();
  }

  private String group(long id) {
    return maren
        .get("/api/conversations/" + id)
        .json()
        .path("conversation")
        .path("group")
        .asString();
  }

  @Test
  void everyoneGetsTheTextOnceAndTheSkippedAreNamedBefore() {
    String shared = fabulum.freshNumber();
    List<Long> ids = new ArrayList<>();
    ids.add(waiting(shared, Fabulum.DOCK));
    ids.add(waiting(shared, Fabulum.YARD));
    ids.add(waiting(fabulum.freshNumber(), Fabulum.DOCK));
    webhook.text("GULLNEWS", Fabulum.DOCK, "Offers!").require(200);
    ids.add(maren.get("/api/conversations/jump?words=GULLNEWS").json().get(0).path("id").asLong());
    String words = "We close at noon, " + Fabulum.reference();
    Map<String, Object> act = Map.of("ids", ids, "what", "TEXT", "words", words);

    JsonNode check = maren.post("/api/several/check", act).require(200).json();
    assertThat(check.path("will").asInt()).isEqualTo(2);
    assertThat(check.path("skipped").valueStream().map(skip -> skip.path("why").asString()))
        .containsExactlyInAnyOrder(
            "This number already gets it, in another conversation.",
            "This sender is a name or short code, not a phone number, so it cannot be answered.");
    String reference = Fabulum.reference();
    JsonNode batch = finished(begin(act, reference));
    begin(act, reference);
    fabulum.network.awaitHanded(words, 2, () -> {});

    assertThat(batch.path("done").asInt()).isEqualTo(2);
    assertThat(batch.path("skipped").size()).isEqualTo(2);
    assertThat(batch.has("undo")).as("a text that went is not taken back").isFalse();
    assertThat(fabulum.network.timesHanded(words)).as("begun twice, sent once").isEqualTo(2);
  }

  @Test
  void allThatASentenceMeansIsDoneAndTakenBackTogether() {
    String word = "w" + Fabulum.reference().substring(0, 8);
    List<Long> ids = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      String from = fabulum.freshNumber();
      long id = waiting(from, Fabulum.YARD);
      webhook.text(from, Fabulum.YARD, "about " + word).require(200);
      ids.add(id);
    }
    maren.post("/api/conversations/" + ids.get(0) + "/done", null).require(200);
    Map<String, Object> act =
        Map.of("group", "OUR_TURN", "sentence", "saying " + word, "what", "DONE");
    JsonNode batch = finished(begin(act, Fabulum.reference()));
    assertThat(batch.path("done").asInt()).isEqualTo(4);
    assertThat(ids).allMatch(id -> group(id).equals("DONE"));

    Answer undone = maren.post("/api/undo/" + batch.path("undo").asString(), null).require(200);
    assertThat(undone.json().path("undone").asInt()).isEqualTo(4);
    assertThat(ids.subList(1, 5)).allMatch(id -> group(id).equals("OUR_TURN"));
    Map<String, Object> aside = Map.of("ids", ids, "what", "SET_ASIDE", "moment", "TOMORROW");
    assertThat(maren.post("/api/several/check", aside).json().path("skipped").get(0).path("why"))
        .hasToString("\"It is done.\"");
  }

  @Test
  void whatWasLeftOfItWhenTheProgramEndedIsDoneAtTheNextStart(@TempDir Path folder) {
    String from = "+13125550177";
    long left;
    long again;
    try (Fabulum before = Fabulum.startInBusiness(folder)) {
      Browser lead = before.signedIn("maren");
      before.webhook().text(from, Fabulum.DOCK, "one").require(200);
      before.webhook().text("+13125550178", Fabulum.DOCK, "two").require(200);
      left = lead.conversationOf(from).path("id").asLong();
      again = lead.conversationOf("+13125550178").path("id").asLong();
      Map<String, Object> act = Map.of("ids", List.of(left, again), "what", "DONE");
      lead.post("/api/several", Map.of("act", act, "reference", Fabulum.reference())).require(200);
      assertThat(before.comesTo("select count(*) from batch where finished", "1")).isTrue();
      // As it stands in the tables when the process dies between the two.
      lead.post("/api/conversations/" + left + "/reopen", null).require(200);
      before.tables.update("update batch set finished = false");
      before.tables.update(
          "update batch_item set outcome = 'PENDING' where conversation_id = ?", left);
    }
    try (Fabulum after = Fabulum.start(folder)) {
      assertThat(after.comesTo("select count(*) from batch where finished", "1")).isTrue();
      Browser lead = after.signedIn("maren");
      assertThat(lead.get("/api/conversations/" + left).json().path("conversation").path("group"))
          .hasToString("\"DONE\"");
      assertThat(lead.script(again).valueStream().filter(one -> one.has("event"))).hasSize(1);
    }
  }

  @Test
  void whatCameInSinceItBeganIsSkippedAndNamed(@TempDir Path folder) {
    String from = "+13125550177";
    try (Fabulum before = Fabulum.startInBusiness(folder)) {
      before.webhook().text(from, Fabulum.DOCK, "thanks").require(200);
      Browser lead = before.signedIn("maren");
      long id = lead.conversationOf(from).path("id").asLong();
      Map<String, Object> act = Map.of("ids", List.of(id), "what", "DONE");
      lead.post("/api/several", Map.of("act", act, "reference", Fabulum.reference())).require(200);
      assertThat(before.comesTo("select count(*) from batch where finished", "1")).isTrue();
      // As it stands in the tables when the process dies before it, and the customer writes then.
      before.webhook().text(from, Fabulum.DOCK, "but is it safe?").require(200);
      before.tables.update("update batch set finished = false");
      before.tables.update("update batch_item set outcome = 'PENDING'");
    }
    try (Fabulum after = Fabulum.start(folder)) {
      assertThat(after.comesTo("select count(*) from batch where finished", "1")).isTrue();
      Browser lead = after.signedIn("maren");
      assertThat(lead.conversationOf(from).path("group").asString()).isEqualTo("OUR_TURN");
      JsonNode skipped = lead.get("/api/several/1").require(200).json().path("skipped");
      assertThat(skipped.get(0).path("why").asString()).contains("but is it safe?");
    }
  }

  @Test
  void wordsToSeveralAreKeptWithTheirReferenceUntilTheyWent() {
    String reference = Fabulum.reference();
    Map<String, Object> begun = Map.of("words", "We close at noon", "reference", reference);
    maren.put("/api/several/draft", begun).require(204);
    JsonNode kept = maren.get("/api/several/draft").require(200).json().path("begun");
    assertThat(kept.path("words").asString()).isEqualTo("We close at noon");
    assertThat(kept.path("reference").asString()).isEqualTo(reference);
    assertThat(fabulum.signedIn("priya").get("/api/several/draft").json().has("begun")).isFalse();

    long id = waiting(fabulum.freshNumber(), Fabulum.DOCK);
    Map<String, Object> act =
        Map.of("ids", List.of(id), "what", "TEXT", "words", "We close at noon");
    finished(begin(act, reference));
    assertThat(maren.get("/api/several/draft").json().has("begun")).isFalse();
  }

  @Test
  void nothingChosenAndNothingSaidAreRefused() {
    Map<String, Object> none = Map.of("ids", List.of(), "what", "DONE");
    assertThat(maren.post("/api/several/check", none).require(422).json().path("detail").asString())
        .isEqualTo("Nothing is selected.");
    Map<String, Object> silent = Map.of("ids", List.of(1), "what", "TEXT", "words", " ");
    maren.post("/api/several/check", silent).require(422);
    maren.post("/api/several/check", Map.of("ids", List.of(1), "what", "TOPIC")).require(422);
    maren.get("/api/several/98765").require(404);
  }

  private JsonNode open(String number, boolean make, String name) {
    return maren
        .post(
            "/api/write-to",
            Map.of("line", 1, "number", number, "makeCustomer", make, "name", name))
        .require(200)
        .json();
  }

  @Test
  void writingToANewNumberBeginsOneConversationAndMakesTheCustomer() {
    String number = fabulum.freshNumber();
    String typed = "(" + number.substring(2, 5) + ") 555-" + number.substring(8);
    JsonNode found =
        maren.get("/api/write-to?line=1&words=" + typed.replace(" ", "%20")).require(200).json();
    assertThat(found.path("number").asString()).isEqualTo(number);
    long id = open(typed, true, "").path("id").asLong();
    assertThat(open(typed, true, "Somebody else").path("id").asLong()).isEqualTo(id);
    assertThat(group(id)).isEqualTo("BLANK");
    JsonNode dossier = maren.get("/api/conversations/" + id).json();
    assertThat(dossier.path("customer").path("name").asString())
        .as("the number is name enough")
        .isEqualTo(typed);

    maren.answer(id, "Good morning").require(200);
    assertThat(group(id)).isEqualTo("THEIR_TURN");
    assertThat(maren.get("/api/write-to?line=1&words=" + number.substring(2)).json().path("people"))
        .anySatisfy(person ->
            assertThat(person.path("conversations").get(0).path("id").asLong()).isEqualTo(id));
  }

  @Test
  void aConversationThatIsThereIsOpenedAndAnImpossibleNumberIsRefused() {
    String number = fabulum.freshNumber();
    long id = waiting(number, Fabulum.DOCK);
    assertThat(open(number, false, "").path("id").asLong()).isEqualTo(id);
    Answer refused =
        maren
            .post("/api/write-to", Map.of("line", 1, "number", "555-01", "makeCustomer", true))
            .require(422);
    assertThat(refused.json().path("detail").asString())
        .isEqualTo("Not a valid phone number: digits are missing. Nothing was made.");
  }
}
