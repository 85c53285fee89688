package fabulum.server.history;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class HistoryTest {
  private final TwoTeams office = TwoTeams.start();
  private final Fabulum fabulum = office.fabulum;
  private final Browser priya = fabulum.signedIn("priya");
  private final Browser otto = fabulum.signedIn("otto");

  @AfterAll
  void stop() {
    office.close();
  }

  private long text(String number, String line, String words) {
    fabulum.clock.advance(Duration.ofMinutes(1));
    fabulum.webhook().text(number, line, words).require(200);
    Browser who = line.equals(TwoTeams.FAR) ? otto : priya;
    return who.conversationOf(number).path("id").asLong();
  }

  private void note(long conversation, String words) {
    Map<String, Object> note = Map.of("words", words, "reference", Fabulum.reference());
    priya.post("/api/conversations/" + conversation + "/notes", note).require(204);
  }

  private static JsonNode history(Browser who, String sentence) {
    String text = URLEncoder.encode(sentence, StandardCharsets.UTF_8);
    return who.get("/api/history?sentence=" + text).require(200).json();
  }

  private static List<String> found(Browser who, String sentence) {
    return words(history(who, sentence));
  }

  private static List<String> words(JsonNode page) {
    return page.path("rows")
        .valueStream()
        .map(row -> row.path("entry").path("words").asString())
        .toList();
  }

  @Test
  void whatIsSaidIsFoundAtOnceByWhoSeesItAndByNobodyElse() {
    text(fabulum.freshNumber(), Fabulum.DOCK, "The zinc anode is loose");
    text(fabulum.freshNumber(), TwoTeams.FAR, "Zinc anodes for sale");
    assertThat(found(priya, "mention zinc anode")).containsExactly("The zinc anode is loose");
    assertThat(found(otto, "mention zinc anode")).containsExactly("Zinc anodes for sale");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "corroding|true",
        "corrode shaft|true",
        "\"propeller shafts\"|true",
        "\"shafts propeller\"|false",
        "\"propeller shaft\"|false",
        "propeller -corroded|false",
        "propeller -\"shafts corroded badly\"|true",
        "prop*|true",
        "(920) 555-0177|true",
        "9205550177|true",
        "5550177|true",
        "2400|true",
        "2,400|true",
        "🛥️|true",
        "cafe|true",
        "café|true",
        "rudder|false",
        "-rudder propeller|true"
      })
  void wordsAreFoundHoweverTheyAreWritten(String typed, boolean there) {
    String said =
        "Both propeller shafts are corroded, ask at the Café or 920.555.0177: $2,400 👍🏽 🛥";
    if (found(priya, "ever; mention corroded").isEmpty()) {
      text(fabulum.freshNumber(), Fabulum.DOCK, said);
    }
    assertThat(found(priya, "mention " + typed)).isEqualTo(there ? List.of(said) : List.of());
  }

  @Test
  void hitsAreMarkedInTheWords() {
    text(fabulum.freshNumber(), Fabulum.DOCK, "Mooring lines chafed, the moorings need eyes");
    JsonNode hits = history(priya, "mention mooring").path("rows").get(0).path("hits");
    assertThat(
            hits.valueStream().map(hit -> hit.path("from").asInt() + "-" + hit.path("to").asInt()))
        .containsExactly("0-7", "26-34");
  }

  @Test
  void whatTheNextHolderOfANumberWroteIsNotTheirs() {
    String number = fabulum.freshNumber();
    long before = fabulum.customer("Otis Vane", number);
    text(number, Fabulum.DOCK, "binnacle of Otis");
    fabulum.clock.advance(Duration.ofDays(2));
    long since = fabulum.customer("Ruth Vane", number);
    OffsetDateTime passedOn = fabulum.clock.instant().atOffset(ZoneOffset.UTC);
    fabulum.tables.update(
        "update holding set held_until = ? where customer_id = ?", passedOn, before);
    fabulum.tables.update(
        "update holding set held_from = ? where customer_id = ?", passedOn, since);
    fabulum.clock.advance(Duration.ofDays(2));
    text(number, Fabulum.DOCK, "binnacle of Ruth");
    assertThat(found(priya, "ever; customer " + before + "; mention binnacle"))
        .containsExactly("binnacle of Otis");
    assertThat(found(priya, "ever; customer " + since + "; mention binnacle"))
        .containsExactly("binnacle of Ruth");
  }

  @Test
  void aSentenceNarrowsByWhatItSays() {
    String number = fabulum.freshNumber();
    fabulum.customer("Wilhelmina Quist", number);
    long id = text(number, Fabulum.DOCK, "sextant question");
    priya.answer(id, "sextant answer").require(200);
    note(id, "sextant note");
    text(fabulum.freshNumber(), Fabulum.YARD, "sextant at the yard");
    assertThat(found(priya, "mention sextant"))
        .containsExactly("sextant at the yard", "sextant answer", "sextant question");
    assertThat(found(priya, "sent; mention sextant")).containsExactly("sextant answer");
    assertThat(found(priya, "notes; mention sextant")).containsExactly("sextant note");
    assertThat(found(priya, "everything; mention sextant")).hasSize(4);
    assertThat(found(priya, "called quist; mention sextant"))
        .containsExactly("sextant answer", "sextant question");
    assertThat(found(priya, "called " + number.substring(5) + "; mention sextant")).hasSize(2);
    assertThat(found(priya, "everything; by " + office.id("priya") + "; mention sextant"))
        .containsExactly("sextant note", "sextant answer");
    assertThat(found(priya, "team " + office.farTeam + "; mention sextant")).isEmpty();
    assertThat(found(priya, "automatic; mention sextant")).isEmpty();
    assertThat(found(priya, "sent; by a person; mention sextant")).hasSize(1);
    assertThat(found(priya, "any; mention sextant nowhere")).hasSize(3);
    assertThat(found(priya, "with attachment; mention sextant")).isEmpty();
    JsonNode events = history(priya, "events; called quist");
    assertThat(events.path("rows").size()).isPositive();
    long line = priya.conversationOf(number).path("lineId").asLong();
    assertThat(found(priya, "received; line " + line + "; mention sextant"))
        .containsExactly("sextant question");
    long customer = priya.conversationOf(number).path("customerId").asLong();
    assertThat(found(priya, "customer " + customer + "; mention sextant")).hasSize(2);
    assertThat(found(otto, "customer " + customer + "; mention sextant")).isEmpty();
  }

  @Test
  void oldTextsNeedToBeAskedFor() {
    text(fabulum.freshNumber(), Fabulum.DOCK, "a barometer long ago");
    fabulum.clock.advance(Duration.ofDays(14));
    text(fabulum.freshNumber(), Fabulum.DOCK, "a barometer today");
    assertThat(found(priya, "mention barometer")).containsExactly("a barometer today");
    assertThat(found(priya, "ever; mention barometer")).hasSize(2);
    assertThat(found(priya, "last 15; mention barometer")).hasSize(2);
    assertThat(found(priya, "last 1; mention barometer")).containsExactly("a barometer today");
  }

  @Test
  void stretchesFollowEachOtherWithoutAGapOrADouble() {
    String number = fabulum.freshNumber();
    for (int i = 0; i < 12; i++) {
      fabulum.webhook().text(number, Fabulum.DOCK, "halyard " + i).require(200);
    }
    List<String> all = new ArrayList<>();
    String next = "";
    JsonNode page;
    do {
      page =
          priya
              .get("/api/history?limit=5&sentence=mention%20halyard&from=" + next)
              .require(200)
              .json();
      all.addAll(words(page));
      next = URLEncoder.encode(page.path("next").asString(""), StandardCharsets.UTF_8);
    } while (!next.isEmpty());
    assertThat(all).hasSize(12).doesNotHaveDuplicates();
    assertThat(all.get(0)).isEqualTo("halyard 11");
    assertThat(history(priya, "mention halyard").path("count").asInt()).isEqualTo(12);
  }

  @Test
  void aSlipIsAnsweredWithWordsThatFindSomethingForThisPerson() {
    text(fabulum.freshNumber(), Fabulum.DOCK, "The windlass jams");
    text(fabulum.freshNumber(), TwoTeams.FAR, "A windlash of ours");
    assertThat(nearMisses(priya, "the windlas jams")).containsExactly("the windlass jams");
    assertThat(nearMisses(otto, "the windlas")).isEmpty();
    assertThat(nearMisses(otto, "windlas")).containsExactly("windlash");
    assertThat(nearMisses(priya, "windl")).containsExactly("windlass");
    assertThat(nearMisses(priya, "the windlas jamms")).containsExactly("the windlass jams");
    assertThat(nearMisses(priya, "windlas xyzzy")).isEmpty();
    assertThat(nearMisses(priya, "xyzzy")).isEmpty();
  }

  private static List<String> nearMisses(Browser who, String words) {
    return history(who, "mention " + words)
        .path("nearMisses")
        .valueStream()
        .map(JsonNode::asString)
        .toList();
  }

  @Test
  void aNoteIsFoundByWhatItSaysNow() {
    long id = text(fabulum.freshNumber(), Fabulum.DOCK, "hello");
    note(id, "owes a fender");
    JsonNode row = history(priya, "notes; mention fender").path("rows").get(0);
    long entry = row.path("entry").path("id").asLong();
    Map<String, Object> other = Map.of("words", "owes a bollard", "mentions", List.of());
    priya.put("/api/conversations/" + id + "/notes/" + entry, other).require(204);
    assertThat(found(priya, "notes; mention fender")).isEmpty();
    assertThat(found(priya, "notes; mention bollard")).hasSize(1);
    priya.call("DELETE", "/api/conversations/" + id + "/notes/" + entry, null);
    assertThat(found(priya, "notes; mention bollard")).isEmpty();
  }

  @Test
  void inOneScriptEverythingIsFound() {
    String number = fabulum.freshNumber();
    long id = text(number, Fabulum.DOCK, "capstan one");
    text(fabulum.freshNumber(), Fabulum.DOCK, "capstan elsewhere");
    fabulum.clock.advance(Duration.ofDays(40));
    text(number, Fabulum.DOCK, "capstans two");
    String path = "/api/conversations/" + id + "/find?words=";
    assertThat(words(priya.get(path + "capstan").require(200).json()))
        .containsExactly("capstans two", "capstan one");
    assertThat(words(priya.get(path).require(200).json())).isEmpty();
    otto.get(path + "capstan").require(404);
  }

  @Test
  void aScriptIsReadDownToAText() {
    String number = fabulum.freshNumber();
    fabulum.customer("Tilda", number);
    long id = text(number, Fabulum.DOCK, "first of all");
    long first =
        history(priya, "mention \"first of all\"")
            .path("rows")
            .get(0)
            .path("entry")
            .path("id")
            .asLong();
    for (int i = 0; i < 60; i++) {
      fabulum.webhook().text(number, Fabulum.DOCK, "more " + i).require(200);
    }
    String script = "/api/conversations/" + id + "/script";
    assertThat(priya.get(script).require(200).json().path("entries").size()).isEqualTo(50);
    JsonNode page = priya.get(script + "?to=" + first).require(200).json();
    assertThat(page.path("entries").get(0).path("id").asLong()).isLessThanOrEqualTo(first);
    assertThat(page.path("entries").size()).isGreaterThan(60);
    priya.get(script + "?to=999999").require(404);
    long customer = priya.conversationOf(number).path("customerId").asLong();
    JsonNode story = priya.get("/api/customers/" + customer + "/story?to=" + first).json();
    assertThat(story.path("entries").size()).isGreaterThan(60);
    otto.get(script + "?to=" + first).require(404);
  }

  @Test
  void aSentenceIsSavedForATeam() {
    Map<String, Object> saved =
        Map.of("name", "Storms", "said", "ever;mention storm", "place", "HISTORY", "teamId", 1);
    priya.post("/api/sentences", saved).require(200);
    JsonNode found =
        fabulum
            .signedIn("tom")
            .get("/api/sentences")
            .json()
            .valueStream()
            .filter(one -> one.path("name").asString().equals("Storms"))
            .findFirst()
            .orElseThrow();
    assertThat(found.path("said").asString()).isEqualTo("ever; mention storm");
    assertThat(found.path("place").asString()).isEqualTo("HISTORY");
    priya
        .post(
            "/api/sentences",
            Map.of("name", "x", "said", "ever", "place", "HISTORY", "group", "DONE"))
        .require(422);
    priya
        .post("/api/sentences", Map.of("name", "y", "said", "left 3", "place", "HISTORY"))
        .require(422);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "from 2026-02-30|from 2026-02-30",
        "mention|mention",
        "line none|line none",
        "nonsense|nonsense"
      })
  void aSentenceThatCannotBeReadIsNamed(String sentence, String named) {
    String text = URLEncoder.encode(sentence, StandardCharsets.UTF_8);
    assertThat(priya.get("/api/history?sentence=" + text).require(422).body()).contains(named);
  }

  @Test
  void lineThatIsNotSeenAnyMoreShowsNothingAndBreaksNothing() {
    assertThat(found(otto, "line 1")).isEmpty();
    assertThat(found(priya, "line 999; ever")).isEmpty();
    String many = URLEncoder.encode("mention " + "word ".repeat(2_000), StandardCharsets.UTF_8);
    assertThat(priya.get("/api/history?sentence=" + many).status()).isIn(422, 400);
    assertThat(history(priya, "mention \"windlass").path("hints").size()).isEqualTo(1);
    assertThat(history(priya, "mention *").path("hints").size()).isEqualTo(1);
  }
}
