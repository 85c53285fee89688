package fabulum.server.inbox;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;

@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ElsewhereTest {
  private final TwoTeams office = TwoTeams.start();

  @AfterAll
  void stop() {
    office.close();
  }

  private long text(String number, String line, String words) {
    office.fabulum.clock.advance(Duration.ofSeconds(1));
    office.fabulum.webhook().text(number, line, words).require(200);
    Long id =
        office.fabulum.tables.queryForObject(
            "select c.id from conversation c join number n on n.id = c.number_id"
                + " join line l on l.id = c.line_id where n.address = ? and l.number = ?",
            Long.class,
            number,
            line);
    return id == null ? 0 : id;
  }

  private List<Long> elsewhere(long id, String who) {
    Browser browser = office.fabulum.signedIn(who);
    List<Long> found = new ArrayList<>();
    browser
        .get("/api/conversations/" + id + "/elsewhere")
        .require(200)
        .json()
        .forEach(row -> found.add(row.path("id").asLong()));
    return found;
  }

  @Test
  void theSameNumberIsFoundOnOtherLinesAndOnlyThoseOneSees() {
    String number = office.fabulum.freshNumber();
    long dock = text(number, Fabulum.DOCK, "for the dock");
    long yard = text(number, Fabulum.YARD, "for the yard");
    long far = text(number, TwoTeams.FAR, "for the far line");
    office.text(Fabulum.DOCK, "somebody else");
    assertThat(elsewhere(dock, "priya")).containsExactly(yard);
    assertThat(elsewhere(far, "otto")).isEmpty();
  }

  @Test
  void theOtherNumbersOfACustomerAreTheirsToo() {
    String first = office.fabulum.freshNumber();
    String second = office.fabulum.freshNumber();
    String third = office.fabulum.freshNumber();
    String fourth = office.fabulum.freshNumber();
    office.fabulum.customer("Vera Lund", first, second, third, fourth);
    office
        .fabulum
        .signedIn("maren")
        .post("/api/write-to", Map.of("line", 1, "number", fourth, "makeCustomer", false))
        .require(200);
    long here = text(first, Fabulum.DOCK, "from my own phone");
    long there = text(second, Fabulum.DOCK, "from the boat");
    long shore = text(third, Fabulum.YARD, "from the shore");
    assertThat(elsewhere(here, "maren")).as("the newest text first").containsExactly(shore, there);
    text(second, Fabulum.DOCK, "and again");
    assertThat(elsewhere(here, "maren")).containsExactly(there, shore);
    assertThat(elsewhere(there, "maren")).containsExactly(shore, here);
  }

  @Test
  void whoeverDoesNotSeeTheConversationIsToldNothing() {
    long dock = office.text(Fabulum.DOCK, "for the dock");
    office.fabulum.signedIn("otto").get("/api/conversations/" + dock + "/elsewhere").require(404);
  }
}
