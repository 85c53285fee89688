package fabulum.server.work;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import tools.jackson.databind.JsonNode;

/** Appointments for calendar programs. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class CalendarTest {
  private static final String ADDRESSES = "/api/calendar-addresses";

  private final TwoTeams office = TwoTeams.start();
  private final Fabulum fabulum = office.fabulum;
  private final Browser maren = fabulum.signedIn("maren");
  private final Browser stranger = fabulum.browser();

  @AfterAll
  void stop() {
    office.close();
  }

  private long agreed(long customer, String what, String at) {
    return maren
        .post(
            "/api/customers/" + customer + "/appointments",
            Map.of(
                "what",
                what,
                "startsAt",
                at,
                "place",
                "Yard; crane, left",
                "state",
                "AGREED",
                "version",
                0))
        .require(200)
        .json()
        .path("id")
        .asLong();
  }

  private String address(Map<String, Object> wanted) {
    return maren.post(ADDRESSES, wanted).require(200).json().path("path").asString();
  }

  @Test
  void whoKnowsAnAddressReadsTheAppointmentsUntilItIsEnded() {
    long vera = fabulum.customer("Vera Lund, & Sons");
    agreed(vera, "Lift-out", "2026-07-01T14:00:00Z");
    agreed(vera, "Long ago", "2025-01-01T14:00:00Z");
    String path = address(Map.of());
    String calendar = stranger.get(path).require(200).body();
    assertThat(calendar)
        .contains("BEGIN:VCALENDAR", "DTSTART:20260701T140000Z", "LOCATION:Yard\\; crane\\, left")
        .contains("Vera Lund\\, & Sons")
        .doesNotContain("Long ago");
    assertThat(fabulum.tables.queryForList("select * from calendar_address").toString())
        .doesNotContain(path.substring(10, 30));
    assertThat(stranger.get("/calendar/" + "x".repeat(32) + ".ics").status()).isEqualTo(404);

    JsonNode mine = maren.get(ADDRESSES).require(200).json();
    assertThat(mine.path(0).has("lastUsedAt")).isTrue();
    long id = mine.path(0).path("id").asLong();
    assertThat(fabulum.signedIn("priya").call("DELETE", ADDRESSES + "/" + id, null).status())
        .as("nobody else's")
        .isEqualTo(404);
    assertThat(maren.call("DELETE", ADDRESSES + "/" + id, null).status()).isEqualTo(200);
    assertThat(stranger.get(path).status()).isEqualTo(404);
  }

  @Test
  void anAddressShowsNothingOnceItsMakerMayNotExport() {
    long otto = fabulum.customer("Otto Brandt");
    agreed(otto, "Survey", "2026-07-03T14:00:00Z");
    long priyaId = office.id("priya");
    Map<String, Object> may =
        Map.of("role", "STAFF", "permissions", List.of("EXPORT"), "teams", List.of(1));
    maren.put("/api/setup/people/" + priyaId, may).require(204);
    String path =
        fabulum
            .signedIn("priya")
            .post(ADDRESSES, Map.of())
            .require(200)
            .json()
            .path("path")
            .asString();
    assertThat(stranger.get(path).require(200).body()).contains("Survey");
    Map<String, Object> mayNot =
        Map.of("role", "STAFF", "permissions", List.of(), "teams", List.of(1));
    maren.put("/api/setup/people/" + priyaId, mayNot).require(204);
    assertThat(stranger.get(path).status()).isEqualTo(404);
  }

  @Test
  void aCalendarThatWentOutIsReadAgainAsTheSame() {
    long ida = fabulum.customer("Ida Falk");
    long lift = agreed(ida, "Lift-out", "2026-08-01T14:00:00Z");
    String calendar =
        maren
            .get("/api/customers/export/appointments.ics?sentence=called+falk")
            .require(200)
            .body();
    JsonNode preview = maren.upload("/api/imports", "a.ics", calendar).require(200).json();
    assertThat(preview.path("counts").path("same").asInt()).isEqualTo(1);
    String moved = calendar.replace("20260801T140000Z", "20260802T140000Z");
    JsonNode changed = maren.upload("/api/imports", "a.ics", moved).require(200).json();
    assertThat(changed.path("counts").path("changed").asInt()).isEqualTo(1);
    assertThat(lift).isPositive();
  }
}
