package fabulum.server.templates;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

/** Templates suggested for what a customer asks; here by letters alone. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class SuggestionsTest {
  private final TwoTeams office = TwoTeams.start();
  private final Fabulum fabulum = office.fabulum;
  private final Browser maren = fabulum.signedIn("maren");
  private final Browser priya = fabulum.signedIn("priya");
  private final Browser otto = fabulum.signedIn("otto");
  private final Map<String, Long> templates = new HashMap<>();

  @BeforeAll
  void begin() {
    fabulum.tables.update(
        "insert into staff_permission (staff_id, permission) values (?, 'REMOVE_FOR_GOOD')",
        office.id("maren"));
    template("Fuel hours", "The fuel dock is open from 7 in the morning to 6 in the evening.");
    template("Pump-out", "The pump-out works. Tokens are at the harbour office.");
    template("Winter quote", "For indoor storage this winter we send you a quote by mail.");
    template("Lift slots", "We lift on Tuesdays and Thursdays. Which morning suits you?");
    template("Gate code", "We call you with the code of the gate rather than text it.");
    for (String asked :
        List.of(
            "when does the fuel dock close",
            "what are the hours of the fuel dock on sunday",
            "is the fuel dock open tomorrow")) {
      answer(priya, office.text(Fabulum.DOCK, asked), "We are open.", "Fuel hours");
    }
    answer(priya, office.text(Fabulum.DOCK, "is the pump out working"), "Yes.", "Pump-out");
    answer(priya, office.text(Fabulum.DOCK, "pump out tokens, where"), "Office.", "Pump-out");
    answer(priya, office.text(Fabulum.DOCK, "price for winter storage"), "x.", "Winter quote");
    answer(priya, office.text(Fabulum.DOCK, "can you lift my boat"), "Yes sure.", "Lift slots");
  }

  @AfterAll
  void stop() {
    office.close();
  }

  private void template(String title, String words) {
    Map<String, Object> wanted =
        Map.of("title", title, "words", words, "guarded", false, "retired", false);
    templates.put(
        title, priya.post("/api/templates", wanted).require(200).json().path("id").asLong());
  }

  private void answer(Browser by, long conversation, String words, @Nullable String template) {
    Map<String, Object> text = new HashMap<>();
    text.put("words", words + " " + conversation);
    text.put("reference", Fabulum.reference());
    if (template != null) {
      text.put("template", templates.get(template));
    }
    by.post("/api/conversations/" + conversation + "/texts", text).require(200);
  }

  private JsonNode suggested(Browser by, long conversation) {
    return by.get("/api/conversations/" + conversation + "/suggestions").require(200).json();
  }

  private List<String> titles(Browser by, long conversation) {
    List<String> titles = new ArrayList<>();
    suggested(by, conversation)
        .forEach(one -> titles.add(one.path("template").path("title").asString()));
    return titles;
  }

  private boolean comesFirst(Browser by, long conversation, String title) {
    return fabulum.becomes(
        () -> titles(by, conversation).stream().findFirst().equals(java.util.Optional.of(title)));
  }

  @Test
  void whatAnsweredSimilarQuestionsComesFirstAndSaysWhy() {
    long asks = office.text(Fabulum.DOCK, "hi, when does your fuel dock close on Sunday?");
    assertThat(comesFirst(maren, asks, "Fuel hours")).isTrue();
    JsonNode first = suggested(maren, asks).get(0);
    assertThat(first.path("why").asString()).startsWith("used for ").endsWith("similar questions");
    assertThat(first.path("template").path("words").asString()).startsWith("The fuel dock is open");
    assertThat(suggested(maren, asks).size()).isLessThanOrEqualTo(3);

    answer(maren, asks, "Six.", "Fuel hours");
    assertThat(titles(maren, asks)).isEmpty();
  }

  @Test
  void nothingIsSuggestedWhereNothingFits() {
    assertThat(titles(maren, office.text(Fabulum.DOCK, "Happy birthday, dear Tobias!"))).isEmpty();
  }

  @Test
  void aTypedAnswerThatIsCloseToATemplateTeachesItAtOnce() {
    answer(
        priya,
        office.text(Fabulum.DOCK, "moja lodka potrzebuje dzwigu w czwartek"),
        "We lift on Tuesdays and on Thursdays, which morning would suit you?",
        null);
    long asks = office.text(Fabulum.DOCK, "potrzebuje dzwigu, moja lodka");
    assertThat(comesFirst(maren, asks, "Lift slots")).isTrue();
  }

  @Test
  void onlyWhatSomeoneSeesTeachesThem() {
    answer(
        priya, office.text(Fabulum.DOCK, "zzyzx quorum barrel at dawn"), "By phone.", "Gate code");
    long ours = office.text(Fabulum.DOCK, "zzyzx quorum barrel at dawn?");
    assertThat(comesFirst(maren, ours, "Gate code")).isTrue();
    long theirs = office.text(TwoTeams.FAR, "zzyzx quorum barrel at dawn?");
    assertThat(titles(otto, theirs)).isEmpty();
    assertThat(otto.get("/api/conversations/" + ours + "/suggestions").status()).isEqualTo(404);
  }

  @Test
  void whatIsRemovedForGoodIsForgotten() {
    long asked = office.text(Fabulum.DOCK, "wobbly narwhal figurehead polish");
    long customer = fabulum.customer("Nadia Kerr", office.numberOf(asked));
    answer(priya, asked, "Tokens.", "Pump-out");
    long again = office.text(Fabulum.DOCK, "wobbly narwhal figurehead polish please");
    assertThat(comesFirst(maren, again, "Pump-out")).isTrue();
    removeForGood(customer, "Nadia Kerr");
    assertThat(fabulum.becomes(() -> titles(maren, again).isEmpty())).isTrue();
    long fuel = office.text(Fabulum.DOCK, "when does the fuel dock close?");
    assertThat(comesFirst(maren, fuel, "Fuel hours")).isTrue();
    assertThat(titles(maren, again)).isEmpty();
  }

  @Test
  void whatWasAnsweredBeforeSomethingThatIsRemovedTeachesOn() {
    answer(priya, office.text(Fabulum.DOCK, "creaking bowsprit lantern"), "Tokens.", "Pump-out");
    long removed = office.text(Fabulum.DOCK, "are you there?");
    long customer = fabulum.customer("Odo Fane", office.numberOf(removed));
    answer(priya, removed, "We are.", null);
    removeForGood(customer, "Odo Fane");
    long again = office.text(Fabulum.DOCK, "creaking bowsprit lantern, please");
    assertThat(comesFirst(maren, again, "Pump-out")).isTrue();
    template("Spinnaker loft", "The spinnaker loft mends sails.");
    long sails = office.text(Fabulum.DOCK, "does the spinnaker loft mend sails?");
    assertThat(comesFirst(maren, sails, "Spinnaker loft")).isTrue();
    assertThat(comesFirst(maren, again, "Pump-out")).isTrue();
  }

  private void removeForGood(long customer, String name) {
    String address = "/api/customers/" + customer + "/removal";
    assertThat(fabulum.becomes(() -> maren.post(address, Map.of("name", name)).status() < 300))
        .isTrue();
  }

  @Test
  void aLeadCanSwitchThemOff() {
    try (TwoTeams other = TwoTeams.start()) {
      Browser lead = other.fabulum.signedIn("maren");
      Map<String, Object> wanted =
          Map.of(
              "title",
              "Fuel dock hours",
              "words",
              "The fuel dock is open.",
              "guarded",
              false,
              "retired",
              false);
      lead.post("/api/templates", wanted).require(200);
      long asks = other.text(Fabulum.DOCK, "fuel dock hours, is the fuel dock open");
      String at = "/api/conversations/" + asks + "/suggestions";
      assertThat(other.fabulum.becomes(() -> lead.get(at).json().size() == 1)).isTrue();
      lead.put("/api/setup/suggestions", Map.of("on", false)).require(200);
      assertThat(lead.get(at).json().size()).isZero();
      assertThat(lead.get("/api/setup/history").body()).contains("templates are suggested");
    }
  }
}
