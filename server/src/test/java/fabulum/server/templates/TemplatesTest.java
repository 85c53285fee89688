package fabulum.server.templates;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

/** Texts that are written once and used often. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class TemplatesTest {
  private static final String ALL = "/api/templates";

  private final TwoTeams office = TwoTeams.start();
  private final Fabulum fabulum = office.fabulum;
  private final Browser maren = fabulum.signedIn("maren");
  private final Browser priya = fabulum.signedIn("priya");
  private final Browser otto = fabulum.signedIn("otto");
  private int names;

  @AfterAll
  void stop() {
    office.close();
  }

  private String fresh(String begun) {
    names++;
    return begun + names;
  }

  private static Map<String, Object> wanted(String title, String shortName, String words) {
    Map<String, Object> wanted = new HashMap<>();
    wanted.put("title", title);
    wanted.put("shortName", shortName);
    wanted.put("words", words);
    wanted.put("guarded", false);
    wanted.put("retired", false);
    return wanted;
  }

  private static Map<String, Object> with(Map<String, Object> wanted, String field, Object value) {
    Map<String, Object> other = new HashMap<>(wanted);
    other.put(field, value);
    return other;
  }

  private JsonNode add(Browser by, Map<String, Object> wanted) {
    return by.post(ALL, wanted).require(200).json();
  }

  private static String address(JsonNode template) {
    return ALL + "/" + template.path("id").asLong();
  }

  private static Answer change(Browser by, JsonNode seen, Map<String, Object> wanted) {
    return by.put(address(seen) + "?seen=" + seen.path("version").asLong(), wanted);
  }

  private JsonNode named(Browser by, long conversation, String shortName) {
    return by.get("/api/conversations/" + conversation + "/templates/named/" + shortName)
        .require(200)
        .json();
  }

  private static List<String> titles(JsonNode templates) {
    List<String> titles = new ArrayList<>();
    templates.forEach(one -> titles.add(one.path("title").asString()));
    return titles;
  }

  private static List<String> faults(Answer answer) {
    List<String> faults = new ArrayList<>();
    answer
        .require(422)
        .json()
        .path("fields")
        .forEach(
            one -> faults.add(one.path("field").asString() + ": " + one.path("why").asString()));
    return faults;
  }

  private long conversationOf(String name, String words) {
    long conversation = office.text(Fabulum.DOCK, words);
    fabulum.customer(name, office.numberOf(conversation));
    return conversation;
  }

  @Test
  void isFilledForTheCustomerTheLineAndThePersonWhoWrites() {
    String link = fresh("Booking ");
    maren
        .post("/api/links", Map.of("name", link, "address", "https://quill.example/book"))
        .require(200);
    String number = fabulum.freshNumber();
    long customer = fabulum.customer("Ada Moon", number);
    fabulum.detail(customer, "Boat", "Kestrel {x}");
    maren
        .post(
            "/api/customers/" + customer + "/appointments",
            Map.of(
                "what",
                "Lift-out",
                "startsAt",
                "2026-06-10T15:30:00Z",
                "place",
                "North Dock",
                "state",
                "AGREED",
                "version",
                0))
        .require(200);
    fabulum.webhook().text(number, Fabulum.DOCK, "when is my lift?").require(200);
    long conversation = priya.conversationOf(number).path("id").asLong();
    String name = fresh("all");
    add(
        priya,
        wanted(
            "Everything",
            name,
            "Hi {first name}, {Boat} at {appointment: when}, {appointment: place}. {line: name} is open {hours: today}. {link: "
                + link
                + "} {job: what} {job: number | no job} {staff: first name}"));

    JsonNode filled = named(priya, conversation, name.toUpperCase(java.util.Locale.ROOT));
    assertThat(filled.path("words").asString())
        .startsWith("Hi Ada, Kestrel (x) at tomorrow at 10:30 am, North Dock. ")
        .contains("https://quill.example/book {what} no job Priya");
    assertThat(filled.path("gaps").toString()).contains("\"name\":\"what\"");
    assertThat(filled.path("parts").asInt()).isEqualTo(1);

    String from = "/api/conversations/" + conversation + "/templates/made-from";
    assertThat(
            priya.post(from, Map.of("words", "Ada, Priya here.")).json().path("words").asString())
        .isEqualTo("{customer: first name | there}, {staff: first name} here.");

    // The gap is refused by whatever way it would leave.
    Map<String, Object> text =
        Map.of("words", filled.path("words").asString(), "reference", Fabulum.reference());
    assertThat(priya.post("/api/conversations/" + conversation + "/texts", text).status())
        .isEqualTo(422);
  }

  @Test
  void isOfferedOnlyWhereItIsForAndItsTitleIsThereOnceInAFolder() {
    long dock = conversationOf("Dora Dock", "hello");
    long yard = office.text(Fabulum.YARD, "hello");
    Long line =
        fabulum.tables.queryForObject(
            "select line_id from conversation where id = ?", Long.class, yard);
    String title = fresh("Only the yard ");
    add(priya, with(wanted(title, "", "Yes."), "lines", Set.of(line)));
    String found = "/templates?words=" + title.replace(" ", "%20");
    assertThat(titles(templates(dock, found))).isEmpty();
    assertThat(titles(templates(yard, found))).containsExactly(title);

    assertThat(faults(priya.post(ALL, wanted(title, "", "No."))))
        .containsExactly("title: There is a template with this title in the folder.");
    add(priya, with(wanted(title, "", "No."), "folder", "Another"));
  }

  private JsonNode templates(long conversation, String found) {
    return priya
        .get("/api/conversations/" + conversation + found)
        .require(200)
        .json()
        .path("templates");
  }

  @Test
  void thoseInTheLanguageOfTheCustomerComeFirstAndThoseInAnotherLast() {
    String number = fabulum.freshNumber();
    long customer = fabulum.customer("Inés Vega", number);
    fabulum.webhook().text(number, Fabulum.DOCK, "hola").require(200);
    long conversation = priya.conversationOf(number).path("id").asLong();
    String tag = fresh("tongue");
    for (String language : List.of("", "de", "es")) {
      add(priya, with(wanted(tag + "-" + language, "", "Si."), "language", language));
    }
    String found = "/templates?words=" + tag;
    assertThat(titles(templates(conversation, found)))
        .containsExactly(tag + "-", tag + "-de", tag + "-es");
    Map<String, Object> speaks = Map.of("field", "LANGUAGE", "now", "es");
    priya.put("/api/customers/" + customer + "/field", speaks).require(200);
    assertThat(titles(templates(conversation, found)))
        .containsExactly(tag + "-es", tag + "-", tag + "-de");
  }

  @Test
  void whoDoesNotSeeTheLineDoesNotSeeItsTemplates() {
    String mine = fresh("far");
    JsonNode far =
        add(
            otto,
            with(
                wanted(fresh("Of the far team"), mine, "Far away."),
                "teams",
                Set.of(office.farTeam)));
    String everywhere = fresh("Everywhere ");
    add(otto, wanted(everywhere, fresh("ev"), "Anywhere."));

    assertThat(titles(otto.get(ALL).json())).contains(far.path("title").asString(), everywhere);
    assertThat(titles(priya.get(ALL).json()))
        .contains(everywhere)
        .doesNotContain(far.path("title").asString());
    assertThat(priya.get(address(far)).status()).isEqualTo(404);
    assertThat(change(priya, far, wanted("x", "", "y")).status()).isEqualTo(404);
    assertThat(faults(priya.post(ALL, wanted(fresh("T"), mine, "Other."))))
        .containsExactly("shortName: “" + mine + "” is taken by another team.");
    assertThat(
            faults(
                priya.post(
                    ALL, with(wanted(fresh("T"), "", "x"), "lines", Set.of(office.farLine)))))
        .containsExactly("lines: Choose only lines, sites and teams that you see.");

    long conversation = office.text(Fabulum.DOCK, "hello");
    String dock = "/api/conversations/" + conversation + "/templates";
    assertThat(maren.get(dock + "/short-names").json().toString()).doesNotContain(mine);
    assertThat(maren.get(dock + "/named/" + mine).status()).isEqualTo(404);
    assertThat(otto.get(dock).status()).isEqualTo(404);
  }

  @Test
  void allThatIsWrongIsSaidAtOnceWithItsPlace() {
    String taken = fresh("taken");
    add(priya, wanted("Takes it", taken, "Words."));
    assertThat(
            faults(
                priya.post(
                    ALL,
                    with(
                        wanted(" ", taken, "Hi {nickname}, see {template: lift}. }"),
                        "language",
                        "tlh"))))
        .containsExactly(
            "title: A title has 1 to 80 characters.",
            "shortName: “" + taken + "” is taken by “Takes it”.",
            "words: Character 4: There is no placeholder “{nickname}”.",
            "words: Character 20: A template cannot stand within another. Write its words instead.",
            "words: Character 38: This “}” closes nothing. Braces are for placeholders.",
            "language: “tlh” is no language that Fabulum knows. It knows en, es, fr, de, pt, it, nl, pl.");
    assertThat(faults(priya.post(ALL, wanted(fresh("T"), "thanks", "Words."))))
        .containsExactly(
            "shortName: People type “thanks” as a word. Please choose another short name.");
    assertThat(faults(priya.post(ALL, wanted(fresh("T"), "slots", "These are the slots"))))
        .containsExactly(
            "shortName: The words end with “slots”, so Tab would put them in once more.");
    assertThat(faults(priya.post(ALL, wanted(fresh("T"), "", "x".repeat(1_601)))))
        .containsExactly("words: A template has at most 1600 characters; this one has 1601.");
  }

  @Test
  void earlierVersionsAreKeptAndBroughtBack() {
    String name = fresh("old");
    JsonNode first = add(priya, wanted(fresh("Versions "), name, "First words."));
    Map<String, Object> second = wanted(first.path("title").asString(), name, "Second words.");
    JsonNode now = change(maren, first, second).require(200).json();
    assertThat(change(priya, first, second).status()).isEqualTo(409);

    JsonNode versions = priya.get(address(first) + "/versions").json();
    assertThat(versions.get(0).path("words").asString()).isEqualTo("Second words.");
    assertThat(versions.get(0).path("by").asString()).isEqualTo("Maren Oduya");
    assertThat(versions.get(1).path("words").asString()).isEqualTo("First words.");

    String since = address(first) + "/since/";
    assertThat(
            priya.get(since + "2").json().path("sentence").isMissingNode()
                || priya.get(since + "2").json().path("sentence").isNull())
        .isTrue();
    assertThat(priya.get(since + "1").json().path("sentence").asString())
        .endsWith("was changed after you put it in. Your text stays as it is.");

    JsonNode back =
        priya
            .post(
                address(first) + "/versions/1/bring-back?seen=" + now.path("version").asLong(),
                null)
            .require(200)
            .json();
    assertThat(back.path("words").asString()).isEqualTo("First words.");
    assertThat(priya.get(address(first) + "/versions").json().size()).isEqualTo(3);
  }

  @Test
  void theRetiredIsOfferedNowhereAndItsShortNameIsFree() {
    String name = fresh("gone");
    JsonNode first = add(priya, wanted(fresh("Retired "), name, "First."));
    long conversation = office.text(Fabulum.DOCK, "hello");
    assertThat(named(priya, conversation, name).path("words").asString()).isEqualTo("First.");
    Map<String, Object> same = wanted(first.path("title").asString(), name, "First.");
    JsonNode retired = change(priya, first, with(same, "retired", true)).require(200).json();
    assertThat(
            priya.get("/api/conversations/" + conversation + "/templates/named/" + name).status())
        .isEqualTo(404);
    assertThat(priya.get(address(first) + "/since/1").json().path("sentence").asString())
        .contains("was retired after you put it in");

    add(priya, wanted(fresh("Next "), name, "Second."));
    assertThat(faults(change(priya, retired, same))).hasSize(1);
  }

  @Test
  void aLeadDecidesWhoMayChangeThem() {
    JsonNode open = add(priya, wanted(fresh("Open "), "", "Words."));
    Map<String, Object> same = wanted(open.path("title").asString(), "", "Words.");
    assertThat(faults(change(priya, open, with(same, "guarded", true)))).hasSize(1);
    JsonNode guarded = change(maren, open, with(same, "guarded", true)).require(200).json();
    assertThat(priya.get(address(open)).json().path("mayChange").asBoolean()).isFalse();
    assertThat(change(priya, guarded, with(same, "guarded", true)).status()).isEqualTo(403);
    assertThat(priya.post(address(open) + "/versions/1/bring-back?seen=2", null).status())
        .isEqualTo(403);
    assertThat(fabulum.signedIn("vera").post(ALL, wanted("V", "", "Words.")).status())
        .isEqualTo(403);
    assertThat(
            priya.post("/api/links", Map.of("name", "x", "address", "https://a.example")).status())
        .isEqualTo(403);
  }

  @Test
  void favouritesComeFirstThenWhatIUsedLately() {
    String word = fresh("zq");
    long conversation = office.text(Fabulum.DOCK, "hello?");
    JsonNode plain = add(priya, wanted("A " + word, "", word + " one"));
    JsonNode used = add(priya, wanted("B " + word, "", word + " two"));
    JsonNode liked = add(priya, wanted("C " + word, "", word + " three"));
    priya.put(address(liked) + "/favourite", Map.of("favourite", true)).require(204);
    Map<String, Object> text = new HashMap<>();
    text.put("words", word + " two");
    text.put("reference", Fabulum.reference());
    text.put("template", used.path("id").asLong());
    priya.post("/api/conversations/" + conversation + "/texts", text).require(200);

    JsonNode mine = offered(priya, conversation, word);
    assertThat(titles(mine))
        .containsExactly("C " + word, "B " + word, plain.path("title").asString());
    assertThat(mine.get(0).path("favourite").asBoolean()).isTrue();
    assertThat(mine.get(1).path("recent").asBoolean()).isTrue();
    assertThat(titles(offered(maren, conversation, word))).startsWith("A " + word);

    fabulum
        .webhook()
        .text(office.numberOf(conversation), Fabulum.DOCK, "And which one?")
        .require(200);
    JsonNode usage = maren.get(address(used) + "/usage").json();
    assertThat(usage.path("times").asInt()).isEqualTo(1);
    assertThat(usage.path("askedAgain").asInt()).isEqualTo(1);
    assertThat(usage.path("by").toString()).contains("Priya Nandakumar");
    assertThat(otto.get(address(used) + "/usage").json().path("times").asInt()).isZero();
  }

  private static JsonNode offered(Browser by, long conversation, String words) {
    return by.get("/api/conversations/" + conversation + "/templates?words=" + words)
        .json()
        .path("templates");
  }

  @Test
  void aSampleShowsHowWordsLookAndWhatIsWrongWithThem() {
    conversationOf("Bea Sample", "hello");
    JsonNode sample =
        maren.post(ALL + "/sample", Map.of("words", "“Hi {first name | there}”")).json();
    assertThat(sample.path("unquoted").asString()).isEqualTo("Hi {first name | there}");
    assertThat(sample.path("customer").asString()).isNotEmpty();
    assertThat(sample.path("words").asString()).startsWith("“Hi ");
    assertThat(sample.path("shortest").asInt()).isEqualTo(1);
    JsonNode bad = maren.post(ALL + "/sample", Map.of("words", "Hi {fist name}")).json();
    assertThat(bad.path("faults").get(0).path("at").asInt()).isEqualTo(3);
  }

  @Test
  void aLinkThatIsGoneLeavesAGap() {
    String name = fresh("Page ");
    long id =
        maren
            .post("/api/links", Map.of("name", name, "address", "https://quill.example"))
            .require(200)
            .json()
            .asLong();
    assertThat(faults(maren.post("/api/links", Map.of("name", name, "address", "quill.example"))))
        .containsExactly(
            "name: There is a link with this name.",
            "address: An address begins with https:// or http://, such as https://quill.example.");
    String shortName = fresh("lk");
    add(priya, wanted(fresh("Linked "), shortName, "See {link: " + name + "}."));
    long conversation = office.text(Fabulum.DOCK, "where?");
    assertThat(named(priya, conversation, shortName).path("words").asString())
        .isEqualTo("See https://quill.example.");
    maren.call("DELETE", "/api/links/" + id, null).require(204);
    assertThat(named(priya, conversation, shortName).path("words").asString())
        .isEqualTo("See {" + name.strip() + "}.");
  }
}
