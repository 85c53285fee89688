package fabulum.server.history;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.sentence.HistorySentence;
import fabulum.server.access.StaffId;
import fabulum.server.platform.Troubles;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.store.FSDirectory;
import org.apache.lucene.store.Lock;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The folder of the index through restarts, damage and removal. */
// Begun first: it takes longest.
@Order(1)
class WordIndexTest {
  /** After four bytes of magic and the name of the file's kind with its length. */
  private static final int VERSION_AT = 4 + 1 + "segments".length();

  private static List<String> found(Browser who, String words) {
    return who.get("/api/history?sentence=mention%20" + words)
        .require(200)
        .json()
        .path("rows")
        .valueStream()
        .map(row -> row.path("entry").path("words").asString())
        .toList();
  }

  private static void receives(Fabulum fabulum, String... all) {
    for (String words : all) {
      fabulum.webhook().text(fabulum.freshNumber(), Fabulum.DOCK, words).require(200);
    }
  }

  private static boolean finds(Fabulum fabulum, Browser who, String words, int count) {
    return fabulum.becomes(() -> found(who, words).size() == count);
  }

  @Test
  void whatTheIndexMissedIsTakenFromTheDatabase(@TempDir Path folder) throws IOException {
    Path index = folder.resolve("history");
    try (Fabulum fabulum = Fabulum.startInBusiness(folder)) {
      receives(fabulum, "a gudgeon", "a pintle");
      assertThat(finds(fabulum, fabulum.signedIn("priya"), "gudgeon", 1)).isTrue();
    }
    Path older = folder.resolve("older");
    copy(index, older);
    try (Fabulum fabulum = Fabulum.start(folder)) {
      Browser priya = fabulum.signedIn("priya");
      assertThat(finds(fabulum, priya, "pintle", 1)).isTrue();
      receives(fabulum, "another gudgeon");
      assertThat(finds(fabulum, priya, "gudgeon", 2)).isTrue();
    }
    // As a process that was killed leaves it: an older state, with texts the feed knows of.
    clear(index);
    copy(older, index);
    try (Fabulum fabulum = Fabulum.start(folder)) {
      assertThat(finds(fabulum, fabulum.signedIn("priya"), "gudgeon", 2)).isTrue();
    }
    // As a later version of the library writes it.
    for (Path file : files(index)) {
      if (file.getFileName().toString().startsWith("segments_")) {
        byte[] bytes = Files.readAllBytes(file);
        bytes[VERSION_AT] = 99;
        Files.write(file, bytes);
      }
    }
    try (Fabulum fabulum = Fabulum.start(folder)) {
      assertThat(finds(fabulum, fabulum.signedIn("priya"), "gudgeon", 2)).isTrue();
    }
    for (Path file : files(index)) {
      Files.write(file, "broken".getBytes(StandardCharsets.UTF_8));
    }
    try (Fabulum fabulum = Fabulum.start(folder)) {
      Browser priya = fabulum.signedIn("priya");
      assertThat(finds(fabulum, priya, "gudgeon", 2)).isTrue();
      assertThat(finds(fabulum, priya, "pintle", 1)).isTrue();
    }
  }

  @Test
  void anIndexFromBeforeTheFeedBeginsIsMadeAnew(@TempDir Path folder) throws IOException {
    Path index = folder.resolve("history");
    Path older = folder.resolve("older");
    try (Fabulum fabulum = Fabulum.startInBusiness(folder)) {
      receives(fabulum, "a gudgeon");
      assertThat(finds(fabulum, fabulum.signedIn("priya"), "gudgeon", 1)).isTrue();
    }
    copy(index, older);
    try (Fabulum fabulum = Fabulum.start(folder)) {
      receives(fabulum, "another gudgeon");
      fabulum.tables.update("delete from change_feed");
      receives(fabulum, "a pintle");
    }
    clear(index);
    copy(older, index);
    try (Fabulum fabulum = Fabulum.start(folder)) {
      assertThat(finds(fabulum, fabulum.signedIn("priya"), "gudgeon", 2)).isTrue();
    }
  }

  @Test
  void onceAllIsSaidToBeFoundItIs(@TempDir Path folder) throws IOException {
    int many = 20_000;
    try (Fabulum fabulum = Fabulum.startInBusiness(folder)) {
      receives(fabulum, "a gudgeon");
      Map<String, Object> said =
          fabulum.tables.queryForMap(
              "select conversation_id, at from entry where words = 'a gudgeon'");
      Object[] pintle = {said.get("conversation_id"), said.get("at")};
      fabulum.tables.batchUpdate(
          "insert into entry (conversation_id, at, kind, words) values (?, ?, 'IN', 'a pintle')",
          Collections.nCopies(many, pintle));
    }
    clear(folder.resolve("history"));
    try (Fabulum fabulum = Fabulum.start(folder)) {
      History history = fabulum.context.getBean(History.class);
      StaffId priya =
          new StaffId(
              fabulum.tables.queryForObject(
                  "select id from staff where sign_in_name = 'priya'", Long.class));
      assertThat(fabulum.becomes(history::isComplete)).isTrue();
      AtomicInteger found = new AtomicInteger();
      history.walk(
          HistorySentence.read("ever; mention pintle"),
          priya,
          (some, total) -> found.addAndGet(some.size()));
      assertThat(found).hasValue(many);
    }
  }

  @Test
  void theIndexOfAnotherDatabaseIsNotTakenForItsOwn(@TempDir Path one, @TempDir Path other)
      throws IOException {
    try (Fabulum fabulum = Fabulum.startInBusiness(one)) {
      receives(fabulum, "a gudgeon", "another gudgeon");
      assertThat(finds(fabulum, fabulum.signedIn("priya"), "gudgeon", 2)).isTrue();
    }
    try (Fabulum fabulum = Fabulum.startInBusiness(other)) {
      // All databases of these tests are copies of one; another business has other secrets.
      fabulum.tables.update("delete from secret where name = 'search index'");
      // The first two stand in its feed before what the other index knows of.
      receives(fabulum, "a pintle", "another pintle", "a third pintle", "a rudder", "a tiller");
    }
    clear(other.resolve("history"));
    copy(one.resolve("history"), other.resolve("history"));
    try (Fabulum fabulum = Fabulum.start(other)) {
      assertThat(finds(fabulum, fabulum.signedIn("priya"), "pintle", 3)).isTrue();
    }
  }

  @Test
  void withoutAFolderToWriteToEverythingElseWorks(@TempDir Path folder) throws IOException {
    Path index = Files.createDirectories(folder.resolve("history"));
    try (FSDirectory held = FSDirectory.open(index);
        Lock byAnother = held.obtainLock(IndexWriter.WRITE_LOCK_NAME);
        Fabulum fabulum = Fabulum.startInBusiness(folder)) {
      byAnother.ensureValid();
      receives(fabulum, "a gudgeon");
      Browser priya = fabulum.signedIn("priya");
      assertThat(priya.get("/api/history").require(503).body()).contains("Nothing is lost");
      priya.get("/api/conversations?group=OUR_TURN").require(200);
      assertThat(fabulum.context.getBean(Troubles.class).list())
          .extracting(Troubles.Trouble::kind)
          .contains(Troubles.Kind.HISTORY);
    }
  }

  @Test
  void whatIsRemovedForGoodLeavesTheFolderToo(@TempDir Path folder) throws IOException {
    long customer;
    try (Fabulum fabulum = Fabulum.startInBusiness(folder)) {
      String number = fabulum.freshNumber();
      customer = fabulum.customer("Nell", number);
      fabulum.webhook().text(number, Fabulum.DOCK, "my secretword").require(200);
      for (int i = 0; i < 40; i++) {
        receives(fabulum, "nothing secret, " + i);
      }
    }
    // Made anew, all of it lies in one piece, which stays when a small part of it is removed.
    clear(folder.resolve("history"));
    try (Fabulum fabulum = Fabulum.start(folder)) {
      Browser maren = fabulum.signedIn("maren");
      Long id =
          fabulum.tables.queryForObject(
              "select id from staff where sign_in_name = 'maren'", Long.class);
      maren
          .put(
              "/api/setup/people/" + id,
              Map.of(
                  "role", "LEAD", "permissions", List.of("REMOVE_FOR_GOOD"), "teams", List.of(1)))
          .require(204);
      assertThat(finds(fabulum, maren, "secretword", 1)).isTrue();
      maren.post("/api/customers/" + customer + "/removal", Map.of("name", "Nell")).require(200);
      assertThat(found(maren, "secretword")).isEmpty();
    }
    for (Path file : files(folder.resolve("history"))) {
      assertThat(Files.readString(file, StandardCharsets.ISO_8859_1))
          .as(file.toString())
          .doesNotContain("secretword");
    }
  }

  private static List<Path> files(Path folder) throws IOException {
    try (Stream<Path> all = Files.list(folder)) {
      return all.toList();
    }
  }

  /** Leaves nothing of an index, where the program has come to make one. */
  private static void clear(Path folder) throws IOException {
    for (Path file : files(Files.createDirectories(folder))) {
      Files.delete(file);
    }
  }

  private static void copy(Path from, Path to) throws IOException {
    Files.createDirectories(to);
    for (Path file : files(from)) {
      Files.copy(file, to.resolve(file.getFileName()));
    }
  }
}
