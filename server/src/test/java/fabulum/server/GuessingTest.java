package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.people.SignIns;
import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Who guesses passwords is slowed down; nobody else is, and the disk does not fill. */
class GuessingTest {
  private static final String HOME = "203.0.113.9";
  private static final String ELSEWHERE = "198.51.100.7";

  @TempDir Path folder;
  private Fabulum fabulum;

  @BeforeEach
  void start() {
    fabulum = Fabulum.startInBusiness(folder, "--fabulum.proxies=127.0.0.1,0:0:0:0:0:0:0:1");
  }

  @AfterEach
  void stop() {
    fabulum.close();
  }

  private void guess(Browser guesser, String name, int times) {
    for (int i = 0; i < times; i++) {
      assertThat(guesser.signIn(name, "guess " + i).status()).isIn(401, 429);
    }
  }

  @Test
  void guessesFromElsewhereKeepNobodyOut() {
    Browser guesser = fabulum.browser().from(ELSEWHERE);
    guess(guesser, "priya", 15);
    assertThat(guesser.signIn("priya", Fabulum.PASSWORD).status()).isEqualTo(429);

    fabulum.browser().from(HOME).signIn("priya", Fabulum.PASSWORD).require(200);
  }

  @Test
  void aBrowserThatHasBeenHereBeforeIsCountedByItselfAlsoAtTheGuessersAddress() {
    Browser known = fabulum.browser().from(ELSEWHERE);
    known.signIn("priya", Fabulum.PASSWORD).require(200);
    known.call("DELETE", "/api/session", null).require(204);
    guess(fabulum.browser().from(ELSEWHERE), "priya", 15);
    assertThat(fabulum.browser().from(ELSEWHERE).signIn("priya", Fabulum.PASSWORD).status())
        .isEqualTo(429);

    known.signIn("priya", Fabulum.PASSWORD).require(200);
    known.call("DELETE", "/api/session", null).require(204);
    guess(known, "priya", 5);
    assertThat(known.signIn("priya", Fabulum.PASSWORD).status()).as("its own").isEqualTo(429);
  }

  @Test
  void anAddressThatTriesManyAccountsIsSlowed() {
    Browser guesser = fabulum.browser().from(ELSEWHERE);
    for (int i = 0; i < 25; i++) {
      guesser.signIn("somebody" + i, "guess");
    }
    assertThat(guesser.signIn("priya", Fabulum.PASSWORD).status()).isEqualTo(429);
  }

  @Test
  void aForgedBrowserIsAStranger() {
    Browser forger = fabulum.browser().from(ELSEWHERE);
    guess(forger, "priya", 5);
    forger.cookie("fabulum-browser", "abc.def");
    assertThat(forger.signIn("priya", Fabulum.PASSWORD).status()).isEqualTo(429);
  }

  @Test
  void thePresentPasswordCannotBeGuessedEither() {
    Browser priya = fabulum.signedIn("priya");
    Map<String, String> wrong = Map.of("old", "not it", "wanted", "seven small boats");
    for (int i = 0; i < 4; i++) {
      priya.put("/api/session/password", wrong).require(422);
    }

    Answer slowed =
        priya.put(
            "/api/session/password",
            Map.of("old", Fabulum.PASSWORD, "wanted", "seven small boats"));

    assertThat(slowed.require(429).problem()).isEqualTo("too-many-tries");
    fabulum.clock.advance(Duration.ofSeconds(3));
    priya
        .put(
            "/api/session/password", Map.of("old", Fabulum.PASSWORD, "wanted", "seven small boats"))
        .require(200);
  }

  @Test
  void refusedSignInsAreCountedAndTheRecordKeepsNinetyDays() {
    Browser maren = fabulum.signedIn("maren");
    guess(fabulum.browser().from(ELSEWHERE), "priya", 300);
    guess(fabulum.browser().from(ELSEWHERE), "nobody here", 300);

    JsonNode record = maren.get("/api/setup/sign-ins").require(200).json();
    List<JsonNode> refused =
        record.valueStream().filter(one -> !one.path("outcome").asString().equals("IN")).toList();
    assertThat(refused).hasSizeLessThanOrEqualTo(4);
    assertThat(refused.stream().mapToInt(one -> one.path("tries").asInt()).sum()).isEqualTo(600);
    assertThat(refused.get(0).path("address").asString()).isEqualTo(ELSEWHERE);
    assertThat(record.toString()).as("strangers’ words are not kept").doesNotContain("nobody here");
    Integer rows = fabulum.tables.queryForObject("select count(*) from sign_in", Integer.class);
    assertThat(rows).isLessThan(10);

    fabulum.clock.advance(SignIns.KEPT.plusHours(1));
    fabulum.context.getBean(SignIns.class).forgetTheOld();
    assertThat(maren.get("/api/setup/sign-ins").json()).isEmpty();
  }

  @Test
  void everyCookieIsForThisSiteOnlyAndNothingOfTheApiIsKept() {
    Browser browser = fabulum.browser();
    List<String> cookies =
        browser.signIn("maren", Fabulum.PASSWORD).raw().headers().allValues("Set-Cookie");
    List<String> first =
        fabulum.browser().get("/api/session").raw().headers().allValues("Set-Cookie");
    assertThat(cookies).anyMatch(cookie -> cookie.startsWith("fabulum-browser="));
    assertThat(first).isNotEmpty();
    assertThat(cookies).allMatch(cookie -> cookie.contains("SameSite=Strict"));
    assertThat(first).allMatch(cookie -> cookie.contains("SameSite=Strict"));
    for (String path : List.of("/api/session", "/api/conversations?group=DONE", "/api/nowhere")) {
      assertThat(browser.get(path).header("Cache-Control")).as(path).contains("no-store");
    }
  }
}
