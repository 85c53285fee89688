package fabulum.server.history;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.store.FSDirectory;
import org.apache.lucene.store.Lock;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** With the real sentence model. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class MeaningsTest {
  private final TwoTeams office = TwoTeams.start("--fabulum.meaning.used=true");
  private final Fabulum fabulum = office.fabulum;
  private final Browser priya = fabulum.signedIn("priya");
  private final Browser otto = fabulum.signedIn("otto");

  @AfterAll
  void stop() {
    office.close();
  }

  private void text(String line, String words) {
    fabulum.clock.advance(Duration.ofMinutes(1));
    fabulum.webhook().text(fabulum.freshNumber(), line, words).require(200);
  }

  private static JsonNode history(Browser who, String sentence) {
    String text = URLEncoder.encode(sentence, StandardCharsets.UTF_8);
    return who.get("/api/history?sentence=" + text).require(200).json();
  }

  private static List<String> found(Browser who, String sentence) {
    return history(who, sentence)
        .path("rows")
        .valueStream()
        .map(row -> row.path("entry").path("words").asString())
        .toList();
  }

  /**
   * A search does not wait long for what was said a moment ago; on a busy machine that is read
   * later.
   */
  private void waitFor(Browser who, String sentence, String words) {
    assertThat(fabulum.becomes(() -> found(who, sentence).contains(words))).isTrue();
  }

  @Test
  void whatMeansTheSameIsFoundByWhoSeesItTheClosestFirst() {
    text(Fabulum.DOCK, "You charged my card twice for the winter storage.");
    text(Fabulum.DOCK, "Is it okay to bring the dog?");
    text(Fabulum.DOCK, "The engine will not start, it only clicks.");
    text(Fabulum.DOCK, "There is a swan nesting on our stern.");
    text(TwoTeams.FAR, "I was billed two times for the same month.");
    String paid = "alike; mention I paid two times";
    waitFor(otto, paid, "I was billed two times for the same month.");
    waitFor(priya, paid, "You charged my card twice for the winter storage.");
    waitFor(priya, "alike; mention are pets allowed", "Is it okay to bring the dog?");
    assertThat(found(priya, "alike; mention are pets allowed"))
        .startsWith("Is it okay to bring the dog?");
    assertThat(found(priya, paid))
        .startsWith("You charged my card twice for the winter storage.")
        .doesNotContain("I was billed two times for the same month.");
    assertThat(found(otto, paid)).containsExactly("I was billed two times for the same month.");
    assertThat(found(priya, "sent; " + paid)).isEmpty();
    assertThat(history(priya, "alike; mention motor dead").path("hints").toString())
        .contains("the closest first");
  }

  @Test
  void ofWhatIsSaidAgainAndAgainOnlyTheLatestAreFound() {
    for (int i = 0; i < 5; i++) {
      text(Fabulum.DOCK, "The gate code does not work any more.");
    }
    text(Fabulum.DOCK, "The number for the gate is wrong.");
    String numbers = "alike; mention the entry numbers are rejected";
    waitFor(priya, numbers, "The number for the gate is wrong.");
    assertThat(found(priya, numbers)).filteredOn(words -> words.contains("gate")).hasSize(4);
  }

  @Test
  void withoutAFolderToWriteToWordsAreStillFoundAndThatIsSaid(@TempDir Path folder)
      throws IOException {
    Path meanings = Files.createDirectories(folder.resolve("meanings"));
    try (FSDirectory held = FSDirectory.open(meanings);
        Lock byAnother = held.obtainLock(IndexWriter.WRITE_LOCK_NAME);
        Fabulum alone = Fabulum.startInBusiness(folder, "--fabulum.meaning.used=true")) {
      byAnother.ensureValid();
      alone.webhook().text(alone.freshNumber(), Fabulum.DOCK, "The dog is welcome.").require(200);
      Browser maren = alone.signedIn("maren");
      String pets = "alike; mention are pets allowed";
      // The words themselves are read first.
      assertThat(alone.becomes(() -> history(maren, pets).path("percent").asInt() == 100)).isTrue();
      JsonNode found = history(maren, pets);
      assertThat(found.path("rows").size()).isZero();
      assertThat(found.path("hints").toString()).contains("Look for words instead");
      assertThat(maren.get("/api/office/troubles").require(200).body())
          .contains("cannot find texts by their meaning");
      assertThat(found(maren, "mention dogs")).hasSize(1);
    }
  }

  @Test
  void whatWasSaidBeforeIsReadByItselfAndWhatIsRemovedForGoodIsForgotten(@TempDir Path folder)
      throws IOException {
    long customer;
    try (Fabulum before = Fabulum.startInBusiness(folder)) {
      String number = before.freshNumber();
      customer = before.customer("Zora Quimby", number);
      before.webhook().text(number, Fabulum.DOCK, "Is it okay to bring the dog?");
      before.webhook().text(before.freshNumber(), Fabulum.DOCK, "Any berth free?");
    }
    Path meanings = folder.resolve("meanings");
    try (Fabulum after = Fabulum.start(folder, "--fabulum.meaning.used=true")) {
      Browser maren = after.signedIn("maren");
      String pets = "ever; alike; mention are pets allowed";
      assertThat(after.becomes(() -> found(maren, pets).size() == 1)).isTrue();
      assertThat(history(maren, pets).path("percent").asInt()).isEqualTo(100);
      maren
          .put(
              "/api/setup/people/" + maren.get("/api/session").json().path("staff").path("id"),
              Map.of(
                  "role", "LEAD", "permissions", List.of("REMOVE_FOR_GOOD"), "teams", List.of(1)))
          .require(204);
      maren
          .post("/api/customers/" + customer + "/removal", Map.of("name", "Zora Quimby"))
          .require(200);
      assertThat(found(maren, pets)).isEmpty();
    }
    try (MeaningIndex index = new MeaningIndex(meanings)) {
      assertThat(index.words(0, Long.MAX_VALUE)).hasSize(1);
    }
  }
}
