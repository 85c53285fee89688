package fabulum.server.exports;

import static org.assertj.core.api.Assertions.assertThat;

import com.lowagie.text.pdf.PdfReader;
import com.lowagie.text.pdf.parser.PdfTextExtractor;
import com.networknt.schema.InputFormat;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import fabulum.server.lines.Lines;
import fabulum.server.platform.DataSettings;
import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ExportsTest {
  private final TwoTeams office = TwoTeams.start("--fabulum.page.address=https://front.example");
  private final Fabulum fabulum = office.fabulum;
  private final Browser maren = fabulum.signedIn("maren");
  private final Browser otto = fabulum.signedIn("otto");
  private final String number = fabulum.freshNumber();
  private long conversation;

  @AfterAll
  void stop() {
    office.close();
  }

  @BeforeAll
  void say() {
    may("maren", "LEAD", List.of("TEXT", "EXPORT"));
    fabulum.customer("Ödön \"Ó\" Whitlock", number);
    receives(number, Fabulum.DOCK, "=SUM(A1) is what I typed, \"really\"; with a\nsecond line");
    conversation = maren.conversationOf(number).path("id").asLong();
    maren.answer(conversation, "Fine. 😀 Ωmega, 船 and Привет").require(200);
    Map<String, Object> note = Map.of("words", "owes a fender", "reference", Fabulum.reference());
    maren.post("/api/conversations/" + conversation + "/notes", note).require(204);
    receives(fabulum.freshNumber(), TwoTeams.FAR, "not for the dock to see");
    for (int i = 0; i < 30; i++) {
      receives(fabulum.freshNumber(), Fabulum.YARD, "many " + i);
    }
  }

  private void may(String who, String role, List<String> permissions) {
    maren
        .put(
            "/api/setup/people/" + office.id(who),
            Map.of("role", role, "permissions", permissions, "teams", List.of(1)))
        .require(204);
  }

  private void receives(String from, String line, String words) {
    fabulum.clock.advance(Duration.ofSeconds(20));
    fabulum.webhook().text(from, line, words).require(200);
  }

  private Answer ask(Browser who, String said, String format, boolean withFiles) {
    return who.post(
        "/api/exports",
        Map.of(
            "said", said, "title", "Texts of the dock", "format", format, "withFiles", withFiles));
  }

  private long made(String said, String format, boolean withFiles) {
    long id = ask(maren, said, format, withFiles).require(200).json().path("id").asLong();
    assertThat(
            fabulum.becomes(
                () -> List.of("READY", "FAILED").contains(export(id).path("state").asString())))
        .isTrue();
    assertThat(export(id).path("state").asString()).isEqualTo("READY");
    return id;
  }

  @Test
  void aFullDiskIsSaidAndLeavesNothingHalf() throws IOException {
    Path folder = Files.createDirectories(fabulum.context.getBean(DataSettings.class).exports());
    long before = made("sent", "CSV", false);
    for (long id = before + 1; id < before + 10; id++) {
      // Whatever is written there finds no room.
      Files.createSymbolicLink(folder.resolve(id + ".part"), Path.of("/dev/full"));
    }
    for (String format : List.of("JSON", "CSV", "PDF")) {
      long full = ask(maren, "ever", format, true).require(200).json().path("id").asLong();
      assertThat(fabulum.becomes(() -> export(full).path("state").asString().equals("FAILED")))
          .isTrue();
      assertThat(export(full).path("why").asString()).startsWith("The disk is full.");
      assertThat(folder.resolve(full + ".part")).doesNotExist();
      assertThat(folder.resolve(full + ".zip")).doesNotExist();
    }
    for (long id = before + 1; id < before + 10; id++) {
      Files.deleteIfExists(folder.resolve(id + ".part"));
    }
    made("ever", "JSON", false);
  }

  private JsonNode export(long id) {
    return maren
        .get("/api/exports")
        .require(200)
        .json()
        .valueStream()
        .filter(one -> one.path("id").asLong() == id)
        .findFirst()
        .orElseThrow();
  }

  private byte[] file(long id) throws IOException {
    maren.get("/api/exports/" + id + "/file").require(200);
    try (var all = Files.list(fabulum.context.getBean(DataSettings.class).exports())) {
      Path file =
          all.filter(one -> one.getFileName().toString().startsWith(id + "."))
              .findFirst()
              .orElseThrow();
      return Files.readAllBytes(file);
    }
  }

  private String text(long id) throws IOException {
    return new String(file(id), StandardCharsets.UTF_8);
  }

  /** Ids of what History shows, from the oldest. */
  private List<Long> shown(String sentence) {
    List<Long> ids = new ArrayList<>();
    String from = "";
    do {
      JsonNode page =
          maren
              .get(
                  "/api/history?limit=7&sentence="
                      + URLEncoder.encode(sentence, StandardCharsets.UTF_8)
                      + "&from="
                      + from)
              .require(200)
              .json();
      page.path("rows")
          .valueStream()
          .forEach(row -> ids.add(row.path("entry").path("id").asLong()));
      from = URLEncoder.encode(page.path("next").asString(""), StandardCharsets.UTF_8);
    } while (!from.isEmpty());
    Collections.reverse(ids);
    return ids;
  }

  @Test
  void whatIsExportedIsWhatOneSeesToTheLastEntry() throws IOException {
    String everything = "everything; ever";
    List<Long> csv = new ArrayList<>();
    try (CsvReader<NamedCsvRecord> reader =
        CsvReader.builder().ofNamedCsvRecord(text(made(everything, "CSV", false)))) {
      reader.forEach(row -> csv.add(Long.valueOf(row.getField("Id"))));
    }
    assertThat(csv).isEqualTo(shown(everything)).hasSizeGreaterThan(33);
    List<Long> json = new ArrayList<>();
    JsonNode all = read(text(made(everything, "JSON", false)));
    all.valueStream().forEach(line -> json.add(line.path("id").asLong()));
    assertThat(json).isEqualTo(csv);
    assertThat(all.toString()).doesNotContain("not for the dock");
  }

  private static JsonNode read(String text) {
    return tools.jackson.databind.json.JsonMapper.shared().readTree(text);
  }

  @Test
  void anotherLibraryReadsTheValues() throws IOException {
    Map<String, String> words = new HashMap<>();
    try (CsvReader<NamedCsvRecord> reader =
        CsvReader.builder()
            .ofNamedCsvRecord(
                text(made("everything; conversation " + conversation, "CSV", false)))) {
      reader.forEach(row -> words.put(row.getField("Direction"), row.getField("Words")));
    }
    assertThat(words.get("received"))
        .isEqualTo("'=SUM(A1) is what I typed, \"really\"; with a\nsecond line");
    assertThat(words.get("sent")).isEqualTo("Fine. 😀 Ωmega, 船 and Привет");
    assertThat(words.get("note")).isEqualTo("owes a fender");
  }

  @Test
  void theJsonFitsItsSchema() throws IOException {
    String schema = Files.readString(Path.of("../docs/history-export.schema.json"));
    var known =
        SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(schema, InputFormat.JSON);
    String json = text(made("everything; ever", "JSON", false));
    assertThat(known.validate(json, InputFormat.JSON)).isEmpty();
    assertThat(known.validate(json.replace("\"received\"", "\"got\""), InputFormat.JSON))
        .isNotEmpty();
  }

  @Test
  void theTextsAreReadBackByAnImportWithoutLoss() throws IOException {
    String sentence = "conversation " + conversation + "; ever";
    for (String format : List.of("CSV", "JSON")) {
      String file = text(made(sentence, format, false));
      JsonNode preview =
          maren.upload("/api/imports", "texts." + format.toLowerCase(), file).require(200).json();
      assertThat(preview.path("subject").asString()).as(format).isEqualTo("TEXTS");
      assertThat(preview.path("counts").path("same").asInt()).as(format).isEqualTo(2);
      assertThat(preview.path("counts").path("added").asInt()).as(format).isZero();
      assertThat(preview.path("counts").path("refused").asInt()).as(format).isZero();
    }
  }

  @Test
  void anotherLibraryReadsThePages() throws IOException {
    PdfReader reader = new PdfReader(file(made("everything; ever", "PDF", false)));
    StringBuilder all = new StringBuilder();
    for (int page = 1; page <= reader.getNumberOfPages(); page++) {
      String text = new PdfTextExtractor(reader).getTextFromPage(page);
      assertThat(text).contains("Page " + page + " of " + reader.getNumberOfPages());
      all.append(text);
    }
    assertThat(all.toString().replaceAll("\\s+", " "))
        .contains(
            "Texts of the dock",
            "Made by Maren Oduya",
            "Dock office · ",
            " · UTC-05:00",
            "is what I typed",
            "many 29",
            "note")
        .contains("Fine. [grinning face] Ωmega, [cjk unified ideographs 8239] and Привет");
    assertThat(reader.getNumberOfPages()).isGreaterThan(1);
  }

  @Test
  void whatCameWithTextsLiesInTheArchiveWithItsSum() throws Exception {
    fabulum.tables.update("update line set carries = 'PDF DOCUMENT'");
    fabulum.context.getBean(Lines.class).forget();
    String from = fabulum.freshNumber();
    receives(from, Fabulum.DOCK, "with a file");
    long id = maren.conversationOf(from).path("id").asLong();
    JsonNode put =
        maren
            .upload("/api/conversations/" + id + "/attachments", "offer.txt", "Lift: $450")
            .require(200)
            .json();
    maren
        .post(
            "/api/conversations/" + id + "/texts",
            Map.of(
                "words",
                "Here it is.",
                "reference",
                Fabulum.reference(),
                "attachments",
                List.of(put.path("id").asLong())))
        .require(200);
    Map<String, byte[]> archive = new HashMap<>();
    try (ZipInputStream zip =
        new ZipInputStream(
            new ByteArrayInputStream(file(made("conversation " + id + "; ever", "JSON", true))))) {
      ZipEntry entry;
      while ((entry = zip.getNextEntry()) != null) {
        archive.put(entry.getName(), zip.readAllBytes());
      }
    }
    JsonNode script = read(new String(archive.get("script.json"), StandardCharsets.UTF_8));
    JsonNode file = script.get(script.size() - 1).path("attachments").get(0);
    byte[] content = archive.get(file.path("file").asString());
    assertThat(new String(content, StandardCharsets.UTF_8)).isEqualTo("Lift: $450");
    String sum = HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(content));
    assertThat(file.path("sha256").asString()).isEqualTo(sum);
    assertThat(new String(archive.get("SHA256SUMS"), StandardCharsets.UTF_8))
        .isEqualTo(sum + "  " + file.path("file").asString() + "\n");
  }

  @Test
  void exportsGoWithWhoIsRemovedForGood() throws IOException {
    String from = fabulum.freshNumber();
    long customer = fabulum.customer("Nell", from);
    receives(from, Fabulum.DOCK, "my last words");
    long id = made("ever; customer " + customer, "CSV", false);
    assertThat(text(id)).contains("my last words");
    may("maren", "LEAD", List.of("TEXT", "EXPORT", "REMOVE_FOR_GOOD"));
    maren.post("/api/customers/" + customer + "/removal", Map.of("name", "Nell")).require(200);
    maren.get("/api/exports/" + id + "/file").require(404);
    try (var left = Files.list(fabulum.context.getBean(DataSettings.class).exports())) {
      assertThat(left).isEmpty();
    }
  }

  @Test
  void whatIsLeftOverIsTakenAwayAndWhatIsNotOursIsLeftAlone() throws IOException {
    long kept = made("sent; ever", "CSV", false);
    Path folder = fabulum.context.getBean(DataSettings.class).exports();
    Path left = Files.createFile(folder.resolve("99999999.part"));
    Path others = Files.createFile(folder.resolve("read me.txt"));
    fabulum.context.getBean(Exports.class).sweep();
    assertThat(left).doesNotExist();
    assertThat(others).exists();
    maren.get("/api/exports/" + kept + "/file").require(200);
    Files.delete(others);
  }

  @Test
  void onlyWhoMayExportsAndOnlyTheirOwnForSevenDays() {
    ask(otto, "ever", "CSV", false).require(403);
    long id = made("sent; ever", "CSV", false);
    fabulum.signedIn("tom").get("/api/exports/" + id + "/file").require(404);
    assertThat(maren.get("/api/setup/record?words=exported").body())
        .contains("exported as CSV")
        .contains("sent; ever");
    may("maren", "LEAD", List.of("TEXT"));
    maren.get("/api/exports/" + id + "/file").require(403);
    may("maren", "LEAD", List.of("TEXT", "EXPORT"));
    maren.get("/api/exports/" + id + "/file").require(200);
    fabulum.clock.advance(Exports.KEPT);
    maren.get("/api/exports/" + id + "/file").require(404);
    fabulum.context.getBean(Exports.class).sweep();
    maren.call("DELETE", "/api/exports/" + id, null).require(404);
    ask(maren, "from 2026-02-30", "CSV", false).require(422);
  }
}
