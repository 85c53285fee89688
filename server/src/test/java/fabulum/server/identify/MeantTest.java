package fabulum.server.identify;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.customers.CustomersRemoved;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.time.Duration;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/** With the real sentence model. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class MeantTest {
  private final TwoTeams office = TwoTeams.start("--fabulum.meaning.used=true");
  private final Fabulum fabulum = office.fabulum;

  @AfterAll
  void stop() {
    office.close();
  }

  private long text(String number, String line, String words) {
    fabulum.clock.advance(Duration.ofMinutes(1));
    return office.textFrom(number, line, words);
  }

  private void asked(Browser who, String name, String line, String wrote, String weAsked) {
    String number = fabulum.freshNumber();
    fabulum.customer(name, number);
    long id = text(number, line, wrote);
    who.answer(id, weAsked).require(200);
    fabulum.clock.advance(Duration.ofHours(3));
  }

  private JsonNode likely(Browser who, long conversation) {
    return who.get("/api/conversations/" + conversation + "/likely")
        .require(200)
        .json()
        .path("candidates");
  }

  @Test
  void anAnswerInOtherWordsPointsToWhomWeAskedAndOnlyWhereOneSeesTheQuestion() {
    Browser priya = fabulum.signedIn("priya");
    Browser otto = fabulum.signedIn("otto");
    asked(
        priya,
        "Vera Lund",
        Fabulum.DOCK,
        "The cabin lamp is dead",
        "Shall we put the new lamp over the bunk or beside the door?");
    asked(
        priya,
        "Bo Sander",
        Fabulum.DOCK,
        "Mast is ready?",
        "Yes. Which day would you like to have her launched?");
    asked(
        otto,
        "Ole Brandt",
        TwoTeams.FAR,
        "Keys are lost",
        "Would you rather have the spare at the office or sent to your home?");
    long above = text("+17155550171", Fabulum.DOCK, "Above where we sleep, thanks");
    assertThat(fabulum.becomes(() -> likely(priya, above).toString().contains("MEANS_ANSWER")))
        .isTrue();
    JsonNode found = likely(priya, above);
    assertThat(found.path(0).path("name").asString()).isEqualTo("Vera Lund");
    assertThat(found.path(0).path("reasons").toString()).contains("MEANS_ANSWER", "over the bunk");
    String letter = "Mail it to my house please";
    assertThat(likely(otto, text("+17155550182", TwoTeams.FAR, letter)).toString())
        .contains("MEANS_ANSWER", "sent to your home");
    assertThat(likely(priya, text("+17155550193", Fabulum.DOCK, letter)).toString())
        .doesNotContain("sent to your home");
  }

  @Test
  void whatATextMeansIsKnownBeforeSomeoneOpensItAndForgottenWithWhoIsRemoved() {
    Meant meant = fabulum.context.getBean(Meant.class);
    String words = "The hatch over my bunk drips on the pillow";
    text("+17155550104", Fabulum.DOCK, words);
    assertThat(fabulum.becomes(() -> meant.knows(Set.of(words)))).isTrue();
    fabulum
        .context
        .getBean(TransactionTemplate.class)
        .executeWithoutResult(
            status -> fabulum.context.publishEvent(new CustomersRemoved(List.of(), "Vera Lund")));
    assertThat(meant.knows(Set.of(words))).isFalse();
  }
}
