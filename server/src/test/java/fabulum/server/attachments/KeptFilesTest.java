package fabulum.server.attachments;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

/** The team's shelf, and files that are kept with customers. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class KeptFilesTest {
  private final TwoTeams office =
      TwoTeams.start("--fabulum.page.address=https://text.quillhaven.example");
  private final Fabulum fabulum = office.fabulum;
  private final Browser maren = fabulum.signedIn("maren");
  private final Browser priya = fabulum.signedIn("priya");
  private final Browser otto = fabulum.signedIn("otto");
  private final Browser vera = fabulum.signedIn("vera");

  @AfterAll
  void stop() {
    office.close();
  }

  private JsonNode put(Browser by, String path, String name, String words) {
    return by.upload(path, name, Samples.words("%PDF-1.4 " + words)).require(200).json();
  }

  private static Map<String, Object> change(
      String title, boolean retired, Set<Long> lines, long version) {
    return Map.of("title", title, "retired", retired, "lines", lines, "version", version);
  }

  private JsonNode offered(Browser by, long conversation) {
    return by.get("/api/conversations/" + conversation + "/attachments/offered")
        .require(200)
        .json();
  }

  private static List<String> titles(JsonNode files) {
    return files.valueStream().map(file -> file.path("title").asString()).toList();
  }

  private static long id(JsonNode file) {
    return file.path("id").asLong();
  }

  private Answer again(Browser by, long conversation, String which, long id) {
    return by.post("/api/conversations/" + conversation + "/attachments/again", Map.of(which, id));
  }

  private long line(String number) {
    Long id =
        fabulum.tables.queryForObject("select id from line where number = ?", Long.class, number);
    return id == null ? 0 : id;
  }

  private Path content(String table, long id) {
    String hash =
        String.valueOf(
            fabulum.tables.queryForObject(
                "select hash from " + table + " where id = ?", String.class, id));
    return Path.of(fabulum.context.getEnvironment().getRequiredProperty("fabulum.data"))
        .resolve("files")
        .resolve(hash.substring(0, 2))
        .resolve(hash);
  }

  private void mayRemove() {
    Set<String> may = Set.of("TEXT", "CHANGE_TEMPLATES", "EXPORT", "REMOVE_FOR_GOOD");
    maren
        .put(
            "/api/setup/people/" + office.id("maren"),
            Map.of("role", "LEAD", "permissions", may, "teams", Set.of(1)))
        .require(204);
  }

  @Test
  void aFileOfTheShelfIsOfferedWhereItsLinesAreUntilItIsRetired() {
    JsonNode rules = put(maren, "/api/shelf", "dock_rules.pdf", "rules");
    assertThat(rules.path("title").asString()).isEqualTo("dock rules");
    long dock = office.text(Fabulum.DOCK, "Send me the rules of the dock");
    long yard = office.text(Fabulum.YARD, "Send me the rules of the yard");
    assertThat(titles(offered(priya, dock).path("shelf"))).contains("dock rules");
    String file = "/api/shelf/" + id(rules);
    Set<Long> dockOnly = Set.of(line(Fabulum.DOCK));
    priya.put(file, change("Rules of the dock", false, dockOnly, 1)).require(204);
    assertThat(titles(offered(priya, dock).path("shelf"))).contains("Rules of the dock");
    assertThat(titles(offered(priya, yard).path("shelf"))).doesNotContain("Rules of the dock");
    assertThat(maren.put(file, change("Mine", false, Set.of(), 1)).problem())
        .isEqualTo("changed-meanwhile");
    assertThat(maren.put(file, change(" ", false, Set.of(), 2)).status()).isEqualTo(422);
    assertThat(maren.put(file, change("Mine", false, Set.of(9_999L), 2)).status()).isEqualTo(422);
    maren.put(file, change("Rules of the dock", true, Set.of(), 2)).require(204);
    assertThat(titles(offered(priya, dock).path("shelf"))).doesNotContain("Rules of the dock");
    assertThat(titles(maren.get("/api/shelf").require(200).json())).contains("Rules of the dock");
  }

  @Test
  void whoMayNotChangeTemplatesMayNotChangeTheShelf() {
    JsonNode map = put(maren, "/api/shelf", "map.pdf", "map");
    assertThat(vera.upload("/api/shelf", "map.pdf", Samples.pdf()).status()).isEqualTo(403);
    assertThat(vera.put("/api/shelf/" + id(map), change("M", false, Set.of(), 1)).status())
        .isEqualTo(403);
    assertThat(vera.get("/api/kept-files/" + id(map)).status()).isEqualTo(200);
    assertThat(maren.call("DELETE", "/api/kept-files/" + id(map), null).status()).isEqualTo(404);
  }

  private long job(long customer, String number, String what) {
    Map<String, Object> wanted =
        Map.of(
            "number",
            number,
            "what",
            what,
            "standing",
            "",
            "state",
            "OPEN",
            "place",
            "",
            "version",
            0);
    return maren
        .post("/api/customers/" + customer + "/jobs", wanted)
        .require(200)
        .json()
        .path("id")
        .asLong();
  }

  @Test
  void aFileOfACustomerCanBelongToOneOfTheirJobsAndToNoOther() {
    long nell = fabulum.customer("Nell Arbour");
    long refit = job(nell, "Q-12", "Refit");
    long others = job(fabulum.customer("Ada Quill"), "", "Survey");
    JsonNode estimate = put(priya, "/api/customers/" + nell + "/files", "e.pdf", "estimate");
    assertThat(estimate.hasNonNull("job")).isFalse();
    String file = "/api/kept-files/" + id(estimate);
    priya.put(file + "/job", Map.of("job", refit)).require(204);
    String files = "/api/customers/" + nell + "/files";
    JsonNode kept = priya.get(files).require(200).json().get(0);
    assertThat(kept.path("job").path("id").asLong()).isEqualTo(refit);
    assertThat(kept.path("job").path("name").asString()).isEqualTo("Q-12 Refit");
    assertThat(priya.put(file + "/job", Map.of("job", others)).status()).isEqualTo(422);
    assertThat(priya.put(file + "/job", Map.of("job", 9_999)).status()).isEqualTo(422);
    assertThat(vera.put(file + "/job", Map.of("job", refit)).status()).isEqualTo(403);
    assertThat(priya.get(files).json().get(0).path("job").path("id").asLong()).isEqualTo(refit);
    priya.put(file + "/job", Map.of()).require(204);
    assertThat(priya.get(files).json().get(0).hasNonNull("job")).isFalse();
    JsonNode shelf = put(maren, "/api/shelf", "s.pdf", "of all");
    assertThat(maren.put("/api/kept-files/" + id(shelf) + "/job", Map.of("job", refit)).status())
        .isEqualTo(404);
  }

  @Test
  void aKeptFileGoesOnThePaperAndIsSentLikeAnyOther() {
    JsonNode rates = put(maren, "/api/shelf", "rates.pdf", "rates");
    long conversation = office.text(Fabulum.DOCK, "What are your rates?");
    JsonNode attached = again(priya, conversation, "kept", id(rates)).require(200).json();
    assertThat(attached.path("name").asString()).isEqualTo("rates.pdf");
    priya
        .post(
            "/api/conversations/" + conversation + "/texts",
            Map.of(
                "words", "Here they are",
                "reference", Fabulum.reference(),
                "confirmed", List.of("night"),
                "attachments", List.of(id(attached))))
        .require(200);
    // What was sent is among the earlier files of the customer, and can be sent again from there.
    JsonNode earlier = offered(maren, conversation).path("earlier");
    assertThat(earlier.get(0).path("name").asString()).isEqualTo("rates.pdf");
    assertThat(again(maren, conversation, "earlier", id(earlier.get(0))).status()).isEqualTo(200);
    assertThat(again(otto, conversation, "kept", id(rates)).status()).isEqualTo(404);
    assertThat(again(vera, conversation, "kept", id(rates)).status()).isEqualTo(403);
    long far = office.text(TwoTeams.FAR, "Something else");
    assertThat(again(otto, far, "earlier", id(earlier.get(0))).status()).isEqualTo(404);
    assertThat(again(priya, conversation, "kept", 9_999).status()).isEqualTo(404);
  }

  @Test
  void aTemplateCarriesFilesOfTheShelfWhileTheyAreOffered() {
    JsonNode map = put(maren, "/api/shelf", "harbour map.pdf", "harbour map");
    Map<String, Object> template =
        Map.of(
            "title",
            "The way here",
            "words",
            "Here is a map.",
            "shortName",
            "waymap",
            "guarded",
            false,
            "retired",
            false,
            "files",
            List.of(id(map)));
    JsonNode made = maren.post("/api/templates", template).require(200).json();
    assertThat(made.path("files").get(0).asLong()).isEqualTo(id(map));
    Map<String, Object> wrong = new java.util.HashMap<>(template);
    wrong.put("files", List.of(99_999));
    wrong.put("title", "Another way");
    wrong.put("shortName", "other");
    assertThat(maren.post("/api/templates", wrong).body()).contains("Choose files of the shelf.");
    // It is still offered everywhere: a file is no place.
    long far = office.text(TwoTeams.FAR, "How do I find you?");
    String named = "/api/conversations/" + far + "/templates/named/waymap";
    assertThat(otto.get(named).require(200).json().path("files").get(0).asLong())
        .isEqualTo(id(map));
    String csv = maren.get("/api/templates/export/csv").require(200).body();
    maren.upload("/api/templates/import", "t.csv", csv).require(200);
    assertThat(otto.get(named).json().path("files")).hasSize(1);
    maren.put("/api/shelf/" + id(map), change("Harbour map", true, Set.of(), 1)).require(204);
    assertThat(otto.get(named).json().path("files")).isEmpty();
  }

  @Test
  void aFileKeptWithACustomerIsOfferedInTheirConversationsOnly() throws IOException {
    String number = fabulum.freshNumber();
    long customer = fabulum.customer("Ada Keel", number);
    String files = "/api/customers/" + customer + "/files";
    JsonNode estimate = put(priya, files, "estimate.pdf", "estimate for Ada");
    fabulum.webhook().text(number, Fabulum.DOCK, "How much is it?").require(200);
    long hers = maren.conversationOf(number).path("id").asLong();
    long other = office.text(Fabulum.DOCK, "And mine?");
    assertThat(titles(offered(priya, hers).path("kept"))).containsExactly("estimate");
    assertThat(titles(offered(priya, other).path("kept"))).isEmpty();
    assertThat(vera.upload(files, "x.pdf", Samples.pdf()).status()).isEqualTo(403);
    assertThat(priya.upload("/api/customers/99999/files", "x.pdf", Samples.pdf()).status())
        .isEqualTo(404);
    JsonNode second = put(priya, files, "order.pdf", "order of Ada");
    maren.call("DELETE", "/api/kept-files/" + id(second), null).require(204);
    assertThat(titles(maren.get(files).require(200).json())).containsExactly("estimate");
    // Removed for good, her files go with her.
    Path there = content("kept_file", id(estimate));
    assertThat(there).exists();
    mayRemove();
    maren.post("/api/customers/" + customer + "/removal", Map.of("name", "Ada Keel")).require(200);
    assertThat(fabulum.becomes(() -> Files.notExists(there))).isTrue();
    assertThat(maren.get("/api/kept-files/" + id(estimate)).status()).isEqualTo(404);
  }

  @Test
  void removedForGoodWhatCustomersSentAndGotGoesToo() throws IOException {
    String number = fabulum.freshNumber();
    long customer = fabulum.customer("Bo Stern", number);
    fabulum.webhook().text(number, Fabulum.DOCK, "Send it, please").require(200);
    long conversation = maren.conversationOf(number).path("id").asLong();
    JsonNode plan =
        put(priya, "/api/conversations/" + conversation + "/attachments", "b.pdf", "for Bo");
    Path there = content("attachment", id(plan));
    priya
        .post(
            "/api/conversations/" + conversation + "/texts",
            Map.of(
                "words", "Here",
                "reference", Fabulum.reference(),
                "confirmed", List.of("night"),
                "attachments", List.of(id(plan))))
        .require(200);
    put(priya, "/api/conversations/" + conversation + "/attachments", "c.pdf", "begun for Bo");
    mayRemove();
    maren.post("/api/customers/" + customer + "/removal", Map.of("name", "Bo Stern")).require(200);
    assertThat(fabulum.becomes(() -> Files.notExists(there))).isTrue();
    assertThat(
            fabulum.tables.queryForObject(
                "select count(*) from attachment where conversation_id = ?",
                Integer.class,
                conversation))
        .isZero();
  }
}
