package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.access.Role;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.LiveReader;
import fabulum.server.testing.TwoTeams;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

/** A colleague of another team who is brought into one conversation. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class BroughtInTest {
  private final TwoTeams office = TwoTeams.start();
  private final Fabulum fabulum = office.fabulum;
  private final Browser priya = fabulum.signedIn("priya");
  private final Browser otto = fabulum.signedIn("otto");
  private final long ottoId = office.id("otto");
  private String number = "";
  private long id;

  @BeforeEach
  void somebodyWrites() {
    number = fabulum.freshNumber();
    fabulum.webhook().text(number, Fabulum.DOCK, "About my boat").require(200);
    id = priya.conversationOf(number).path("id").asLong();
  }

  @AfterAll
  void stop() {
    office.close();
  }

  private String guest() {
    return at() + "/guests/" + ottoId;
  }

  private String at() {
    return "/api/conversations/" + id;
  }

  private void bringIn(boolean mayAnswer) {
    priya.put(guest(), Map.of("mayAnswer", mayAnswer)).require(204);
  }

  private Map<String, Object> note(String words) {
    return Map.of("words", words, "reference", Fabulum.reference());
  }

  private List<String> script() {
    return StreamSupport.stream(priya.script(id).spliterator(), false)
        .map(entry -> entry.path("event").asString("") + entry.path("words").asString(""))
        .toList();
  }

  private boolean lists(Browser who) {
    JsonNode page = who.get("/api/conversations?group=OUR_TURN&limit=100").require(200).json();
    return page.toString().contains("\"address\":\"" + number + "\"");
  }

  private int ourTurn(Browser who) {
    return who.get("/api/conversations/counts").require(200).json().path("ourTurn").asInt();
  }

  @Test
  void theySeeThisOneConversationEverywhereAndNoOther() {
    String other = fabulum.freshNumber();
    fabulum.webhook().text(other, Fabulum.DOCK, "Not for Otto").require(200);
    int before = ourTurn(otto);
    assertThat(otto.get(at()).status()).isEqualTo(404);
    assertThat(lists(otto)).isFalse();

    bringIn(false);
    assertThat(otto.get(at()).require(200).json().path("myPart").asString()).isEqualTo("NOTES");
    assertThat(lists(otto)).isTrue();
    assertThat(ourTurn(otto)).isEqualTo(before + 1);
    assertThat(otto.conversationOf(number).path("id").asLong()).isEqualTo(id);
    assertThat(otto.get("/api/conversations/jump?words=" + other.substring(1)).json()).isEmpty();
    JsonNode dossier = priya.get(at()).require(200).json();
    assertThat(dossier.path("guests").get(0).path("staff").path("name").asString())
        .isEqualTo("Otto Farr");
    assertThat(dossier.path("myPart").isMissingNode() || dossier.path("myPart").isNull()).isTrue();
    assertThat(script()).contains("BROUGHT_IN");
    assertThat(otto.get("/api/notices").require(200).json().toString())
        .contains("Priya Nandakumar brought you into this conversation.");
  }

  @Test
  void theyWriteNotesAndDoNothingElse() {
    bringIn(false);
    otto.post(at() + "/notes", note("The yard says Thursday.")).require(204);
    assertThat(script()).contains("The yard says Thursday.");
    for (String act : List.of("/take", "/done", "/let-go", "/no-answer-needed")) {
      assertThat(otto.post(at() + act, Map.of()).status()).as(act).isEqualTo(403);
    }
    assertThat(otto.post(at() + "/hand-over", Map.of("person", ottoId)).status()).isEqualTo(403);
    assertThat(otto.put(at() + "/guests/" + office.id("ines"), Map.of("mayAnswer", true)).status())
        .isEqualTo(403);
    assertThat(otto.answer(id, "I answer").json().path("detail").asString())
        .isEqualTo(
            "You were brought in to write notes. Who brought you in can let you answer. Nothing was sent.");
    assertThat(script()).noneMatch(words -> words.contains("I answer"));
  }

  @Test
  void whoMayAnswerAnswersAndItStaysTheTeams() {
    bringIn(true);
    otto.answer(id, "Thursday at nine").require(200);
    assertThat(script()).contains("Thursday at nine");
    JsonNode row = priya.get(at()).require(200).json().path("conversation");
    assertThat(row.path("group").asString()).isEqualTo("THEIR_TURN");
    assertThat(row.path("owner").isMissingNode() || row.path("owner").isNull())
        .as("a guest's answer does not make it theirs")
        .isTrue();
    bringIn(false);
    assertThat(otto.answer(id, "Once more").status()).isEqualTo(403);
    assertThat(script().stream().filter("BROUGHT_IN"::equals)).as("said once").hasSize(1);
  }

  @Test
  void letOutOrDoneTheySeeItNoMoreAndTheirPageIsTold() {
    bringIn(false);
    LiveReader live = otto.live(null);
    priya.call("DELETE", guest(), null).require(204);
    live.await(message -> message.path("type").asString().equals("GONE"));
    assertThat(otto.get(at()).status()).isEqualTo(404);
    assertThat(lists(otto)).isFalse();
    assertThat(script()).contains("LET_OUT");
    bringIn(false);
    priya.post(at() + "/done", Map.of()).require(200);
    assertThat(otto.get(at()).status()).isEqualTo(404);
    assertThat(priya.get(at()).require(200).json().path("guests")).isEmpty();
    assertThat(priya.put(guest(), Map.of("mayAnswer", false)).problem()).isEqualTo("bad-fields");
  }

  @Test
  void theyMayLeaveByThemselvesAndNobodyElseCanBringThemIn() {
    bringIn(false);
    otto.call("DELETE", guest(), null).require(204);
    assertThat(otto.get(at()).status()).isEqualTo(404);
    assertThat(otto.put(guest(), Map.of("mayAnswer", true)).status()).isEqualTo(404);
    assertThat(fabulum.signedIn("vera").put(guest(), Map.of("mayAnswer", true)).status())
        .as("who only looks on")
        .isEqualTo(403);
  }

  @Test
  void aGuestLetsNoOtherGuestOutAndWhoOnlyLooksOnIsNotBroughtIn() {
    bringIn(true);
    String other = at() + "/guests/" + office.id("ines");
    priya.put(other, Map.of("mayAnswer", false)).require(204);
    assertThat(otto.call("DELETE", other, null).status()).isEqualTo(403);
    fabulum.signedIn("ines").get(at()).require(200);
    long looks = office.add("lars", "Lars Looker", Role.VIEWER, office.farTeam);
    assertThat(priya.put(at() + "/guests/" + looks, Map.of("mayAnswer", false)).body())
        .contains("Lars Looker does not work on conversations.");
  }

  @Test
  void onlyWhoDoesNotSeeItAnywayIsOffered() {
    JsonNode offered = priya.get(at() + "/guests").require(200).json();
    assertThat(offered.valueStream().map(one -> one.path("name").asString()))
        .containsExactlyInAnyOrder("Otto Farr", "Ines Weit");
    long tom = office.id("tom");
    assertThat(
            priya
                .put(at() + "/guests/" + tom, Map.of("mayAnswer", false))
                .json()
                .path("fields")
                .get(0)
                .path("why")
                .asString())
        .isEqualTo("Tom Ferry sees this conversation already.");
  }
}
