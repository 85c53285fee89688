package fabulum.server.inbox;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

/** Notes with a person and a time. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ToDoTest {
  private final TwoTeams office = TwoTeams.start();
  private final Fabulum fabulum = office.fabulum;
  private final Browser maren = fabulum.signedIn("maren");
  private final Browser priya = fabulum.signedIn("priya");

  @AfterAll
  void stop() {
    office.close();
  }

  private Instant in(long hours) {
    return fabulum.clock.instant().plus(Duration.ofHours(hours));
  }

  private Answer ask(Browser by, long conversation, String words, String who, Instant at) {
    Map<String, Object> note = new HashMap<>();
    note.put("words", words);
    note.put("reference", Fabulum.reference());
    note.put("toDo", Map.of("staff", office.id(who), "at", at.toString()));
    return by.post("/api/conversations/" + conversation + "/notes", note);
  }

  private JsonNode open(Browser by, long conversation) {
    return by.get("/api/conversations/" + conversation + "/to-dos").require(200).json();
  }

  private long noteOf(long conversation) {
    return open(maren, conversation).get(0).path("note").asLong();
  }

  private static @Nullable JsonNode onDesk(Browser by, String words) {
    for (JsonNode one : by.get("/api/desk").require(200).json().path("toDos")) {
      if (one.path("toDo").path("words").asString().equals(words)) {
        return one;
      }
    }
    return null;
  }

  private JsonNode conversation(long id) {
    return maren.get("/api/conversations/" + id).require(200).json().path("conversation");
  }

  private boolean isBack(long id) {
    return fabulum.becomes(() -> conversation(id).path("back").asString("").equals("TO_DO"));
  }

  @Test
  void bringsItsConversationBackOnTheDayAndIsTickedOff() {
    long id = office.text(Fabulum.DOCK, "please call me on thursday");
    priya.answer(id, "We will.").require(200);
    ask(priya, id, "Call back about the lift", "priya", in(2)).require(204);
    maren.post("/api/conversations/" + id + "/done", Map.of()).require(200);
    assertThat(conversation(id).path("group").asString()).isEqualTo("DONE");
    assertThat(onDesk(priya, "Call back about the lift")).isNotNull();
    assertThat(onDesk(maren, "Call back about the lift")).isNull();

    fabulum.clock.advance(Duration.ofHours(2));
    assertThat(isBack(id)).isTrue();
    assertThat(conversation(id).path("group").asString()).isEqualTo("OUR_TURN");
    assertThat(maren.script(id).toString()).contains("TO_DO Call back about the lift");
    assertThat(priya.get("/api/notices").body()).contains("To do: Call back about the lift");

    long note = noteOf(id);
    priya.post("/api/to-dos/" + note + "/done", null).require(204);
    priya.post("/api/to-dos/" + note + "/done", null).require(204);
    assertThat(conversation(id).path("group").asString()).isEqualTo("THEIR_TURN");
    assertThat(onDesk(priya, "Call back about the lift")).isNull();
    assertThat(open(maren, id).size()).isZero();
    priya.call("DELETE", "/api/to-dos/" + note + "/done", null).require(204);
    assertThat(open(maren, id).size()).isEqualTo(1);
  }

  @Test
  void aCustomerWhoWaitsGoesOnWaitingWhenItIsTickedOff() {
    long id = office.text(Fabulum.DOCK, "where is my mast");
    String since = conversation(id).path("waitingSince").asString("");
    ask(priya, id, "Look for the mast", "maren", in(1)).require(204);
    fabulum.clock.advance(Duration.ofHours(1));
    assertThat(isBack(id)).isTrue();
    maren.post("/api/to-dos/" + noteOf(id) + "/done", null).require(204);
    assertThat(conversation(id).path("group").asString()).isEqualTo("OUR_TURN");
    assertThat(conversation(id).path("waitingSince").asString("")).isEqualTo(since);
  }

  @Test
  void isAskedOnlyOfThoseWhoSeeTheConversationAndInTheFuture() {
    long id = office.text(Fabulum.DOCK, "hello");
    assertThat(ask(priya, id, "x", "otto", in(1)).require(422).body())
        .contains("Otto Farr does not see this conversation. Nothing was added.");
    assertThat(ask(priya, id, "x", "maren", in(-1)).require(422).body())
        .contains("That time has passed already. Nothing was added.");
    assertThat(maren.script(id).size()).isEqualTo(1);
    assertThat(ask(fabulum.signedIn("vera"), id, "x", "maren", in(1)).status()).isEqualTo(403);
  }

  @Test
  void comesBackOnceAndAgainAtAnotherTime() {
    long id = office.text(Fabulum.DOCK, "hm");
    ask(priya, id, "Again", "priya", in(1)).require(204);
    fabulum.clock.advance(Duration.ofHours(1));
    assertThat(isBack(id)).isTrue();
    priya.answer(id, "Later.").require(200);
    Map<String, Object> later = Map.of("staff", office.id("maren"), "at", in(3).toString());
    priya.put("/api/to-dos/" + noteOf(id), later).require(204);
    assertThat(conversation(id).path("group").asString()).isEqualTo("THEIR_TURN");
    assertThat(onDesk(maren, "Again")).isNotNull();
    fabulum.clock.advance(Duration.ofHours(3));
    assertThat(isBack(id)).isTrue();
    long backs =
        maren.script(id).valueStream().filter(e -> e.toString().contains("TO_DO Again")).count();
    assertThat(backs).isEqualTo(2);
  }

  @Test
  void goesWithItsNoteAndTheDeskShowsWhatWasBegun() {
    long id = office.text(Fabulum.DOCK, "hey");
    ask(priya, id, "Soon gone", "priya", in(5)).require(204);
    long note = noteOf(id);
    priya.call("DELETE", "/api/conversations/" + id + "/notes/" + note, null).require(204);
    assertThat(open(maren, id).size()).isZero();

    Map<String, Object> draft = Map.of("words", "Begun here " + id);
    priya.put("/api/conversations/" + id + "/drafts/REPLY", draft).require(204);
    assertThat(priya.get("/api/desk").json().path("drafts").toString())
        .contains("Begun here " + id);
    assertThat(maren.get("/api/desk").json().path("drafts").toString())
        .doesNotContain("Begun here " + id);
  }
}
