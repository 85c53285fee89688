package fabulum.server.messaging;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.access.Role;
import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.LiveReader;
import fabulum.server.testing.TwoTeams;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

/** Texts of a newcomer wait for a colleague's yes. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class SecondLookTest {
  private final TwoTeams office = TwoTeams.start();
  private final Fabulum fabulum = office.fabulum;
  private final Browser maren = fabulum.signedIn("maren");
  private final Browser priya = fabulum.signedIn("priya");
  private final Browser otto = fabulum.signedIn("otto");
  private final Browser newcomer = newcomer("tom");

  @AfterAll
  void stop() {
    office.close();
  }

  private Map<String, Object> setup(boolean secondLook, Set<String> permissions) {
    return Map.of(
        "role", "STAFF", "permissions", permissions, "teams", Set.of(1), "secondLook", secondLook);
  }

  private Answer set(String who, Map<String, Object> setup) {
    return maren.put("/api/setup/people/" + office.id(who), setup);
  }

  private Browser newcomer(String who) {
    set(who, setup(true, Set.of("TEXT"))).require(204);
    return fabulum.signedIn(who);
  }

  private String asked(String words) {
    return "customer: " + words;
  }

  private long conversation(String words) {
    return office.text(Fabulum.DOCK, asked(words));
  }

  private List<JsonNode> waiting(Browser by, long conversation) {
    List<JsonNode> waiting = new ArrayList<>();
    by.get("/api/conversations/" + conversation + "/second-looks")
        .require(200)
        .json()
        .forEach(waiting::add);
    return waiting;
  }

  private long lookAt(long conversation) {
    return waiting(maren, conversation).get(0).path("id").asLong();
  }

  private static Answer approve(Browser by, long look, String words) {
    return by.post("/api/second-looks/" + look + "/approve", Map.of("words", words));
  }

  private static Answer giveBack(Browser by, long look, String why) {
    return by.post("/api/second-looks/" + look + "/return", Map.of("why", why));
  }

  private String onDesk(Browser by) {
    return by.get("/api/desk").require(200).json().path("looks").toString();
  }

  private List<String> sent(long conversation) {
    List<String> sent = new ArrayList<>();
    maren
        .script(conversation)
        .forEach(entry -> {
          if (entry.path("kind").asString().equals("OUT")) {
            sent.add(entry.path("words").asString());
          }
        });
    return sent;
  }

  private JsonNode seenBy(Browser by, long conversation) {
    return by.get("/api/conversations/" + conversation).require(200).json();
  }

  @Test
  void nothingGoesBeforeAColleagueHasSaidYesAndThenInTheWritersName() {
    long id = conversation("is berth 4 free?");
    JsonNode answer = newcomer.answer(id, "It is free.").require(200).json();
    assertThat(answer.path("waitsForLook").asBoolean()).isTrue();
    assertThat(answer.path("text").isNumber()).isFalse();
    assertThat(sent(id)).isEmpty();
    assertThat(seenBy(maren, id).path("conversation").path("group").asString())
        .isEqualTo("OUR_TURN");
    assertThat(onDesk(priya)).contains("It is free.");
    assertThat(onDesk(otto)).doesNotContain("It is free.");

    long look = lookAt(id);
    assertThat(approve(newcomer, look, "It is free.").status()).isEqualTo(403);
    assertThat(approve(otto, look, "It is free.").status()).isEqualTo(404);
    assertThat(approve(priya, look, "Berth 4 is free.").require(200).json().path("text").isNumber())
        .isTrue();
    assertThat(sent(id)).containsExactly("Berth 4 is free.");
    JsonNode after = seenBy(maren, id).path("conversation");
    assertThat(after.path("group").asString()).isEqualTo("THEIR_TURN");
    assertThat(office.owner(id)).isEqualTo(office.id("tom"));
    assertThat(maren.script(id).toString()).contains("\"APPROVED\"").contains("Tom Ferry changed");
    assertThat(waiting(priya, id)).isEmpty();
    assertThat(approve(maren, look, "Berth 4 is free.").require(409).body())
        .contains("does not wait any more");
    assertThat(sent(id)).hasSize(1);
  }

  @Test
  void isReturnedWithAWordAndItsWordsAreADraftAgain() {
    long id = conversation("what does a lift cost?");
    try (LiveReader live = priya.live(null)) {
      live.next();
      newcomer.answer(id, "No idea.").require(200);
      live.await(message -> message.path("type").asString().equals("DESKS"));
    }
    assertThat(giveBack(priya, lookAt(id), " ").require(422).body()).contains("still waits");
    giveBack(priya, lookAt(id), "Please look it up first").require(204);

    assertThat(waiting(priya, id)).isEmpty();
    assertThat(sent(id)).isEmpty();
    assertThat(maren.script(id).toString())
        .contains("\"RETURNED\"")
        .contains("Please look it up first");
    assertThat(newcomer.get("/api/desk").json().path("drafts").toString()).contains("No idea.");
    assertThat(newcomer.get("/api/notices").body())
        .contains("Priya Nandakumar returned your text: “Please look it up first”");
  }

  @Test
  void isTakenBackByItsWriterOnly() {
    long id = conversation("can I come at ten?");
    newcomer.answer(id, "Come at ten.").require(200);
    String takeBack = "/api/second-looks/" + lookAt(id) + "/take-back";
    assertThat(priya.post(takeBack, null).status()).isEqualTo(403);
    newcomer.post(takeBack, null).require(204);
    assertThat(newcomer.post(takeBack, null).status()).isEqualTo(409);
    assertThat(newcomer.get("/api/desk").json().path("drafts").toString()).contains("Come at ten.");
    assertThat(waiting(maren, id)).isEmpty();
  }

  @Test
  void askedTwiceUnderOneReferenceWaitsOnceAlsoWhenItHasGone() {
    long id = conversation("are you open?");
    Map<String, Object> text =
        new HashMap<>(Map.of("words", "We are.", "reference", Fabulum.reference()));
    String texts = "/api/conversations/" + id + "/texts";
    newcomer.post(texts, text).require(200);
    newcomer.post(texts, text).require(200);
    assertThat(waiting(maren, id)).hasSize(1);
    text.put("words", "We are not.");
    assertThat(newcomer.post(texts, text).require(409).body()).contains("sent-with-other-words");
    text.put("words", "We are.");
    approve(maren, lookAt(id), "We are.").require(200);
    newcomer.post(texts, text).require(200);
    assertThat(waiting(maren, id)).isEmpty();
    assertThat(sent(id)).hasSize(1);
  }

  @Test
  void ofTwoWhoApproveAtOnceOneSendsIt() throws Exception {
    long id = conversation("is the crane free?");
    newcomer.answer(id, "It is.").require(200);
    long look = lookAt(id);
    ExecutorService both = Executors.newFixedThreadPool(2);
    try {
      List<Callable<Integer>> calls =
          List.of(
              () -> approve(maren, look, "It is.").status(),
              () -> approve(priya, look, "It is, yes.").status());
      List<Integer> statuses = new ArrayList<>();
      for (Future<Integer> one : both.invokeAll(calls)) {
        statuses.add(one.get());
      }
      assertThat(statuses).containsExactlyInAnyOrder(200, 409);
    } finally {
      both.shutdownNow();
    }
    assertThat(sent(id)).hasSize(1);
  }

  @Test
  void whatACustomerWroteOrAColleagueAnsweredMeanwhileIsSaid() {
    long id = conversation("when is my survey?");
    newcomer.answer(id, "On Friday.").require(200);
    long seen = maren.script(id).get(0).path("id").asLong();
    for (JsonNode entry : maren.script(id)) {
      seen = Math.max(seen, entry.path("id").asLong());
    }
    maren.answer(id, "On Thursday.").require(200);
    Map<String, Object> yes = Map.of("words", "On Friday.", "seen", seen);
    String approve = "/api/second-looks/" + lookAt(id) + "/approve";
    assertThat(priya.post(approve, yes).status()).isIn(409, 422);
    assertThat(sent(id)).containsExactly("On Thursday.");
    assertThat(waiting(maren, id)).hasSize(1);
  }

  @Test
  void whatMayNotGoWaitsOn() {
    long id = conversation("can you call me?");
    newcomer.answer(id, "We will call.").require(200);
    assertThat(approve(priya, lookAt(id), " ").require(422).body()).contains("may-not-be-sent");
    assertThat(waiting(priya, id).get(0).path("words").asString()).isEqualTo("We will call.");
    Map<String, Object> shorter = Map.of("words", "We call.");
    JsonNode check =
        priya.post("/api/second-looks/" + lookAt(id) + "/check", shorter).require(200).json();
    assertThat(check.path("verdict").asString()).isEqualTo("MAY_GO");
    assertThat(check.path("parts").path("parts").asInt()).isEqualTo(1);
  }

  @Test
  void aWriterWhoMayNotAnyMoreSendsNothing() {
    long id = conversation("is there a mooring?");
    long ada = office.add("ada", "Ada Late", Role.STAFF, 1);
    assertThat(ada).isPositive();
    Browser late = newcomer("ada");
    late.answer(id, "There is.").require(200);
    assertThat(approve(newcomer, lookAt(id), "There is.").require(403).body())
        .contains("Your own texts wait");
    set("ada", setup(false, Set.of("TEXT"))).require(204);
    assertThat(approve(late, lookAt(id), "There is.").require(403).body())
        .contains("Someone else has to look");
    set("ada", setup(true, Set.of())).require(204);
    assertThat(approve(priya, lookAt(id), "There is.").require(409).body())
        .contains("Ada Late may not text this customer any more");
    assertThat(sent(id)).isEmpty();
    giveBack(priya, lookAt(id), "Ask Maren").require(204);
  }

  @Test
  void suitsStaffWhoDoNotTextManyAndIsInTheAccessLog() {
    assertThat(set("ines", setup(true, Set.of("TEXT", "SEND_TO_MANY"))).require(422).body())
        .contains("cannot text many customers at once");
    Map<String, Object> lead = new HashMap<>(setup(true, Set.of("TEXT")));
    lead.put("role", "LEAD");
    assertThat(set("ines", lead).require(422).body()).contains("Only texts of staff");
    // Who does not say it does not change it.
    Map<String, Object> silent = new HashMap<>(setup(true, Set.of("TEXT")));
    silent.remove("secondLook");
    set("tom", silent).require(204);
    assertThat(newcomer.get("/api/session").json().path("page").path("secondLook").asBoolean())
        .isTrue();
    assertThat(maren.get("/api/setup/record").body()).contains("second look");
  }
}
