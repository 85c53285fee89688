package fabulum.server.imports;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.access.StaffId;
import fabulum.server.customers.CustomerId;
import fabulum.server.identify.CustomerJoining;
import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

/** One program for all: each test has customers of its own, by name and number. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ImportTest {
  private static final String FILES = "/api/imports";

  private final TwoTeams office = TwoTeams.start();
  private final Fabulum fabulum = office.fabulum;
  private final Browser maren = fabulum.signedIn("maren");

  @AfterAll
  void stop() {
    office.close();
  }

  private JsonNode handIn(String words) {
    return maren.upload(FILES, "customers.csv", words).require(200).json();
  }

  private static String fates(JsonNode preview) {
    JsonNode counts = preview.path("counts");
    return "new %d, same %d, changed %d, asked %d, refused %d"
        .formatted(
            counts.path("added").asInt(),
            counts.path("same").asInt(),
            counts.path("changed").asInt(),
            counts.path("asked").asInt(),
            counts.path("refused").asInt());
  }

  private Answer run(JsonNode preview, Map<String, Object> choice) {
    Map<String, Object> body = new HashMap<>(choice);
    body.putIfAbsent("onlyGood", false);
    return maren.post(FILES + "/" + preview.path("id").asLong() + "/run", body);
  }

  private JsonNode settled(long id) {
    fabulum.context.getBean(ImportRunner.class).settle();
    return maren.get(FILES + "/" + id).require(200).json();
  }

  private JsonNode taken(JsonNode preview, Map<String, Object> choice) {
    run(preview, choice).require(200);
    return settled(preview.path("id").asLong());
  }

  private JsonNode found(String words) {
    return maren
        .get("/api/customers?sentence=called+" + words)
        .require(200)
        .json()
        .path("customers");
  }

  /** All that is on file, but the records of what was done. */
  private List<Map<String, Object>> everything() {
    return fabulum.tables.queryForList(
        "select c.id, c.name, c.email, c.kind, c.site_id, c.outside_id, c.language,"
            + " (select count(*) from detail d where d.customer_id = c.id) as details,"
            + " (select max(d.words) from detail d where d.customer_id = c.id) as said,"
            + " (select count(*) from contact k where k.customer_id = c.id) as contacts,"
            + " (select count(*) from customer_note n where n.customer_id = c.id) as notes,"
            + " (select count(*) from on_list l where l.customer_id = c.id) as lists,"
            + " (select count(*) from holding h where h.customer_id = c.id) as numbers,"
            + " (select count(*) from conversation v where v.customer_id = c.id) as conversations"
            + " from customer c order by c.id");
  }

  @Test
  void rowsAreNewSameChangedAskedOrRefused() {
    String known = fabulum.freshNumber();
    long vera = fabulum.customer("Vera Lund", known);
    long boat = fabulum.detail(vera, "Boat", "Heron");
    fabulum.customer("Robert Marsh", fabulum.freshNumber());
    String fresh = fabulum.freshNumber();
    String file =
        "Name;Cell phone;E-mail;BOAT\n"
            + "Vera Lund;"
            + known
            + ";vera@lund.example;Tansy\n"
            + "Bob Marsh;;;Plover\n"
            + "Ada Brandt;"
            + fresh
            + ";;Kittiwake\n"
            + "Nobody;12;;\n"
            + "Ada Brandt;"
            + fresh
            + ";;\n";
    JsonNode preview = handIn(file);
    assertThat(fates(preview)).isEqualTo("new 1, same 0, changed 1, asked 1, refused 2");
    assertThat(preview.path("separator").asString()).isEqualTo(";");
    assertThat(preview.path("columns").valueStream().map(c -> c.path("target").asString()))
        .containsExactly("NAME", "NUMBER", "EMAIL", "DETAIL " + boat);
    assertThat(preview.path("rows").toString())
        .contains("Number “12”", "stands in line 4", "Is it Robert Marsh", "Boat: Heron → Tansy");
    List<Map<String, Object>> before = everything();
    assertThat(run(preview, Map.of()).status()).isEqualTo(422);
    assertThat(everything()).isEqualTo(before);

    JsonNode done = taken(preview, Map.of("onlyGood", true, "answers", Map.of("3", 0)));
    assertThat(done.path("added").asInt()).isEqualTo(2);
    assertThat(done.path("changed").asInt()).isEqualTo(1);
    assertThat(found("kittiwake").path(0).path("name").asString()).isEqualTo("Ada Brandt");
    assertThat(found("tansy").path(0).path("name").asString()).isEqualTo("Vera Lund");
    assertThat(found("plover").path(0).path("name").asString()).isEqualTo("Bob Marsh");
    JsonNode again = handIn(file);
    assertThat(fates(again)).isEqualTo("new 0, same 2, changed 0, asked 1, refused 2");
    assertThat(again.path("rows").toString()).contains("Is it Bob Marsh");
  }

  @Test
  void anImportIsTakenBackExactly() {
    String known = fabulum.freshNumber();
    String stranger = fabulum.freshNumber();
    long vera = fabulum.customer("Vera Holm", known);
    fabulum.detail(vera, "Boat", "Heron");
    fabulum.webhook().text(stranger, Fabulum.DOCK, "hello").require(200);
    long list =
        maren
            .post("/api/customer-lists", Map.of("name", "Spring"))
            .require(200)
            .json()
            .path("id")
            .asLong();
    List<Map<String, Object>> before = everything();
    JsonNode preview =
        handIn(
            "Name,Phone,E-mail,Boat,Note,Contact,Language\nVera Holm,"
                + known
                + ",v@x.example,Tansy,keeps the key,Otto,es\nIda Nordahl,"
                + stranger
                + ",,Plover,new here,Ida,German\n");
    JsonNode done = taken(preview, Map.of("list", list));
    assertThat(done.path("state").asString()).isEqualTo("DONE");
    assertThat(everything()).isNotEqualTo(before);
    assertThat(found("nordahl")).hasSize(1);
    assertThat(everything()).extracting(row -> row.get("language")).contains("es", "de");
    maren.post(FILES + "/" + done.path("id").asLong() + "/undo", Map.of()).require(200);
    assertThat(settled(done.path("id").asLong()).path("state").asString()).isEqualTo("UNDONE");
    assertThat(everything()).isEqualTo(before);
    assertThat(found("nordahl")).isEmpty();
  }

  @Test
  void whatPeopleDidSinceStays() {
    JsonNode done = taken(handIn("Name,Phone\nGro Svane,\nPia Lykke,\n"), Map.of());
    long ada = found("svane").path(0).path("id").asLong();
    maren.post("/api/customers/" + ada + "/notes", Map.of("words", "called us")).require(200);
    maren.post(FILES + "/" + done.path("id").asLong() + "/undo", Map.of()).require(200);
    JsonNode undone = settled(done.path("id").asLong());
    assertThat(undone.path("why").asString()).contains("1 customer stays");
    assertThat(found("svane")).hasSize(1);
    assertThat(found("lykke")).isEmpty();
  }

  /**
   * Joining filled in the address of the customer who stays, so it is no longer the import's alone.
   */
  @Test
  void whatIsOfCustomersWhoWereJoinedSinceStays() {
    String known = fabulum.freshNumber();
    long vera = fabulum.customer("Tilda Ravn", known);
    long other = fabulum.customer("Tilda Ravnt", fabulum.freshNumber());
    JsonNode done =
        taken(handIn("Name,Phone,E-mail\nTilda Ravn," + known + ",v@x.example\n"), Map.of());
    fabulum
        .context
        .getBean(CustomerJoining.class)
        .join(new CustomerId(other), new CustomerId(vera), new StaffId(office.id("maren")));
    maren.post(FILES + "/" + done.path("id").asLong() + "/undo", Map.of()).require(200);
    JsonNode undone = settled(done.path("id").asLong());
    assertThat(undone.path("why").asString()).contains("1 customer stays", "joined");
    assertThat(
            fabulum.tables.queryForList(
                "select email from customer where id in (?, ?)", String.class, other, vera))
        .containsExactly("v@x.example", "v@x.example");
  }

  @Test
  void whatIsExportedIsReadAgainAsTheSame() {
    String number = fabulum.freshNumber();
    long vera = fabulum.customer("Sif Arndt", number, "+442079460123");
    fabulum.detail(vera, "Boat", "=Heron");
    Map<String, Object> speaks = Map.of("field", "LANGUAGE", "now", "es");
    maren.put("/api/customers/" + vera + "/field", speaks).require(200);
    maren.post("/api/customers/" + vera + "/notes", Map.of("words", "a \"key\", kept"));
    assertThat(fabulum.signedIn("priya").get("/api/customers/export/csv").status()).isEqualTo(403);
    String csv = maren.get("/api/customers/export/csv?sentence=called+arndt").require(200).body();
    assertThat(csv).contains("'=Heron", "'+44 20 7946 0123", "\"a \"\"key\"\", kept\"");
    assertThat(fates(handIn(csv))).isEqualTo("new 0, same 1, changed 0, asked 0, refused 0");
    String cards = maren.get("/api/customers/export/vcf?sentence=called+arndt").require(200).body();
    assertThat(cards).contains("BEGIN:VCARD", "VERSION:4.0", "FN:Sif Arndt", "LANG:es");
    JsonNode again = maren.upload(FILES, "book.vcf", cards).require(200).json();
    assertThat(fates(again)).isEqualTo("new 0, same 1, changed 0, asked 0, refused 0");
    Map<String, Object> silent = Map.of("field", "LANGUAGE", "was", "es");
    maren.put("/api/customers/" + vera + "/field", silent).require(200);
    assertThat(fates(handIn(csv))).isEqualTo("new 0, same 0, changed 1, asked 0, refused 0");
  }

  @Test
  void aHouseholdIsAskedAbout() {
    String number = fabulum.freshNumber();
    fabulum.customer("Ben Falk", number);
    JsonNode preview = handIn("Name,Phone\nAda Falk," + number + "\n");
    assertThat(fates(preview)).isEqualTo("new 0, same 0, changed 0, asked 1, refused 0");
  }

  @Test
  void vCardsAreReadToo() {
    String cards =
        "BEGIN:VCARD\r\nVERSION:3.0\r\nFN:Ada Nyman\r\nTEL;TYPE=CELL:(920) 555-0134\r\n"
            + "EMAIL:ada@x.example\r\nNOTE:from the fair\r\nEND:VCARD\r\n"
            + "BEGIN:VCARD\r\nVERSION:4.0\r\nN:Kvist;Bo;;;\r\nFN:\r\nTEL;VALUE=uri;TYPE=home:tel:+1-920-555-0135\r\nEND:VCARD\r\n";
    JsonNode preview = maren.upload(FILES, "book.vcf", cards).require(200).json();
    assertThat(fates(preview)).isEqualTo("new 2, same 0, changed 0, asked 0, refused 0");
    taken(preview, Map.of());
    JsonNode ada = found("920-555-0134").path(0);
    assertThat(ada.path("name").asString()).isEqualTo("Ada Nyman");
    assertThat(found("9205550135").path(0).path("name").asString()).isEqualTo("Bo Kvist");
  }

  @Test
  void theEncodingIsGuessedAndCanBeChanged() {
    byte[] windows =
        "Name;Phone\nJürgen Groß;\nRené Français;\nSøren Ærø;\n"
            .getBytes(Charset.forName("windows-1252"));
    JsonNode preview = maren.upload(FILES, "a.csv", windows).require(200).json();
    assertThat(preview.path("rows").toString()).contains("Jürgen Groß", "Søren Ærø");
    Map<String, Object> russian = Map.of("encoding", "windows-1251", "onlyGood", false);
    JsonNode other =
        maren
            .post(FILES + "/" + preview.path("id").asLong() + "/preview", russian)
            .require(200)
            .json();
    assertThat(other.path("rows").toString()).doesNotContain("Jürgen");
    byte[] wide = "\uFEFFName\tPhone\nÖdön Kiss\t\n".getBytes(StandardCharsets.UTF_16LE);
    assertThat(maren.upload(FILES, "b.csv", wide).require(200).json().path("rows").toString())
        .contains("Ödön Kiss");
  }

  @Test
  void badFilesAreRefusedWithTheReason() {
    int before = maren.get(FILES).require(200).json().size();
    refused(new byte[] {'P', 'K', 3, 4, 0, 0}, "packed file or a spreadsheet");
    refused(new byte[0], "The file is empty");
    refused(octets("Name,Phone\nAda,\"12\nBen"), "a quotation mark may be missing");
    refused(octets("Name\n" + "x".repeat(10_000_000)), "more than 20,000 characters");
    refused(octets("Na\0me,\0\nb,c"), "not a text file");
    assertThat(maren.get(FILES).require(200).json()).hasSize(before);
  }

  private static byte[] octets(String words) {
    return words.getBytes(StandardCharsets.UTF_8);
  }

  private void refused(byte[] file, String why) {
    Answer refused = maren.upload(FILES, "customers.csv", file);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.json().path("detail").asString()).contains(why);
  }

  @Test
  void whatWasCutOffIsTakenBackAtTheNextStart() {
    JsonNode done = taken(handIn("Name,Phone\nLone Toft,\n"), Map.of());
    fabulum.tables.update(
        "update customer_import set state = 'RUNNING' where id = ?", done.path("id").asLong());
    fabulum.context.getBean(ImportRunner.class).goOn();
    JsonNode undone = settled(done.path("id").asLong());
    assertThat(undone.path("state").asString()).isEqualTo("UNDONE");
    assertThat(undone.path("why").asString()).contains("Fabulum stopped");
    assertThat(found("toft")).isEmpty();
  }
}
