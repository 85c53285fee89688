package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.LiveReader;
import fabulum.server.testing.TwoTeams;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestInstance.Lifecycle;

@TestInstance(Lifecycle.PER_CLASS)
class PeopleTest {
  private static final Map<String, String> MARK = Map.of("shape", "KNOT", "ink", "PLUM");

  private TwoTeams office;
  private Browser maren;

  @BeforeAll
  void begin() {
    office = TwoTeams.start();
    maren = office.fabulum.signedIn("maren");
  }

  @AfterAll
  void end() {
    office.close();
  }

  private long invite(String name, String email) {
    Map<String, Object> setup =
        Map.of("role", "STAFF", "permissions", List.of("TEXT"), "teams", List.of(1));
    return maren
        .post("/api/setup/people", Map.of("name", name, "email", email, "setup", setup))
        .require(200)
        .json()
        .path("id")
        .asLong();
  }

  /** The secret of the newest link that was mailed to an address. */
  private String secret(String email) {
    String words =
        String.valueOf(
            office.fabulum.tables.queryForObject(
                "select words from mail where address = ? order by id desc fetch first 1 row only",
                String.class,
                email));
    Matcher link = Pattern.compile("/invitation/(\\S+)").matcher(words);
    assertThat(link.find()).isTrue();
    return link.group(1);
  }

  private Answer accept(String secret, String name, String password) {
    Browser browser = office.fabulum.browser();
    browser.get("/api/session");
    return browser.post(
        "/api/invitations/" + secret,
        Map.of("name", name, "initials", "AB", "mark", MARK, "password", password));
  }

  @Test
  void whoIsAskedInComesByALinkThatWorksOnce() {
    long id = invite("Ada Birch", "ada@quillhaven.example");
    String secret = secret("ada@quillhaven.example");
    office.fabulum.browser().signIn("ada@quillhaven.example", "").require(422);
    assertThat(office.fabulum.browser().get("/api/invitations/" + secret).require(200).body())
        .contains("Ada Birch");

    assertThat(accept(secret, "Ada Birch", "password12").require(422).body())
        .contains("too common");
    accept(secret, "Ada Birch", "seven small boats").require(200);
    Answer again = accept(secret, "Ada Birch", "seven small boats").require(410);
    assertThat(again.json().path("detail").asString()).startsWith("This link was used already.");

    Browser ada = office.fabulum.browser();
    ada.signIn("ADA@quillhaven.example", "seven small boats").require(200);
    assertThat(ada.get("/api/session").body()).contains("\"shape\":\"KNOT\"");
    assertThat(ada.get("/api/lines").body()).contains("Dock office").doesNotContain("Far line");
    assertThat(maren.get("/api/setup/people").body()).contains("ada@quillhaven.example");
    assertThat(
            office.fabulum.tables.queryForObject(
                "select standing from staff where id = ?", String.class, id))
        .isEqualTo("ACTIVE");
  }

  @Test
  void aLinkEndsAfterThreeDaysAndWhenANewOneIsSent() {
    long id = invite("Cleo Dunn", "cleo@quillhaven.example");
    String first = secret("cleo@quillhaven.example");
    Answer again = maren.post("/api/setup/people/" + id + "/invitation", null).require(200);
    assertThat(again.json().path("link").asString())
        .as("there is no mail server to bring it")
        .endsWith("/invitation/" + secret("cleo@quillhaven.example"));
    String second = secret("cleo@quillhaven.example");
    office.fabulum.browser().get("/api/invitations/" + first).require(410);
    office.fabulum.browser().get("/api/invitations/" + second).require(200);
    office.fabulum.clock.advance(Duration.ofDays(3));
    assertThat(
            accept(second, "Cleo Dunn", "seven small boats")
                .require(410)
                .json()
                .path("detail")
                .asString())
        .isEqualTo("This link has expired. Ask a lead for a new one.");
  }

  @Test
  void whatCannotBeIsSaidAllAtOnce() {
    Map<String, Object> setup =
        Map.of("role", "VIEWER", "permissions", List.of("TEXT"), "teams", List.of(99), "limit", 0);
    Answer person = maren.put("/api/setup/people/" + office.id("tom"), setup).require(422);
    assertThat(person.json().path("fields")).hasSize(3);
    Answer invited =
        maren
            .post(
                "/api/setup/people",
                Map.of("name", " ", "email", "nowhere", "setup", Map.of("role", "STAFF")))
            .require(422);
    assertThat(invited.json().path("fields")).hasSize(2);
  }

  @Test
  void theLastLeadStaysALeadAndStays() {
    Answer demoted =
        maren
            .put(
                "/api/setup/people/" + office.id("maren"),
                Map.of("role", "STAFF", "teams", List.of(1)))
            .require(409);
    assertThat(demoted.problem()).isEqualTo("last-lead");
    Answer off =
        maren.post("/api/office/people/" + office.id("maren") + "/off", Map.of()).require(409);
    assertThat(off.json().path("detail").asString())
        .isEqualTo(
            "Maren Oduya is the only lead. Make someone else a lead first. Nothing was changed.");
  }

  @Test
  void whatSomebodyMayChangesAtOnceAndStandsInARecordThatNobodyCanChange() {
    Browser tom = office.fabulum.signedIn("tom");
    String path = "/api/setup/people/" + office.id("tom");
    long id = office.text(Fabulum.DOCK, "for Tom");
    tom.post("/api/conversations/" + id + "/take", Map.of()).require(200);
    maren
        .put(
            path,
            Map.of(
                "role", "STAFF", "permissions", List.of("TEXT"), "teams", List.of(office.farTeam)))
        .require(204);
    tom.get("/api/conversations/" + id).require(404);
    assertThat(office.owner(id)).as("what he no longer sees is nobody's").isZero();
    maren
        .put(path, Map.of("role", "STAFF", "permissions", List.of("TEXT"), "teams", List.of(1)))
        .require(204);
    tom.get("/api/conversations/" + id).require(200);

    String record = maren.get("/api/setup/record?words=Tom").require(200).body();
    assertThat(record)
        .contains("\"before\":\"Front office\",\"after\":\"Far team\"", "Maren Oduya");
    Answer file = maren.get("/api/setup/record.csv?words=Tom").require(200);
    assertThat(file.body())
        .startsWith("\"at\",\"by\",\"about\"")
        .contains("\"Tom Ferry\",\"teams\",\"Front office\",\"Far team\"");
    assertThatThrownBy(() -> office.fabulum.tables.update("update access_record set after = 'x'"))
        .hasMessageContaining("stays as it is");
    assertThatThrownBy(() -> office.fabulum.tables.update("delete from access_record"))
        .hasMessageContaining("stays as it is");
  }

  @Test
  void aNewPasswordEndsTheOtherSignInsAndSignInsAreOnRecord() {
    Browser here = office.fabulum.signedIn("ines");
    Browser there = office.fabulum.signedIn("ines");
    assertThat(here.get("/api/me/sign-ins").json().path("signIns")).hasSize(2);
    here.put("/api/session/password", Map.of("old", Fabulum.PASSWORD, "wanted", "six brown ducks"))
        .require(200);
    there.get("/api/lines").require(401);
    here.get("/api/lines").require(200);
    office.fabulum.browser().signIn("ines", "wrong").require(401);
    String record = maren.get("/api/setup/sign-ins").require(200).body();
    assertThat(record).contains("\"outcome\":\"WRONG\"", "\"outcome\":\"IN\"");
  }

  @Test
  void aProfileIsOnesOwn() {
    Browser otto = office.fabulum.signedIn("otto");
    otto.put("/api/me/profile", Map.of("name", "Otto von Farr", "initials", "OVF", "mark", MARK))
        .require(204);
    assertThat(maren.get("/api/staff").body()).contains("Otto von Farr");
    assertThat(
            otto.put("/api/me/profile", Map.of("name", "", "initials", "FOUR", "mark", MARK))
                .require(422)
                .json()
                .path("fields"))
        .hasSize(2);
  }

  @Test
  void teamsAreAddedAndRenamedAndNoTwoAreCalledTheSame() {
    long id =
        maren
            .post("/api/setup/teams", Map.of("name", "Night watch"))
            .require(200)
            .json()
            .path("id")
            .asLong();
    maren.put("/api/setup/teams/" + id, Map.of("name", "Evening watch")).require(204);
    assertThat(maren.get("/api/teams").body())
        .contains("Evening watch")
        .doesNotContain("Night watch");
    for (String name : List.of("evening WATCH", "Front office", " ", "x".repeat(61))) {
      assertThat(maren.post("/api/setup/teams", Map.of("name", name)).status())
          .as(name)
          .isEqualTo(422);
    }
    assertThat(maren.get("/api/setup/record?words=watch").body())
        .contains("team Night watch", "Evening watch");
  }

  @Test
  void guessesAreSlowedByAccountAndByAddress() {
    // An office of its own, for all tests come from one address.
    try (TwoTeams guessed = TwoTeams.start()) {
      Browser guesser = guessed.fabulum.browser();
      for (int i = 0; i < 4; i++) {
        guesser.signIn("vera", "a guess").require(401);
      }
      assertThat(guesser.signIn("vera", Fabulum.PASSWORD).require(429).header("Retry-After"))
          .isPresent();
      guesser.signIn("tom", Fabulum.PASSWORD).require(200);
      guessed.fabulum.clock.advance(Duration.ofMinutes(1));
      guesser.signIn("vera", Fabulum.PASSWORD).require(200);
      for (int i = 0; i < 30; i++) {
        guesser.signIn("nobody" + i, "a guess");
      }
      assertThat(guesser.signIn("tom", Fabulum.PASSWORD).status())
          .as("from the same address")
          .isEqualTo(429);
      guessed.fabulum.clock.advance(Duration.ofMinutes(6));
      guesser.signIn("tom", Fabulum.PASSWORD).require(200);
    }
  }

  @Test
  void aViewerReadsAndTheirSentenceIsTheirOwn() {
    Browser vera = office.fabulum.signedIn("vera");
    Map<String, Object> own =
        Map.of("name", "late ones", "said", "left ..0", "group", "OUR_TURN", "order", "TIME_LEFT");
    long id = vera.post("/api/sentences", own).require(200).json().path("id").asLong();
    assertThat(vera.get("/api/sentences").body()).contains("late ones");
    assertThat(maren.get("/api/sentences").body()).doesNotContain("late ones");
    vera.call("DELETE", "/api/sentences/" + id, null).require(204);
  }

  /** What is told of people and set-up until all have to read again so often. */
  private static List<String> heard(LiveReader reader, int readAgain) {
    List<String> types = new ArrayList<>();
    while (Collections.frequency(types, "READ_AGAIN") < readAgain) {
      String type = reader.next().type();
      if (Set.of("PEOPLE", "SET_UP", "READ_AGAIN").contains(type)) {
        types.add(type);
      }
    }
    return types;
  }

  /** Listens once all that was done before has been told. */
  private LiveReader listening(String name, String line) {
    LiveReader reader = office.fabulum.signedIn(name).live(null);
    long id = office.text(line, name + " listens");
    reader.await(message -> message.path("conversation").path("id").asLong() == id);
    return reader;
  }

  @Test
  void onlyThoseWhomItConcernsReadEverythingAgain() {
    try (LiveReader priya = listening("priya", Fabulum.DOCK);
        LiveReader otto = listening("otto", TwoTeams.FAR)) {
      maren
          .put(
              "/api/setup/people/" + office.id("otto"),
              Map.of(
                  "role",
                  "STAFF",
                  "permissions",
                  List.of("TEXT", "EXPORT"),
                  "teams",
                  List.of(office.farTeam)))
          .require(204);
      maren.post("/api/setup/teams", Map.of("name", "Nobody yet")).require(200);
      Map<String, Object> line = new HashMap<>();
      line.put("name", "Farther line");
      line.put("number", "(920) 555-0181");
      line.put("region", "US");
      line.put("siteId", 1);
      line.put("teamId", office.farTeam);
      line.put("zone", "America/Chicago");
      line.put("inUse", true);
      line.put("promiseMinutes", 60);
      line.put("week", List.of());
      line.put("closedDays", List.of());
      line.put("openHolidays", List.of());
      line.put("narrowed", false);
      long id = maren.post("/api/setup/lines", line).require(200).json().path("id").asLong();
      line.put("teamId", 1);
      maren.put("/api/setup/lines/" + id, line).require(200);
      assertThat(heard(priya, 1)).containsExactly("PEOPLE", "PEOPLE", "SET_UP", "READ_AGAIN");
      assertThat(heard(otto, 3))
          .containsExactly("PEOPLE", "READ_AGAIN", "PEOPLE", "SET_UP", "READ_AGAIN", "READ_AGAIN");
    }
  }
}
