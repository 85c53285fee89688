package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.access.Role;
import fabulum.server.accounts.SignIns;
import fabulum.server.people.NewStaff;
import fabulum.server.people.People;
import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Who guesses passwords is slowed down; nobody else is, and the disk does not fill. */
class GuessingTest {
  private static final String HOME = "203.0.113.9";

  @TempDir static Path folder;
  private static Fabulum fabulum;
  private static int guessers;

  /** Nobody has guessed from there, or at this person's password, before. */
  private final String elsewhere = "198.51.100." + ++guessers;

  private final String name = "guessed" + guessers;

  @BeforeAll
  static void start() {
    fabulum = Fabulum.startInBusiness(folder, "--fabulum.proxies=127.0.0.1,0:0:0:0:0:0:0:1");
  }

  @AfterAll
  static void stop() {
    fabulum.close();
  }

  @BeforeEach
  void employ() {
    fabulum
        .context
        .getBean(People.class)
        .add(new NewStaff(name, "Greta Moss", "GM", Role.STAFF, Fabulum.PASSWORD, false));
  }

  private void guess(Browser guesser, String whose, int times) {
    for (int i = 0; i < times; i++) {
      assertThat(guesser.signIn(whose, "guess " + i).status()).isIn(401, 429);
    }
  }

  @Test
  void guessesFromElsewhereKeepNobodyOut() {
    Browser guesser = fabulum.browser().from(elsewhere);
    guess(guesser, name, 15);
    assertThat(guesser.signIn(name, Fabulum.PASSWORD).status()).isEqualTo(429);

    fabulum.browser().from(HOME).signIn(name, Fabulum.PASSWORD).require(200);
  }

  @Test
  void aBrowserThatHasBeenHereBeforeIsCountedByItselfAlsoAtTheGuessersAddress() {
    Browser known = fabulum.browser().from(elsewhere);
    known.signIn(name, Fabulum.PASSWORD).require(200);
    known.call("DELETE", "/api/session", null).require(204);
    guess(fabulum.browser().from(elsewhere), name, 15);
    assertThat(fabulum.browser().from(elsewhere).signIn(name, Fabulum.PASSWORD).status())
        .isEqualTo(429);

    known.signIn(name, Fabulum.PASSWORD).require(200);
    known.call("DELETE", "/api/session", null).require(204);
    guess(known, name, 5);
    assertThat(known.signIn(name, Fabulum.PASSWORD).status()).as("its own").isEqualTo(429);
  }

  @Test
  void anAddressThatTriesManyAccountsIsSlowed() {
    Browser guesser = fabulum.browser().from(elsewhere);
    for (int i = 0; i < 25; i++) {
      guesser.signIn("somebody" + i, "guess");
    }
    assertThat(guesser.signIn(name, Fabulum.PASSWORD).status()).isEqualTo(429);
  }

  @Test
  void aForgedBrowserIsAStranger() {
    Browser forger = fabulum.browser().from(elsewhere);
    guess(forger, name, 5);
    forger.cookie("fabulum-browser", "abc.def");
    assertThat(forger.signIn(name, Fabulum.PASSWORD).status()).isEqualTo(429);
  }

  @Test
  void thePresentPasswordCannotBeGuessedEither() {
    Browser known = fabulum.signedIn(name);
    Map<String, String> wrong = Map.of("old", "not it", "wanted", "seven small boats");
    for (int i = 0; i < 4; i++) {
      known.put("/api/session/password", wrong).require(422);
    }

    Answer slowed =
        known.put(
            "/api/session/password",
            Map.of("old", Fabulum.PASSWORD, "wanted", "seven small boats"));

    assertThat(slowed.require(429).problem()).isEqualTo("too-many-tries");
    fabulum.clock.advance(Duration.ofSeconds(3));
    known
        .put(
            "/api/session/password", Map.of("old", Fabulum.PASSWORD, "wanted", "seven small boats"))
        .require(200);
  }

  @Test
  void refusedSignInsAreCountedAndTheRecordKeepsNinetyDays() {
    // An hour of its own: tries at accounts that are not there are counted together.
    fabulum.clock.advance(Duration.ofHours(1));
    Browser maren = fabulum.signedIn("maren");
    guess(fabulum.browser().from(elsewhere), name, 100);
    guess(fabulum.browser().from(elsewhere), "nobody here", 100);

    JsonNode record = maren.get("/api/setup/sign-ins").require(200).json();
    List<JsonNode> refused =
        record
            .valueStream()
            .filter(one -> one.path("address").asString().equals(elsewhere))
            .toList();
    assertThat(refused).hasSizeLessThanOrEqualTo(4);
    assertThat(refused.stream().mapToInt(one -> one.path("tries").asInt()).sum()).isEqualTo(200);
    assertThat(record.toString()).as("strangers’ words are not kept").doesNotContain("nobody here");
    assertThat(
            fabulum.tables.queryForObject(
                "select count(*) from sign_in where address = ?", Integer.class, elsewhere))
        .isLessThan(10);

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
