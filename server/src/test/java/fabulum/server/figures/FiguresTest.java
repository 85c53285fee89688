package fabulum.server.figures;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import de.siegmar.fastcsv.reader.CsvReader;
import fabulum.core.access.Role;
import fabulum.core.hours.Hours;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.promise.Promise;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.feed.ChangeFeed;
import fabulum.server.figures.store.FigureMapper;
import fabulum.server.lines.Lines;
import fabulum.server.lines.NewLine;
import fabulum.server.people.People;
import fabulum.server.people.Teams;
import fabulum.server.platform.DiskReserve;
import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import fabulum.server.testing.Webhook;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class FiguresTest {
  private static final ZoneId ZONE = ZoneId.of("America/Chicago");
  private TwoTeams office;
  private Fabulum fabulum;
  private Browser maren;

  @BeforeAll
  void start() {
    office = TwoTeams.start();
    fabulum = office.fabulum;
    fabulum
        .context
        .getBean(Teams.class)
        .join(new TeamId(office.farTeam), new StaffId(office.id("maren")));
    maren = fabulum.signedIn("maren");
  }

  @AfterAll
  void stop() {
    office.close();
  }

  private static Answer ask(Browser who, String path, String sentence) {
    String join = path.contains("?") ? "&" : "?";
    String said = URLEncoder.encode(sentence, StandardCharsets.UTF_8);
    return who.get("/api/reports" + path + join + "sentence=" + said);
  }

  private static JsonNode report(Browser who, String sentence) {
    return ask(who, "", sentence).require(200).json();
  }

  private static JsonNode total(JsonNode report, String column) {
    JsonNode columns = report.path("columns");
    for (int i = 0; i < columns.size(); i++) {
      if (columns.get(i).path("name").asString().equals(column)) {
        return report.path("total").path("values").get(i);
      }
    }
    throw new AssertionError("No column " + column + " in " + columns);
  }

  /** On days of its own, so that nothing of another test counts. */
  private String tomorrow() {
    fabulum.clock.advance(Duration.ofDays(2));
    return "from " + LocalDate.ofInstant(fabulum.clock.instant(), ZONE);
  }

  private String answer(Browser by, long conversation, String words) {
    String reference = Fabulum.reference();
    by.post(
            "/api/conversations/" + conversation + "/texts",
            Map.of("words", words, "reference", reference))
        .require(200);
    return reference;
  }

  /** A customer on the far line, which is always open, who is answered after these minutes. */
  private long answered(Browser by, int minutes) {
    long id = office.text(TwoTeams.FAR, "Is there a berth?");
    fabulum.clock.advance(Duration.ofMinutes(minutes));
    answer(by, id, "There is.");
    return id;
  }

  @Test
  void everyoneSeesTheirOwnFiguresAndOnlyLeadsThoseOfOthers() {
    Browser otto = fabulum.signedIn("otto");
    String days = tomorrow();
    answered(otto, 5);
    String own = days + "; person " + office.id("otto");
    assertThat(total(report(otto, own), "Answers").asInt()).isEqualTo(1);
    assertThat(ask(otto, "/behind", own).require(200).json().path("cases").size()).isEqualTo(1);
    for (String path : List.of("", "/csv", "/week", "/behind")) {
      ask(otto, path, days).require(403);
      ask(otto, path, days + "; person " + office.id("priya")).require(403);
    }
    ask(fabulum.signedIn("vera"), "", "person " + office.id("vera")).require(403);
  }

  @Test
  void aLeadSeesFiguresOfTheirOwnLinesOnly() {
    String days = tomorrow() + "; by line";
    answered(maren, 5);
    office.add("una", "Una Near", Role.LEAD, 1);
    Browser una = fabulum.signedIn("una");
    JsonNode near = report(una, days);
    assertThat(total(near, "Answers").asInt()).isZero();
    assertThat(near.toString()).doesNotContain("Far line");
    assertThat(report(maren, days).toString()).contains("Far line");
    for (String path : List.of("", "/behind", "/week")) {
      ask(una, path, "line " + office.farLine).require(422);
    }
    assertThat(una.get("/api/reports/costs").json().path("months").get(0).path("parts").asInt())
        .isZero();
  }

  @Test
  void behindAFigureAreTheConversationsThatWereLateByMost() {
    String days = tomorrow();
    answered(maren, 10);
    long late = answered(maren, 70);
    long later = answered(maren, 95);
    String sentence = days + "; line " + office.farLine;
    JsonNode report = report(maren, sentence);
    assertThat(total(report, "Answers").asInt()).isEqualTo(3);
    assertThat(total(report, "Late").asInt()).isEqualTo(2);
    assertThat(total(report, "Half within").asLong()).isEqualTo(70 * 60);
    JsonNode behind = ask(maren, "/behind?late=true", sentence).require(200).json();
    assertThat(behind.path("cases").valueStream().map(one -> one.path("conversationId").asLong()))
        .containsExactly(later, late);
    JsonNode first = behind.path("cases").get(0);
    assertThat(first.path("seconds").asLong()).isEqualTo(95 * 60);
    assertThat(first.path("promiseSeconds").asLong()).isEqualTo(60 * 60);
    String none = "&key=" + LocalDate.ofInstant(fabulum.clock.instant(), ZONE).minusDays(1);
    assertThat(ask(maren, "/behind?late=true" + none, sentence).json().path("cases").size())
        .isZero();
  }

  /** A promise that changes afterwards changes nothing of what was. */
  @Test
  void anAnswerIsHeldToThePromiseOfItsTime() {
    String days = tomorrow() + "; line " + office.farLine;
    answered(maren, 50);
    fabulum.tables.update("update line set promise_minutes = 30 where id = ?", office.farLine);
    fabulum.context.getBean(Lines.class).forget();
    answered(maren, 50);
    fabulum.tables.update("update line set promise_minutes = 60 where id = ?", office.farLine);
    fabulum.context.getBean(Lines.class).forget();
    maren.post("/api/reports/again", Map.of()).require(204);
    assertThat(total(report(maren, days), "Late").asInt()).isEqualTo(1);
  }

  @Test
  void textsThatDidNotArriveAreCountedByTheirReasonAndNoAnswers() {
    String days = tomorrow();
    long id = office.text(TwoTeams.FAR, "Hello?");
    String reference = answer(maren, id, "Hello!");
    assertThat(
            fabulum.comesTo(
                "select delivery from entry where reference = '" + reference + "'", "SENT"))
        .isTrue();
    assertThat(total(report(maren, days), "Answers").asInt()).isEqualTo(1);
    fabulum.webhook().report(reference, "failed").require(200);
    assertThat(total(report(maren, days), "Answers").asInt()).isZero();
    JsonNode reasons = report(maren, "texts not delivered; by reason; " + days);
    assertThat(reasons.path("rows").size()).isEqualTo(1);
    assertThat(reasons.path("rows").get(0).path("key").asString()).isEqualTo("Out of service.");
    assertThat(total(reasons, "Share of texts sent").asDouble()).isEqualTo(1.0);
    JsonNode behind =
        ask(maren, "/behind?key=Out+of+service.", "texts not delivered; by reason; " + days).json();
    assertThat(behind.path("cases").get(0).path("reason").asString()).isEqualTo("Out of service.");

    // As from a network that does not say why.
    fabulum.tables.update("update entry set failure_reason = null where reference = ?", reference);
    maren.post("/api/reports/again", Map.of()).require(204);
    String sentence = "texts not delivered; by reason; " + days;
    String none = "no reason given";
    assertThat(fabulum.becomes(() -> report(maren, sentence).toString().contains(none))).isTrue();
    String path = "/behind?key=" + none.replace(' ', '+');
    assertThat(ask(maren, path, sentence).json().path("cases").size()).isOne();
    assertThat(ask(maren, "/behind?key=Gone", sentence).json().path("cases").size()).isZero();
  }

  @Test
  void anUnknownNumberIsIdentifiedInWorkingTimeAndTakenBackItIsNot() {
    String days = tomorrow();
    long customer = fabulum.customer("Nell Arbour");
    long id = office.text(TwoTeams.FAR, "It is me");
    fabulum.clock.advance(Duration.ofMinutes(12));
    JsonNode done =
        maren
            .post(
                "/api/conversations/" + id + "/identify/customer",
                Map.of("customerId", customer, "shared", false, "seen", List.of()))
            .require(200)
            .json();
    String sentence = "unknown numbers; line " + office.farLine + "; " + days;
    JsonNode report = report(maren, sentence);
    assertThat(total(report, "New numbers").asInt()).isEqualTo(1);
    assertThat(total(report, "Identified").asInt()).isEqualTo(1);
    assertThat(total(report, "Half within").asLong()).isEqualTo(12 * 60);
    maren.post("/api/identifying/" + done.path("act").asLong() + "/undo", null).require(200);
    assertThat(total(report(maren, sentence), "Identified").asInt()).isZero();
  }

  @Test
  void theFileOfAReportSaysWhatTheReportSays() {
    String days = tomorrow() + "; by line";
    answered(maren, 20);
    String csv = ask(maren, "/csv", days).require(200).body();
    List<List<String>> lines =
        CsvReader.builder().ofCsvRecord(csv).stream().map(line -> line.getFields()).toList();
    assertThat(lines.get(0))
        .containsExactly(
            "line",
            "Answers",
            "Half within (seconds)",
            "9 of 10 within (seconds)",
            "In time (share)",
            "Late");
    assertThat(lines).contains(List.of("Far line", "1", "1200", "1200", "1", "0"));
    assertThat(lines.get(lines.size() - 1).get(0)).isEqualTo("All");
  }

  @Test
  void plansAreReckonedForEachMonthAndForAVolume() {
    tomorrow();
    answered(maren, 3);
    Map<String, Object> plan =
        Map.of("name", "Flat", "currency", "USD", "fee", 5, "included", 2, "overPrice", 0.5);
    long id = maren.post("/api/reports/plans", plan).require(200).json().path("id").asLong();
    JsonNode costs = maren.get("/api/reports/costs?volume=12").require(200).json();
    JsonNode flat = costs.path("plans").get(0);
    assertThat(flat.path("volume").asDouble()).isEqualTo(10.0);
    long parts = costs.path("months").get(0).path("parts").asLong();
    assertThat(parts).isPositive();
    assertThat(flat.path("months").get(0).asDouble()).isEqualTo(5 + 0.5 * Math.max(0, parts - 2));
    Answer twice = maren.post("/api/reports/plans", plan);
    twice.require(422);
    assertThat(twice.body()).contains("already a plan with this name");
    Map<String, Object> wrong = new HashMap<>(plan);
    wrong.put("fee", -1);
    wrong.put("included", -1);
    wrong.put("currency", "XXZ");
    assertThat(maren.put("/api/reports/plans/" + id, wrong).require(422).body())
        .contains("A fee is 0 to", "0 or more", "Not a currency");
    maren.get("/api/reports/costs?volume=-1").require(422);
    maren.call("DELETE", "/api/reports/plans/" + id, null).require(204);
    maren.call("DELETE", "/api/reports/plans/" + id, null).require(404);
  }

  @Test
  void aSavedReportComesByMailOnceAWeekToALeadOnly() {
    fabulum.tables.update(
        "update staff set email = 'maren@quillhaven.example' where sign_in_name = 'maren'");
    fabulum.context.getBean(People.class).forget();
    Map<String, Object> wanted =
        Map.of("name", "Answers", "said", "last 7; by line", "place", "REPORTS");
    long id = maren.post("/api/sentences", wanted).require(200).json().path("id").asLong();
    maren.put("/api/sentences/" + id + "/mail", Map.of("mailed", true)).require(204);
    ReportMail mail = fabulum.context.getBean(ReportMail.class);
    mail.sendDue();
    assertThat(mails(id)).isZero();
    fabulum.clock.advance(Duration.ofDays(7));
    mail.sendDue();
    mail.sendDue();
    assertThat(mails(id)).isEqualTo(1);
    assertThat(
            fabulum.tables.queryForObject(
                "select words from mail where reference like ?", String.class, mailed(id)))
        .contains("answer times, ", "All: ", "answers ");
    fabulum.clock.advance(Duration.ofDays(7));
    office.add("gus", "Gus Lead", Role.LEAD, 1);
    fabulum.tables.update("update staff set role = 'STAFF' where sign_in_name = 'maren'");
    fabulum.context.getBean(People.class).forget();
    fabulum.context.getBean(Permits.class).forget();
    mail.sendDue();
    assertThat(mails(id)).isEqualTo(1);
    fabulum.tables.update("update staff set role = 'LEAD' where sign_in_name = 'maren'");
    fabulum.context.getBean(People.class).forget();
    fabulum.context.getBean(Permits.class).forget();
    maren.put("/api/sentences/" + id + "/mail", Map.of("mailed", false)).require(204);
    mail.sendDue();
    assertThat(mails(id)).isEqualTo(1);
  }

  private static String mailed(long id) {
    return "report-" + id + "-%";
  }

  private int mails(long id) {
    Integer count =
        fabulum.tables.queryForObject(
            "select count(*) from mail where reference like ?", Integer.class, mailed(id));
    return count == null ? 0 : count;
  }

  /**
   * A text that arrives late begins a wait within one that was over: nobody waits twice at a time.
   */
  @Test
  void aTextThatArrivesLateLetsNobodyWaitTwiceAtATime() {
    String days = tomorrow();
    long id = answered(maren, 30);
    fabulum.clock.advance(Duration.ofMinutes(5));
    fabulum
        .webhook()
        .text(
            Webhook.id(),
            office.numberOf(id),
            TwoTeams.FAR,
            "Sent while I waited",
            fabulum.clock.instant().minus(Duration.ofMinutes(20)))
        .require(200);
    JsonNode hours =
        ask(maren, "/week", "line " + office.farLine + "; " + days).require(200).json();
    LocalDate today = LocalDate.ofInstant(fabulum.clock.instant(), ZONE);
    double seconds = 0;
    for (JsonNode hour : hours.path("hours")) {
      Instant begins = today.atTime(hour.path("hour").asInt(), 0).atZone(ZONE).toInstant();
      long passed = Duration.between(begins, fabulum.clock.instant()).toSeconds();
      seconds += hour.path("waiting").asDouble() * Math.max(0, Math.min(3_600, passed));
    }
    assertThat(seconds).isCloseTo(35 * 60, within(5.0));
  }

  /** The days of a line are those of its clocks, also when these are set otherwise. */
  @Test
  void aLineWhoseClocksChangeIsSummedByTheNewOnes() {
    tomorrow();
    Instant now = fabulum.clock.instant();
    Instant midnight = LocalDate.ofInstant(now, ZONE).plusDays(1).atStartOfDay(ZONE).toInstant();
    fabulum.clock.advance(Duration.between(now, midnight.minusSeconds(1_800)));
    answered(maren, 1);
    LocalDate here = LocalDate.ofInstant(fabulum.clock.instant(), ZONE);
    String days = "from " + here + "; line " + office.farLine;
    assertThat(total(report(maren, days + "; to " + here), "Answers").asInt()).isEqualTo(1);
    fabulum.clock.advance(Duration.ofDays(1));
    fabulum.tables.update("update line set zone = 'America/New_York' where id = ?", office.farLine);
    fabulum.context.getBean(Lines.class).forget();
    fabulum.context.getBean(FigureKeeper.class).upToDate();
    fabulum.context.getBean(FigureKeeper.class).sumAgain();
    assertThat(total(report(maren, days + "; to " + here), "Answers").asInt()).isZero();
    LocalDate there = here.plusDays(1);
    String next = "from " + there + "; to " + there + "; line " + office.farLine;
    assertThat(total(report(maren, next), "Answers").asInt()).isEqualTo(1);
    fabulum.tables.update("update line set zone = 'America/Chicago' where id = ?", office.farLine);
    fabulum.context.getBean(Lines.class).forget();
    fabulum.context.getBean(FigureKeeper.class).upToDate();
    fabulum.context.getBean(FigureKeeper.class).sumAgain();
  }

  /** The sums of the others hold, and nobody reads that figures are being worked out. */
  @Test
  void aNewLineHasNoDaysToSum() {
    answered(maren, 1);
    FigureKeeper keeper = fabulum.context.getBean(FigureKeeper.class);
    keeper.upToDate();
    keeper.sumAgain();
    Hours always = Hours.always(ZONE);
    Promise hour = new Promise(Duration.ofHours(1));
    PhoneNumber number = new PhoneNumber("+19205550110");
    fabulum
        .context
        .getBean(Lines.class)
        .add(new NewLine("Far site", "Far team", "New", number, new Region("US"), always, hour));
    answered(maren, 1);
    keeper.upToDate();
    assertThat(keeper.percent()).isEqualTo(100);
  }

  /** What was summed before the program ended holds. */
  @Test
  void afterAnotherStartNoDayIsSummedAgain() {
    answered(maren, 1);
    FigureKeeper keeper = fabulum.context.getBean(FigureKeeper.class);
    keeper.upToDate();
    keeper.sumAgain();
    FigureKeeper next =
        new FigureKeeper(
            fabulum.context.getBean(FigureMapper.class),
            fabulum.context.getBean(DaySummer.class),
            fabulum.context.getBean(TouchedDays.class),
            fabulum.context.getBean(ChangeFeed.class),
            fabulum.context.getBean(Lines.class),
            fabulum.context.getBean(DiskReserve.class));
    next.upToDate();
    assertThat(next.percent()).isEqualTo(100);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "by hour",
        "line 9999",
        "answers",
        "from 2026-02-30",
        "last 99999",
        "people; by day"
      })
  void aSentenceThatCannotBeIsRefusedWithTheReason(String sentence) {
    Answer answer = ask(maren, "", sentence);
    answer.require(422);
    assertThat(answer.json().path("fields").get(0).path("field").asString()).isEqualTo("sentence");
  }

  @Test
  void peopleAreInTheOrderOfTheirNamesWithWhatTheyHaveNow() {
    String days = tomorrow();
    long id = answered(maren, 5);
    JsonNode people = report(maren, "people; " + days);
    assertThat(total(people, "Answers").asInt()).isEqualTo(1);
    assertThat(people.path("rows").valueStream().map(row -> row.path("label").asString()))
        .contains("Maren Oduya")
        .isSorted();
    int open = total(people, "Open now").asInt();
    maren.post("/api/conversations/" + id + "/done", Map.of()).require(200);
    assertThat(total(report(maren, "people; " + days), "Open now").asInt()).isEqualTo(open - 1);
  }
}
