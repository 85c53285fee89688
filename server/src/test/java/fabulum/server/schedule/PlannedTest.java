package fabulum.server.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.access.Role;
import fabulum.core.delivery.Gateway.OutgoingText;
import fabulum.core.phone.PhoneNumber;
import fabulum.server.access.StaffId;
import fabulum.server.schedule.store.PlannedMapper;
import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Texts that go later, and again. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class PlannedTest {
  private static final ZoneId ZONE = ZoneId.of("America/Chicago");

  private final TwoTeams office = TwoTeams.start("--fabulum.page.address=http://localhost");
  private final Fabulum fabulum = office.fabulum;
  private final Browser maren = fabulum.signedIn("maren");
  private final Browser priya = fabulum.signedIn("priya");
  private final Browser otto = fabulum.signedIn("otto");

  @AfterAll
  void stop() {
    office.close();
  }

  private long conversation() {
    return office.text(Fabulum.DOCK, "customer " + Fabulum.reference());
  }

  private Instant in(Duration wait) {
    return fabulum.clock.instant().plus(wait);
  }

  private static Map<String, Object> later(String words, Instant at) {
    return new HashMap<>(
        Map.of(
            "words",
            words,
            "at",
            at.toString(),
            "whenClosed",
            "SEND",
            "unlessWritten",
            false,
            "comesToMe",
            false,
            "confirmed",
            List.of("night", "day-off")));
  }

  private static Map<String, Object> later(String words, Instant at, String field, Object value) {
    Map<String, Object> text = later(words, at);
    text.put(field, value);
    return text;
  }

  private static Answer plan(Browser by, long conversation, Map<String, Object> text) {
    return by.post(
        "/api/conversations/" + conversation + "/planned",
        Map.of("reference", Fabulum.reference(), "text", text));
  }

  private List<JsonNode> planned(long conversation) {
    return list(maren.get("/api/conversations/" + conversation + "/planned").require(200).json());
  }

  private static List<JsonNode> list(JsonNode array) {
    return StreamSupport.stream(array.spliterator(), false).toList();
  }

  private static Answer act(Browser by, JsonNode plan, String act) {
    return by.post(
        "/api/planned/" + plan.path("id").asLong() + "/" + act,
        Map.of("version", plan.path("version").asLong()));
  }

  private void timePasses(Duration time) {
    fabulum.clock.advance(time);
    fabulum.context.getBean(PlanRunner.class).runDue();
  }

  private List<String> sent(long conversation) {
    return said(conversation, "OUT");
  }

  private List<String> events(long conversation) {
    List<String> events = new ArrayList<>();
    maren.script(conversation).forEach(entry -> events.add(entry.path("event").asString("")));
    return events;
  }

  private List<String> said(long conversation, String kind) {
    List<String> said = new ArrayList<>();
    maren
        .script(conversation)
        .forEach(entry -> {
          if (entry.path("kind").asString().equals(kind)) {
            said.add(entry.path("words").asString());
          }
        });
    return said;
  }

  private String group(long conversation) {
    return dossier(conversation).path("group").asString();
  }

  private JsonNode dossier(long conversation) {
    return maren.get("/api/conversations/" + conversation).require(200).json().path("conversation");
  }

  private void customerWrites(long conversation, String words) {
    fabulum.webhook().text(office.numberOf(conversation), Fabulum.DOCK, words).require(200);
  }

  private String notices(Browser of) {
    return of.get("/api/notices").require(200).body();
  }

  @Test
  void aTextGoesAtItsTimeAndOnlyThen() {
    long id = conversation();
    plan(priya, id, later("Your berth is ready.", in(Duration.ofHours(2)))).require(200);
    assertThat(events(id)).contains("PLANNED");
    timePasses(Duration.ofMinutes(119));
    assertThat(sent(id)).isEmpty();
    assertThat(group(id)).as("planned is not answered").isEqualTo("OUR_TURN");
    timePasses(Duration.ofMinutes(1));
    assertThat(sent(id)).containsExactly("Your berth is ready.");
    assertThat(group(id)).isEqualTo("THEIR_TURN");
    assertThat(planned(id)).isEmpty();
    assertThat(fabulum.becomes(() -> fabulum.network.timesHanded("Your berth is ready.") == 1))
        .isTrue();
    timePasses(Duration.ofDays(1));
    assertThat(sent(id)).hasSize(1);
  }

  @Test
  void plannedForAGroupItGoesOnceToAllWhoStillGetTexts() {
    List<String> three =
        List.of(fabulum.freshNumber(), fabulum.freshNumber(), fabulum.freshNumber());
    fabulum.webhook().toAll(three.get(0), Fabulum.DOCK, three, "the three of us").require(200);
    long id = maren.conversationOf(three.get(0)).path("id").asLong();
    String words = "Lift at ten, " + Fabulum.reference();
    plan(maren, id, later(words, in(Duration.ofHours(2)))).require(200);
    fabulum.webhook().toAll(three.get(2), Fabulum.DOCK, three, "STOP").require(200);
    timePasses(Duration.ofHours(2));
    assertThat(sent(id)).containsExactly(words);
    fabulum.network.awaitHanded(words, 1, () -> {});
    List<OutgoingText> handed =
        fabulum.network.handed.stream().filter(one -> one.words().equals(words)).toList();
    assertThat(handed).hasSize(1);
    assertThat(handed.get(0).group()).isTrue();
    assertThat(handed.get(0).to().stream().map(PhoneNumber::e164))
        .containsExactlyInAnyOrder(three.get(0), three.get(1));
  }

  @Test
  void severalWhoTryAtOnceSendItOnce() throws Exception {
    long id = conversation();
    plan(priya, id, later("once only", in(Duration.ofMinutes(5)))).require(200);
    JsonNode plan = planned(id).get(0);
    fabulum.clock.advance(Duration.ofMinutes(5));
    PlanRunner runner = fabulum.context.getBean(PlanRunner.class);
    ExecutorService all = Executors.newFixedThreadPool(6);
    List<Callable<Object>> tries = new ArrayList<>();
    for (int i = 0; i < 3; i++) {
      tries.add(() -> act(maren, plan, "send-now"));
      tries.add(() -> {
        runner.runDue();
        return 0;
      });
    }
    for (Future<Object> one : all.invokeAll(tries)) {
      one.get();
    }
    all.shutdown();
    assertThat(sent(id)).containsExactly("once only");
  }

  @Test
  void whatWasCancelledAMomentAgoDoesNotGo() {
    long id = conversation();
    plan(priya, id, later("too late to stop?", in(Duration.ofMinutes(5)))).require(200);
    Planned before =
        fabulum
            .context
            .getBean(PlannedMapper.class)
            .find(planned(id).get(0).path("id").asLong())
            .orElseThrow();
    act(priya, planned(id).get(0), "cancel").require(204);
    PlanRun run = fabulum.context.getBean(PlanRun.class);
    assertThat(run.go(before, new StaffId(before.staff()), before.reasons(), false))
        .isInstanceOf(PlanRun.Outcome.Raced.class);
    assertThat(sent(id)).isEmpty();
  }

  @Test
  void planningTwiceUnderOneReferencePlansOnce() {
    long id = conversation();
    Map<String, Object> wanted =
        Map.of("reference", Fabulum.reference(), "text", later("twice", in(Duration.ofHours(1))));
    String address = "/api/conversations/" + id + "/planned";
    long first = priya.post(address, wanted).require(200).json().path("id").asLong();
    assertThat(priya.post(address, wanted).require(200).json().path("id").asLong())
        .isEqualTo(first);
    Map<String, Object> other = new HashMap<>(wanted);
    other.put("text", later("thrice", in(Duration.ofHours(1))));
    assertThat(priya.post(address, other).problem()).endsWith("sent-with-other-words");
    assertThat(planned(id)).hasSize(1);
  }

  @Test
  void placeholdersAreFilledWhenItGoes() {
    long id = conversationOf("Ada Quist");
    String words =
        "Hi {customer: first name}, {appointment: what | nothing} at 9, {staff: first name}.";
    plan(priya, id, later(words, in(Duration.ofHours(1)))).require(200);
    assertThat(planned(id).get(0).path("filled").asString())
        .isEqualTo("Hi Ada, nothing at 9, Priya.");
    agreed(id, in(Duration.ofDays(1)));
    timePasses(Duration.ofHours(1));
    assertThat(sent(id)).containsExactly("Hi Ada, Lift-out at 9, Priya.");
  }

  @Test
  void whatIsMissingWhenItGoesHoldsItAndItsWriterIsNotified() {
    long id = conversation();
    plan(priya, id, later("See you {appointment: when}.", in(Duration.ofHours(1)))).require(200);
    timePasses(Duration.ofHours(1));
    assertThat(sent(id)).isEmpty();
    assertThat(planned(id).get(0).path("held").asString()).contains("{when}");
    assertThat(notices(priya)).contains("A planned text was not sent.");
    assertThat(events(id)).contains("PLAN_HELD");

    JsonNode plan = planned(id).get(0);
    Map<String, Object> changed = later("See you soon.", in(Duration.ofHours(1)));
    priya
        .put(
            "/api/planned/" + plan.path("id").asLong(),
            Map.of("version", plan.path("version").asLong(), "text", changed))
        .require(204);
    assertThat(planned(id).get(0).has("held")).isFalse();
    timePasses(Duration.ofHours(1));
    assertThat(sent(id)).containsExactly("See you soon.");
  }

  @Test
  void aSeriesGoesAgainAndAgainUntilItsEnd() {
    long id = conversation();
    String words = "Please read the meter.";
    plan(priya, id, later(words, in(Duration.ofHours(1)), "rule", "FREQ=DAILY;COUNT=3"))
        .require(200);
    assertThat(planned(id).get(0).path("repeats").asString()).isEqualTo("every day, 3 times");
    timePasses(Duration.ofHours(1));
    assertThat(sent(id)).hasSize(1);
    JsonNode plan = planned(id).get(0);
    assertThat(plan.path("went").asInt()).isEqualTo(1);
    act(priya, plan, "skip").require(204);
    assertThat(act(priya, plan, "skip").status()).as("from what was seen before").isEqualTo(409);
    timePasses(Duration.ofDays(1));
    assertThat(sent(id)).as("the second was left out").hasSize(1);
    timePasses(Duration.ofDays(1));
    assertThat(planned(id)).isEmpty();
    assertThat(sent(id)).containsExactly(words, words);
    assertThat(planned(id)).isEmpty();
    assertThat(events(id)).contains("PLAN_SKIPPED");
  }

  @Test
  void whatWasMissedIsNotMadeUpForAndWhatIsTooLateIsHeld() {
    long id = conversation();
    plan(priya, id, later("every day", in(Duration.ofHours(1)), "rule", "FREQ=DAILY")).require(200);
    timePasses(Duration.ofDays(3).plusHours(2));
    assertThat(sent(id)).as("an hour late, once for three days").hasSize(0);
    assertThat(planned(id).get(0).path("held").asString()).contains("gone too late");
    act(priya, planned(id).get(0), "send-now").require(204);
    assertThat(sent(id)).hasSize(1);
    assertThat(Instant.parse(planned(id).get(0).path("dueAt").asString()))
        .isAfter(fabulum.clock.instant());
    act(priya, planned(id).get(0), "cancel").require(204);
  }

  @Test
  void whatTheCustomerWroteSinceIsNotAnsweredByIt() {
    long id = conversation();
    plan(priya, id, later("As promised.", in(Duration.ofHours(1)))).require(200);
    customerWrites(id, "One more thing?");
    timePasses(Duration.ofHours(1));
    assertThat(sent(id)).containsExactly("As promised.");
    assertThat(group(id)).isEqualTo("OUR_TURN");
  }

  @Test
  void aConversationThatIsDoneStaysDone() {
    long id = conversation();
    priya.answer(id, "Goodbye.").require(200);
    plan(priya, id, later("A reminder.", in(Duration.ofHours(1)))).require(200);
    priya.post("/api/conversations/" + id + "/done", null);
    timePasses(Duration.ofHours(1));
    assertThat(sent(id)).contains("A reminder.");
    assertThat(group(id)).isEqualTo("DONE");
  }

  @Test
  void onlyIfTheyHaveNotWrittenStaysHereWhenTheyHave() {
    long id = conversation();
    plan(priya, id, later("Any news?", in(Duration.ofHours(1)), "unlessWritten", true))
        .require(200);
    long other = conversation();
    plan(priya, other, later("Any news?", in(Duration.ofHours(1)), "unlessWritten", true))
        .require(200);
    fabulum.clock.advance(Duration.ofMinutes(1));
    customerWrites(id, "Here I am.");
    timePasses(Duration.ofMinutes(59));
    assertThat(sent(id)).isEmpty();
    assertThat(planned(id)).isEmpty();
    assertThat(events(id)).contains("PLAN_NOT_NEEDED");
    assertThat(sent(other)).containsExactly("Any news?");
  }

  @Test
  void theAnswerComesToWhoAskedForItOnce() {
    long id = conversation();
    maren.answer(id, "First.").require(200);
    plan(priya, id, later("Does it suit you?", in(Duration.ofHours(1)), "comesToMe", true))
        .require(200);
    assertThat(dossier(id).path("owner").path("id").asLong()).isEqualTo(office.id("maren"));
    timePasses(Duration.ofHours(1));
    customerWrites(id, "It does.");
    assertThat(dossier(id).path("owner").path("id").asLong()).isEqualTo(office.id("priya"));
    maren.post("/api/conversations/" + id + "/take", Map.of()).require(200);
    customerWrites(id, "Really.");
    assertThat(dossier(id).path("owner").path("id").asLong()).isEqualTo(office.id("maren"));
  }

  @Test
  void whoOptsOutGetsNothingThatWasPlanned() {
    long id = conversation();
    plan(priya, id, later("Our hours.", in(Duration.ofHours(1)))).require(200);
    customerWrites(id, "STOP");
    assertThat(fabulum.becomes(() -> planned(id).get(0).has("held"))).isTrue();
    assertThat(planned(id).get(0).path("held").asString()).isEqualTo(PlanChanges.OPTED_OUT);
    assertThat(act(priya, planned(id).get(0), "send-now").status()).isEqualTo(422);
    assertThat(plan(priya, id, later("More.", in(Duration.ofHours(1)))).problem())
        .endsWith("may-not-be-sent");
    timePasses(Duration.ofHours(2));
    assertThat(sent(id)).doesNotContain("Our hours.");
    assertThat(notices(priya)).contains("opted out");
  }

  @Test
  void whatSomeonePlannedWhoHasLeftIsHeldUntilAColleagueTakesCare() {
    long tom = office.id("tom");
    long id = conversation();
    plan(fabulum.signedIn("tom"), id, later("From Tom.", in(Duration.ofHours(1)))).require(200);
    long other = conversation();
    plan(fabulum.signedIn("tom"), other, later("Also Tom.", in(Duration.ofHours(1)))).require(200);
    maren.post("/api/office/people/" + tom + "/off", Map.of()).require(200);
    assertThat(planned(id).get(0).path("held").asString()).contains("Tom Ferry", "has left");
    timePasses(Duration.ofHours(1));
    assertThat(sent(id)).isEmpty();
    assertThat(notices(maren)).contains("A planned text was not sent.");
    act(priya, planned(id).get(0), "send-now").require(204);
    assertThat(sent(id)).containsExactly("From Tom.");
    Map<String, Object> changed = later("From Priya.", in(Duration.ofHours(1)));
    JsonNode plan = planned(other).get(0);
    priya
        .put(
            "/api/planned/" + plan.path("id").asLong(),
            Map.of("version", plan.path("version").asLong(), "text", changed))
        .require(204);
    assertThat(planned(other).get(0).path("staff").asLong()).isEqualTo(office.id("priya"));
  }

  private long conversationOf(String name) {
    String number = fabulum.freshNumber();
    fabulum.customer(name, number);
    fabulum.webhook().text(number, Fabulum.DOCK, "Hello, it is me.").require(200);
    return maren.conversationOf(number).path("id").asLong();
  }

  private long agreed(long conversation, Instant at) {
    long customer = dossier(conversation).path("customerId").asLong();
    return maren
        .post("/api/customers/" + customer + "/appointments", appointment(at, "AGREED", 0))
        .require(200)
        .json()
        .path("id")
        .asLong();
  }

  private static Map<String, Object> appointment(Instant at, String state, long version) {
    return Map.of(
        "what",
        "Lift-out",
        "startsAt",
        at.toString(),
        "place",
        "Yard",
        "state",
        state,
        "version",
        version);
  }

  @Test
  void whatIsToldFromAnAppointmentMovesWithItAndIsHeldWithoutIt() {
    long id = conversationOf("Ada Berg");
    Instant begins = in(Duration.ofDays(3));
    long lift = agreed(id, begins);
    String typed = "2 h before the appointment";
    JsonNode time =
        priya
            .get("/api/conversations/" + id + "/planned/time?words=2+h+before+the+appointment")
            .require(200)
            .json();
    assertThat(time.path("why").asString()).isEmpty();
    Instant at = Instant.parse(time.path("at").asString());
    plan(priya, id, later("See you soon.", at, "typed", typed)).require(200);
    maren
        .put("/api/appointments/" + lift, appointment(begins.plusSeconds(3_600), "AGREED", 0))
        .require(200);
    assertThat(planned(id).get(0).path("dueAt").asString())
        .isEqualTo(at.plusSeconds(3_600).toString());
    maren
        .put("/api/appointments/" + lift, appointment(begins.plusSeconds(3_600), "CANCELLED", 1))
        .require(200);
    assertThat(planned(id).get(0).path("held").asString())
        .isEqualTo("The appointment was cancelled.");
  }

  @Test
  void aTimeStaysThatTimeOfDayWhenTheRulesOfItsZoneChange() {
    long id = conversation();
    Instant at = in(Duration.ofDays(30));
    plan(priya, id, later("Same time.", at)).require(200);
    plan(priya, id, later("Same series.", at, "rule", "FREQ=MONTHLY;BYMONTHDAY=-1")).require(200);
    List<JsonNode> before = planned(id);
    fabulum.tables.update(
        "update planned set due_at = ? where conversation_id = ?",
        at.plusSeconds(3_600).atOffset(ZoneOffset.UTC),
        id);
    fabulum.context.getBean(PlanRunner.class).lookAtAll();
    assertThat(planned(id).stream().map(plan -> plan.path("dueAt").asString()).toList())
        .isEqualTo(before.stream().map(plan -> plan.path("dueAt").asString()).toList());
  }

  @Test
  void whatIsDueByRulesThatHoldNoMoreWaitsForItsTime() {
    long id = conversation();
    Instant at = in(Duration.ofHours(2));
    plan(priya, id, later("Not an hour early.", at)).require(200);
    fabulum.tables.update(
        "update planned set due_at = ? where conversation_id = ?",
        at.minusSeconds(3_600).atOffset(ZoneOffset.UTC),
        id);
    timePasses(Duration.ofHours(1));
    assertThat(sent(id)).isEmpty();
    assertThat(planned(id).get(0).path("dueAt").asString())
        .isEqualTo(at.truncatedTo(ChronoUnit.SECONDS).toString());
    timePasses(Duration.ofHours(1));
    assertThat(sent(id)).containsExactly("Not an hour early.");
  }

  @Test
  void cancelledItsWordsAreADraftOfItsWriterAgain() {
    long id = conversation();
    plan(priya, id, later("Not yet.", in(Duration.ofHours(1)))).require(200);
    assertThat(act(otto, planned(id).get(0), "cancel").status()).isEqualTo(404);
    act(priya, planned(id).get(0), "cancel").require(204);
    assertThat(planned(id)).isEmpty();
    assertThat(priya.get("/api/conversations/" + id).require(200).body()).contains("Not yet.");
    timePasses(Duration.ofHours(2));
    assertThat(sent(id)).isEmpty();
  }

  @Test
  void whatIsBeingWrittenMeanwhileStaysOnThePaper() {
    long id = conversation();
    plan(priya, id, later("Planned.", in(Duration.ofHours(1)))).require(200);
    priya
        .put("/api/conversations/" + id + "/drafts/REPLY", Map.of("words", "half a sentence"))
        .require(204);
    timePasses(Duration.ofHours(1));
    assertThat(sent(id)).containsExactly("Planned.");
    assertThat(priya.get("/api/conversations/" + id).body()).contains("half a sentence");
  }

  @Test
  void attachmentsGoWithItAndWithEachOfASeries() {
    long once = conversation();
    long again = conversation();
    for (long id : List.of(once, again)) {
      long file =
          priya
              .upload("/api/conversations/" + id + "/attachments", "plan.txt", "berths " + id)
              .require(200)
              .json()
              .path("id")
              .asLong();
      Map<String, Object> text = later("", in(Duration.ofHours(1)), "attachments", List.of(file));
      if (id == again) {
        text.put("rule", "FREQ=DAILY");
      }
      plan(priya, id, text).require(200);
      assertThat(planned(id).get(0).path("attachments").path(0).path("name").asString())
          .isEqualTo("plan.txt");
    }
    timePasses(Duration.ofHours(1));
    timePasses(Duration.ofDays(1));
    assertThat(went(once)).isEqualTo(1);
    assertThat(went(again)).isEqualTo(2);
    act(priya, planned(again).get(0), "cancel").require(204);
    assertThat(
            fabulum.tables.queryForObject(
                "select count(*) from attachment where conversation_id = ? and entry_id is null",
                Long.class,
                again))
        .isZero();
  }

  private long went(long conversation) {
    return list(maren.script(conversation)).stream()
        .filter(entry -> entry.path("kind").asString().equals("OUT"))
        .filter(entry -> entry.path("attachments").size() == 1)
        .count();
  }

  @Test
  void aNewcomersTextWaitsForAColleagueAtItsTime() {
    Map<String, Object> setup =
        Map.of(
            "role", "STAFF", "permissions", Set.of("TEXT"), "teams", Set.of(1), "secondLook", true);
    office.add("nell", "Nell Moor", Role.STAFF, 1);
    maren.put("/api/setup/people/" + office.id("nell"), setup).require(204);
    Browser nell = fabulum.signedIn("nell");
    long id = conversation();
    plan(nell, id, later("By Nell.", in(Duration.ofHours(1)))).require(200);
    plan(priya, id, later("By Priya.", in(Duration.ofHours(3)))).require(200);
    timePasses(Duration.ofHours(1));
    assertThat(sent(id)).isEmpty();
    assertThat(maren.get("/api/conversations/" + id + "/second-looks").body()).contains("By Nell.");
    assertThat(act(nell, planned(id).get(0), "send-now").status()).isEqualTo(403);
  }

  @Test
  void aListHasWhatOneSeesTheHeldFirstAndTheSoonestNext() {
    long id = conversation();
    long far = office.text(TwoTeams.FAR, "far away");
    String mine = "mine " + Fabulum.reference();
    plan(maren, id, later(mine + " second", in(Duration.ofHours(2)))).require(200);
    plan(maren, id, later(mine + " first", in(Duration.ofHours(1)))).require(200);
    plan(otto, far, later(mine + " far", in(Duration.ofHours(1)))).require(200);
    assertThat(otto.get("/api/planned").require(200).body())
        .contains("far")
        .doesNotContain("first");
    String all = maren.get("/api/planned?writer=" + office.id("maren")).require(200).body();
    assertThat(all).containsSubsequence(mine + " first", mine + " second").doesNotContain(" far");
    assertThat(otto.get("/api/planned?team=" + office.farTeam).body()).contains(mine + " far");
    assertThat(maren.get("/api/planned?team=" + office.farTeam).body()).doesNotContain(mine);
    assertThat(maren.get("/api/planned?from=nowhere").status()).isEqualTo(422);
  }

  @ParameterizedTest(name = "{0} {1}")
  @CsvSource({
    "-PT1H,   ,                               at,    passed already",
    "P4000D,  ,                               at,    within ten years",
    "PT1H,    FREQ=SECONDLY,                  rule,  not known here",
    "PT1H,    FREQ=DAILY;COUNT=2000,          rule,  1 to 1000 times",
    "PT1H,    FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30, rule, days 1 to 29",
    "PT1H,    FREQ=DAILY;UNTIL=20200101,      rule,  still to come",
  })
  void aTimeThatCannotBeIsRefusedWithItsReason(
      Duration wait, String rule, String field, String why) {
    long id = conversation();
    Map<String, Object> text = later("words", in(wait));
    if (rule != null) {
      text.put("rule", rule);
    }
    Answer answer = plan(priya, id, text);
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.body()).contains(field, why);
    assertThat(planned(id)).isEmpty();
  }

  @Test
  void whatSpeaksAgainstItAheadIsAskedBeforeItIsPlanned() {
    long id = conversation();
    priya.answer(id, "Good day.").require(200);
    Instant night = Instant.parse("2026-12-20T09:00:00Z");
    Answer asked = plan(priya, id, later("At night.", night, "confirmed", List.of()));
    assertThat(asked.problem()).endsWith("needs-confirmation");
    assertThat(asked.body()).contains("03:00").contains("your words are kept");
    plan(priya, id, later("At night.", night, "confirmed", List.of("night"))).require(200);
    assertThat(plan(priya, id, later(" ", in(Duration.ofHours(1)))).problem())
        .endsWith("may-not-be-sent");
  }

  @Test
  void aSeriesAtNightIsAskedAboutAlsoWhereTheFirstAnswersSomebody() {
    long id = conversation();
    Instant now = fabulum.clock.instant();
    Instant today = LocalDate.ofInstant(now, ZONE).atTime(3, 0).atZone(ZONE).toInstant();
    Instant night = today.isAfter(now) ? today : today.plus(Duration.ofDays(1));
    Map<String, Object> text = later("Every night.", night, "confirmed", List.of());
    plan(priya, id, text).require(200);
    text.put("rule", "FREQ=DAILY");
    assertThat(plan(priya, id, text).problem()).endsWith("needs-confirmation");
  }

  @Test
  void oneConversationTakesFiftyPlannedTexts() {
    long id = conversation();
    for (int i = 0; i < Plans.MOST; i++) {
      plan(priya, id, later("text " + i, in(Duration.ofDays(200 + i)))).require(200);
    }
    assertThat(plan(priya, id, later("one more", in(Duration.ofDays(2)))).body())
        .contains("50 texts planned here already");
  }
}
