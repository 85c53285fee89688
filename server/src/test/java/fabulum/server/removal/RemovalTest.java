package fabulum.server.removal;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

/** A person's wish to be forgotten. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class RemovalTest {
  private final TwoTeams office = TwoTeams.start();
  private final Fabulum fabulum = office.fabulum;
  private final Browser maren = fabulum.signedIn("maren");

  @BeforeAll
  void give() {
    may("maren", "LEAD", List.of("TEXT", "SEND_TO_MANY", "EXPORT", "REMOVE_FOR_GOOD"));
  }

  private void may(String who, String role, List<String> permissions) {
    maren
        .put(
            "/api/setup/people/" + office.id(who),
            Map.of("role", role, "permissions", permissions, "teams", List.of(1)))
        .require(204);
  }

  @AfterAll
  void stop() {
    office.close();
  }

  private long id(String number) {
    return maren.conversationOf(number).path("id").asLong();
  }

  private Answer remove(long customer, String name) {
    return maren.post("/api/customers/" + customer + "/removal", Map.of("name", name));
  }

  /** Every table in which one of these words stands. */
  private List<String> tablesWith(String... words) {
    List<String> found = new ArrayList<>();
    for (String table :
        fabulum.tables.queryForList(
            "select table_name from information_schema.tables where table_type = 'BASE TABLE' and lower(table_schema) = 'public'",
            String.class)) {
      String all = fabulum.tables.queryForList("select * from \"" + table + "\"").toString();
      for (String word : words) {
        if (all.contains(word)) {
          found.add(table + ": " + word);
        }
      }
    }
    return found;
  }

  @Test
  void nothingOfThemIsLeftInAnyTable() {
    String number = fabulum.freshNumber();
    long zora = fabulum.customer("Zora Quimby", number);
    fabulum.detail(zora, "Boat", "Wanderlark");
    fabulum.webhook().text(number, Fabulum.DOCK, "zorawords one").require(200);
    long conversation = id(number);
    String page = "/api/customers/" + zora;
    maren.post(page + "/notes", Map.of("words", "zoranote")).require(200);
    maren.put(page + "/field", Map.of("field", "EMAIL", "now", "zora@post.example")).require(200);
    maren.post(page + "/contacts", Map.of("name", "Zorina"));
    maren
        .post(
            page + "/appointments",
            Map.of(
                "what",
                "zoralift",
                "startsAt",
                "2026-07-01T14:00:00Z",
                "place",
                "",
                "state",
                "AGREED",
                "version",
                0))
        .require(200);
    maren.answer(conversation, "zoraanswer").require(200);
    long file =
        maren
            .upload("/api/imports", "zora quimby.csv", "Name,Phone\nZora Quimby," + number + "\n")
            .require(200)
            .json()
            .path("id")
            .asLong();
    String note = "/api/conversations/" + conversation + "/notes";
    maren.post(note, Map.of("words", "zorateam", "reference", Fabulum.reference())).require(204);
    fabulum.tables.update(
        "insert into second_look (conversation_id, staff_id, words, reference, asked_at) values (?, ?, 'zorawaits', 'zora', current_timestamp)",
        conversation,
        office.id("priya"));
    fabulum.tables.update(
        "insert into enquiry_form (address, name, business, heading, intro, wording, colour, asks, confirms, in_use)"
            + " values ('f', 'f', 'b', 'h', '', 'w', '#000000', 'ENQUIRY', true, true)");
    fabulum.tables.update(
        "insert into enquiry (reference, form_id, line_id, number, name, words, wording, came_at, came_from, conversation_id)"
            + " select 'r', id, 1, ?, 'Zora', 'zoraform', 'w', current_timestamp, '::1', ? from enquiry_form",
        number,
        conversation);
    fabulum.tables.update("insert into enquiry_code values (?, current_timestamp)", number);
    assertThat(fabulum.comesTo("select count(*) from outbox", "0")).isTrue();
    String[] words = {
      "Zora", "zora", "Wanderlark", number, number.substring(2), "Zorina",
    };
    assertThat(tablesWith(words)).isNotEmpty();

    JsonNode preview = maren.get(page + "/removal").require(200).json();
    assertThat(preview.path("texts").asInt()).isEqualTo(2);
    assertThat(remove(zora, "Zora").status()).as("another name").isEqualTo(422);
    assertThat(maren.get(page).status()).isEqualTo(200);
    remove(zora, " zora quimby ").require(200);

    assertThat(maren.get(page).status()).isEqualTo(404);
    assertThat(tablesWith(words)).isEmpty();
    assertThat(maren.get("/api/imports/" + file).status())
        .as("a file not yet taken")
        .isEqualTo(404);
    assertThat(maren.get("/api/customers?sentence=called+zora").json().path("customers")).isEmpty();
    assertThat(maren.get("/api/conversations?group=THEIR_TURN").body()).doesNotContain("zora");
    assertThat(maren.get("/api/conversations/jump?words=wanderlark").json()).isEmpty();
    assertThat(maren.get("/api/setup/record").require(200).body())
        .contains("removed for good", "1 numbers, 1 conversations, 2 texts");
  }

  @Test
  void anOptOutHoldsWhenTheNumberComesBackAsAStrangers() {
    String number = fabulum.freshNumber();
    long ida = fabulum.customer("Ida Forgetme", number);
    fabulum.webhook().text(number, Fabulum.DOCK, "hello").require(200);
    fabulum.webhook().text(number, Fabulum.DOCK, "STOP").require(200);
    remove(ida, "Ida Forgetme").require(200);
    fabulum.webhook().text(number, Fabulum.DOCK, "who is this").require(200);
    long again = id(number);
    JsonNode row = maren.conversationOf(number);
    assertThat(row.has("customerName")).isFalse();
    assertThat(row.path("toIdentify").asBoolean()).isTrue();
    assertThat(maren.script(again).findValuesAsString("words")).containsOnly("who is this");
    Answer refused = maren.answer(again, "Good morning");
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.body()).contains("opted-out");
  }

  @Test
  void whatTheNetworkTellsOnceMoreDoesNotComeBack() {
    String number = fabulum.freshNumber();
    long uma = fabulum.customer("Uma Once", number);
    String network = "told-again-" + number.substring(5);
    fabulum
        .webhook()
        .text(network, number, Fabulum.DOCK, "umawords", fabulum.clock.instant())
        .require(200);
    remove(uma, "Uma Once").require(200);
    fabulum
        .webhook()
        .text(network, number, Fabulum.DOCK, "umawords", fabulum.clock.instant())
        .require(200);
    assertThat(tablesWith("umawords")).isEmpty();
  }

  @Test
  void whatOthersHaveTooStays() {
    String shared = fabulum.freshNumber();
    long ole = fabulum.customer("Ole Stays", shared);
    long pia = fabulum.customer("Pia Leaves", shared);
    fabulum.webhook().text(shared, Fabulum.DOCK, "from pia").require(200);
    long conversation = id(shared);
    maren
        .post(
            "/api/conversations/" + conversation + "/identify/holder",
            Map.of("customerId", pia, "scope", "CONVERSATION", "seen", List.of(ole, pia)))
        .require(200);
    fabulum.webhook().text(shared, Fabulum.DOCK, "pia again").require(200);
    remove(pia, "Pia Leaves").require(200);
    JsonNode row = maren.conversationOf(shared);
    assertThat(row.path("customerName").asString()).isEqualTo("Ole Stays");
    assertThat(maren.script(conversation).findValuesAsString("words"))
        .contains("Removed for good.")
        .doesNotContain("pia again");
    assertThat(row.path("lastWords").asString()).isEqualTo("Removed for good.");
  }

  @Test
  void onlyWhoMayRemovesAndOnlyOnce() {
    long vic = fabulum.customer("Vic Safe", fabulum.freshNumber());
    String removal = "/api/customers/" + vic + "/removal";
    may("priya", "STAFF", List.of("TEXT", "REMOVE_FOR_GOOD"));
    Browser priya = fabulum.signedIn("priya");
    assertThat(priya.get(removal).status()).isEqualTo(403);
    assertThat(priya.post(removal, Map.of("name", "Vic Safe")).status()).isEqualTo(403);
    remove(vic, "Vic Safe").require(200);
    assertThat(remove(vic, "Vic Safe").status()).isEqualTo(404);
  }
}
