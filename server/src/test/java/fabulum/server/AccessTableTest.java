package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.access.Role;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import fabulum.server.testing.TwoTeams;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Every address of the API, for every role, on a conversation of the person's own team and on
 * another team's. An address that is not in the table fails the test.
 */
@TestInstance(Lifecycle.PER_CLASS)
// Begun first: it takes longest.
@Order(1)
class AccessTableTest {
  /** Who may use an address. */
  private enum Door {
    /** The person who sees the conversation. */
    SEES,
    /** The person who sees the conversation and works. */
    WORKS,
    /** The person who works, whatever the conversation. */
    WORKERS,
    /** The person who works; what is asked for is not there. */
    WORKERS_MISS,
    /** Who was given the permission to export; of the people here, nobody or leads. */
    EXPORTS,
    /** Leads to whom it was given; here to none. */
    NOT_GIVEN,
    /** Leads only. */
    LEADS,
    /** Leads, and everybody for themselves; asked here about another person. */
    LEADS_FOR_OTHERS,
    /** Another program with its key; who is signed in as a person is nobody there. */
    PROGRAMS,
    /** Everybody who is signed in; what is told depends on who asks. */
    EVERYBODY,
    /** What is asked for is not there, for anybody. */
    MISSING
  }

  private record Row(Door door, @Nullable Function<Asked, Object> body) {}

  /** Who asks, about what. */
  private record Asked(Role role, long conversation, long note, long topic) {}

  private static final Set<Integer> PAST_THE_DOOR = Set.of(200, 204, 409, 410, 422, 429);

  private final Map<String, Row> table = new TreeMap<>();
  private final Map<Role, Browser> browsers = new HashMap<>();
  private final Map<Role, Long> notes = new HashMap<>();
  private TwoTeams office;
  private long spare;
  private long own;
  private long other;
  private long topic;
  private long customer;
  private int names;

  @BeforeAll
  void begin() {
    office = TwoTeams.start();
    browsers.put(Role.LEAD, office.fabulum.signedIn("maren"));
    browsers.put(Role.STAFF, office.fabulum.signedIn("priya"));
    browsers.put(Role.VIEWER, office.fabulum.signedIn("vera"));
    spare = office.add("spare", "Spare Hand", Role.STAFF, 1);
    customer = office.fabulum.customer("Ours", office.fabulum.freshNumber());
    own = office.text(Fabulum.DOCK, "ours");
    other = office.text(TwoTeams.FAR, "theirs");
    topic =
        browser(Role.LEAD)
            .post(
                "/api/setup/teams/1/topics",
                Map.of("name", "berths", "colour", "PINE", "retired", false))
            .require(200)
            .json()
            .path("id")
            .asLong();
    notes.put(Role.LEAD, note(Role.LEAD, own));
    notes.put(Role.STAFF, note(Role.STAFF, own));
    notes.put(Role.VIEWER, note(Role.STAFF, own));
    conversations();
    lists();
    people();
    setUp();
  }

  @AfterAll
  void end() {
    office.close();
  }

  private Browser browser(Role role) {
    return browsers.getOrDefault(role, office.fabulum.browser());
  }

  private long note(Role by, long conversation) {
    Map<String, Object> note = Map.of("words", "a note", "reference", Fabulum.reference());
    browser(by).post("/api/conversations/" + conversation + "/notes", note).require(204);
    Long id =
        office.fabulum.tables.queryForObject(
            "select max(id) from entry where kind = 'NOTE'", Long.class);
    return id == null ? 0 : id;
  }

  private void row(String method, String path, Door door) {
    table.put(method + " " + path, new Row(door, null));
  }

  private void row(String method, String path, Door door, Object body) {
    table.put(method + " " + path, new Row(door, asked -> body));
  }

  private void fresh(String method, String path, Door door, Function<Asked, Object> body) {
    table.put(method + " " + path, new Row(door, body));
  }

  private static Map<String, Object> said(String words) {
    return Map.of("words", words, "reference", Fabulum.reference());
  }

  private Map<String, Object> costs() {
    Long version =
        office.fabulum.tables.queryForObject("select version from cost_settings", Long.class);
    return Map.of(
        "currency",
        "USD",
        "prices",
        List.of(),
        "allowances",
        List.of(),
        "version",
        version == null ? 0 : version);
  }

  private static Map<String, Object> bought() {
    return Map.of("day", "2026-06-01", "parts", 1000, "price", 9, "currency", "USD", "remark", "");
  }

  /** As it is now, so that it can be saved. */
  private Map<String, Object> sending() {
    Long version =
        office.fabulum.tables.queryForObject("select version from send_settings", Long.class);
    Map<String, Object> settings =
        new HashMap<>(
            Map.of("business", "", "contact", "", "languages", List.of(), "stopEverywhere", true));
    settings.putAll(
        Map.of(
            "serviceWords",
            Map.of("words", "", "days", 30),
            "newsWords",
            Map.of("words", "", "days", 0),
            "sameTextMinutes",
            10,
            "nightFromMinute",
            1260,
            "nightUntilMinute",
            480,
            "manyRecipients",
            25,
            "reasons",
            List.of(),
            "version",
            version == null ? 0 : version));
    return settings;
  }

  private void conversations() {
    String one = "/api/conversations/{id}";
    row("GET", one, Door.SEES);
    row("GET", one + "/script", Door.SEES);
    row("GET", one + "/find?words=berth", Door.SEES);
    row("GET", one + "/hand-to", Door.SEES);
    row("GET", one + "/moments", Door.SEES);
    row("GET", one + "/elsewhere", Door.SEES);
    row("GET", one + "/moments/read", Door.SEES);
    row("GET", one + "/notes/{note}/trace", Door.SEES);
    row("PUT", one + "/watch", Door.SEES, Map.of("writing", false));
    row("DELETE", one + "/watch", Door.EVERYBODY);
    fresh("POST", one + "/notes", Door.WORKS, asked -> said("a note"));
    fresh("POST", one + "/texts", Door.WORKS, asked -> said("a text " + Fabulum.reference()));
    row("POST", one + "/texts/check", Door.SEES, Map.of("words", "a text"));
    row("GET", one + "/to-dos", Door.SEES);
    row("GET", one + "/second-looks", Door.SEES);
    row("GET", one + "/planned", Door.SEES);
    row("GET", one + "/planned/time?words=Thu+14:30", Door.SEES);
    row("POST", one + "/planned/check", Door.SEES, later());
    fresh(
        "POST",
        one + "/planned",
        Door.WORKS,
        asked -> Map.of("reference", Fabulum.reference(), "text", later()));
    row("GET", one + "/suggestions", Door.SEES);
    row("GET", one + "/templates", Door.SEES);
    row("GET", one + "/templates/short-names", Door.SEES);
    row("POST", one + "/templates/made-from", Door.SEES, Map.of("words", "Hi Ada"));
    row("GET", one + "/templates/named/{name}", Door.MISSING);
    row("GET", one + "/ways", Door.SEES);
    row("GET", one + "/agreement", Door.SEES);
    row("PUT", one + "/agreement/number", Door.WORKS, Map.of("wrong", false));
    row("POST", one + "/agreement", Door.WORKS, Map.of("given", true, "kinds", List.of("SERVICE")));
    row("PUT", one + "/notes/{note}", Door.WORKS, Map.of("words", "another note"));
    row("DELETE", one + "/notes/{note}", Door.WORKS);
    row("PUT", one + "/drafts/{paper}", Door.WORKS, Map.of("words", "begun"));
    row("DELETE", one + "/attachments/{note}", Door.MISSING);
    row("GET", one + "/attachments/offered", Door.SEES);
    row("POST", one + "/take", Door.WORKS, Map.of());
    row("POST", one + "/let-go", Door.WORKS);
    row("POST", one + "/hand-over", Door.WORKS, Map.of("person", spare));
    row("GET", one + "/guests", Door.SEES);
    row("PUT", one + "/guests/{staff}", Door.WORKS, Map.of("mayAnswer", false));
    row("DELETE", one + "/guests/{staff}", Door.WORKS);
    row("POST", one + "/done", Door.WORKS);
    row("GET", one + "/likely", Door.SEES);
    row("GET", one + "/wrong-number", Door.SEES);
    row("POST", one + "/wrong-number", Door.WORKS);
    row(
        "POST",
        one + "/identify/customer",
        Door.WORKS,
        Map.of("customerId", 1, "shared", false, "seen", List.of()));
    row("POST", one + "/identify/new", Door.WORKS, Map.of("name", "Vera", "seen", List.of()));
    row(
        "POST",
        one + "/identify/holder",
        Door.WORKS,
        Map.of("customerId", 1, "scope", "ALWAYS", "seen", List.of()));
    row(
        "POST",
        one + "/identify/not-for-us",
        Door.WORKS,
        Map.of("reason", "JUNK", "seen", List.of()));
    row("POST", one + "/reopen", Door.WORKS);
    row("POST", one + "/set-aside", Door.WORKS, Map.of("kind", "WHEN_THEY_WRITE"));
    row("POST", one + "/take-up", Door.WORKS);
    row("POST", one + "/no-answer-needed", Door.WORKS);
    row("POST", one + "/texts/{note}/leave", Door.WORKS);
    row("PUT", one + "/topics/{topic}", Door.WORKS);
    row("DELETE", one + "/topics/{topic}", Door.WORKS);
  }

  private static Map<String, Object> later() {
    return Map.of(
        "words", "later",
        "at", "2026-07-01T14:00:00Z",
        "whenClosed", "SEND",
        "unlessWritten", false,
        "comesToMe", false);
  }

  private void lists() {
    row("GET", "/api/conversations?group=OUR_TURN", Door.EVERYBODY);
    row("GET", "/api/conversations/counts", Door.EVERYBODY);
    row("GET", "/api/conversations/among?group=OUR_TURN&ids=1", Door.EVERYBODY);
    row("GET", "/api/conversations/ribbon", Door.EVERYBODY);
    row("GET", "/api/conversations/jump?words=ours", Door.EVERYBODY);
    row("GET", "/api/lines", Door.EVERYBODY);
    row("GET", "/api/staff", Door.EVERYBODY);
    row("GET", "/api/staff/away", Door.EVERYBODY);
    row("GET", "/api/teams", Door.EVERYBODY);
    row("GET", "/api/topics", Door.EVERYBODY);
    row("GET", "/api/watchers", Door.EVERYBODY);
    row("GET", "/api/write-to/lines", Door.EVERYBODY);
    row("GET", "/api/write-to?words=312&line=1", Door.EVERYBODY);
    fresh(
        "POST",
        "/api/write-to",
        Door.WORKERS,
        asked -> Map.of("line", 1, "number", "312 555 0199", "makeCustomer", false));
    row("POST", "/api/parts", Door.EVERYBODY, Map.of("words", "hello"));
    row("POST", "/api/undo/{name}", Door.EVERYBODY);
    row("GET", "/api/customers/find?words=lund", Door.EVERYBODY);
    row("GET", "/api/customers?sentence=", Door.EVERYBODY);
    row("GET", "/api/customers/terms", Door.EVERYBODY);
    customers();
    row("POST", "/api/identifying/{id}/undo", Door.WORKERS_MISS);
    row("POST", "/api/texts/{id}/take-back", Door.MISSING);
    templates();
    row("GET", "/api/desk", Door.EVERYBODY);
    Map<String, Object> toDo = Map.of("staff", 1, "at", "2027-01-01T10:00:00Z");
    row("PUT", "/api/to-dos/{id}", Door.MISSING, toDo);
    row("POST", "/api/to-dos/{id}/done", Door.MISSING);
    row("DELETE", "/api/to-dos/{id}/done", Door.MISSING);
    row("PUT", "/api/planned/{id}", Door.MISSING, Map.of("version", 0, "text", later()));
    row("POST", "/api/planned/{id}/send-now", Door.MISSING, Map.of("version", 0));
    row("POST", "/api/planned/{id}/skip", Door.MISSING, Map.of("version", 0));
    row("POST", "/api/planned/{id}/cancel", Door.MISSING, Map.of("version", 0));
    row("GET", "/api/planned", Door.EVERYBODY);
    row("POST", "/api/second-looks/{id}/check", Door.MISSING, Map.of("words", "a text"));
    row("POST", "/api/second-looks/{id}/approve", Door.MISSING, Map.of("words", "a text"));
    row("POST", "/api/second-looks/{id}/return", Door.MISSING, Map.of("why", "a word"));
    row("POST", "/api/second-looks/{id}/take-back", Door.MISSING);
    row("GET", "/api/shelf", Door.EVERYBODY);
    Map<String, Object> shelf = Map.of("title", "A map", "version", 1);
    row("PUT", "/api/shelf/{id}", Door.WORKERS_MISS, shelf);
    row("GET", "/api/customers/{id}/files", Door.EVERYBODY);
    row("GET", "/api/kept-files/{id}", Door.MISSING);
    row("GET", "/api/kept-files/{id}/preview", Door.MISSING);
    row("DELETE", "/api/kept-files/{id}", Door.WORKERS_MISS);
    row("PUT", "/api/kept-files/{id}/job", Door.WORKERS_MISS, Map.of("job", 1));
    row("GET", "/api/attachments/{id}", Door.MISSING);
    row("GET", "/api/attachments/{id}/preview", Door.MISSING);
    row("PUT", "/api/attachments/{id}/words", Door.MISSING, Map.of("words", "a word"));
    row("POST", "/api/attachments/{id}/fetch-again", Door.MISSING);
    row("GET", "/api/history", Door.EVERYBODY);
    row("GET", "/api/exports", Door.EVERYBODY);
    row("GET", "/api/exports/{id}/file", Door.MISSING);
    row("DELETE", "/api/exports/{id}", Door.MISSING);
    row(
        "POST",
        "/api/exports",
        Door.EXPORTS,
        Map.of("said", "line 1", "title", "Dock", "format", "CSV", "withFiles", false));
    row("GET", "/api/sentences", Door.EVERYBODY);
    fresh("POST", "/api/sentences", Door.WORKERS, asked -> sentence());
    row("DELETE", "/api/sentences/{id}", Door.MISSING);
    fresh("POST", "/api/several/check", Door.WORKERS, this::topicToOne);
    fresh(
        "POST",
        "/api/several",
        Door.WORKERS,
        asked -> Map.of("act", topicToOne(asked), "reference", Fabulum.reference()));
    row("GET", "/api/several/{id}", Door.MISSING);
    row("GET", "/api/several/draft", Door.EVERYBODY);
    fresh("PUT", "/api/several/draft", Door.WORKERS, asked -> said("begun"));
    row("GET", "/api/notices", Door.EVERYBODY);
    row("POST", "/api/notices/seen", Door.EVERYBODY, Map.of());
    row("GET", "/api/notices/choices", Door.EVERYBODY);
    row(
        "PUT",
        "/api/notices/choices",
        Door.EVERYBODY,
        Map.of("kind", "MINE", "channel", "MAIL", "wanted", false));
    row("GET", "/api/openapi", Door.EVERYBODY);
  }

  /** All who work here know all customers; what was said with them only as far as they see it. */
  private void customers() {
    String one = "/api/customers/{customer}";
    row("GET", one, Door.EVERYBODY);
    row("GET", one + "/removal", Door.NOT_GIVEN);
    row("POST", one + "/removal", Door.NOT_GIVEN, Map.of("name", "Nobody"));
    row("GET", one + "/story", Door.EVERYBODY);
    row("GET", one + "/changes", Door.EVERYBODY);
    row("GET", one + "/twins", Door.EVERYBODY);
    row("GET", "/api/customers/export/csv", Door.EXPORTS);
    row("GET", "/api/customers/export/vcf", Door.EXPORTS);
    row("GET", "/api/customers/export/jobs.csv", Door.EXPORTS);
    row("GET", "/api/customers/export/appointments.ics", Door.EXPORTS);
    row("GET", "/api/calendar-addresses", Door.EVERYBODY);
    row("POST", "/api/calendar-addresses", Door.EXPORTS, Map.of());
    row("DELETE", "/api/calendar-addresses/{id}", Door.MISSING);
    row("GET", "/api/customers/twins", Door.EVERYBODY);
    row("GET", "/api/appointments/read?words=friday", Door.EVERYBODY);
    row("GET", one + "/work", Door.EVERYBODY);
    fresh("POST", "/api/customers", Door.WORKERS, asked -> Map.of("name", "Customer " + names++));
    row("PUT", one + "/field", Door.WORKERS, Map.of("field", "NAME", "now", "Ours"));
    row("PUT", one + "/details/{id}", Door.WORKERS_MISS, Map.of("now", "x"));
    row("POST", one + "/contacts", Door.WORKERS, Map.of("name", "Vera"));
    row("DELETE", one + "/contacts/{id}", Door.WORKERS_MISS);
    row("POST", one + "/notes", Door.WORKERS, Map.of("words", "a note"));
    row("PUT", one + "/notes/{id}", Door.WORKERS_MISS, Map.of("was", "x"));
    row("POST", one + "/numbers", Door.WORKERS, Map.of("number", "x", "kind", "", "word", ""));
    row("PUT", one + "/numbers/{id}", Door.WORKERS_MISS, Map.of("kind", "", "word", ""));
    row("POST", one + "/numbers/{id}/prefer", Door.WORKERS_MISS);
    row("POST", one + "/numbers/{id}/give-up", Door.WORKERS);
    row("POST", one + "/join", Door.WORKERS, Map.of("gone", 1));
    fresh("POST", one + "/appointments", Door.WORKERS, asked -> appointment());
    row("PUT", "/api/appointments/{id}", Door.WORKERS_MISS, appointment());
    fresh("POST", one + "/jobs", Door.WORKERS, asked -> job());
    row("PUT", "/api/jobs/{id}", Door.WORKERS_MISS, job());
    fresh("POST", "/api/customer-lists", Door.WORKERS, asked -> Map.of("name", "List " + names++));
    row("PUT", "/api/customer-lists/{id}", Door.WORKERS_MISS, Map.of("name", "other"));
    row("DELETE", "/api/customer-lists/{id}", Door.WORKERS_MISS);
    row(
        "POST",
        "/api/customer-lists/{id}/customers",
        Door.WORKERS_MISS,
        Map.of("customers", List.of(), "on", true));
  }

  private static Object appointment() {
    return Map.of(
        "what",
        "Lift-out",
        "startsAt",
        "2026-06-11T14:00:00Z",
        "place",
        "",
        "state",
        "AGREED",
        "version",
        0);
  }

  private static Object job() {
    return Map.of(
        "number", "", "what", "Rudder", "standing", "", "state", "OPEN", "place", "", "version", 0);
  }

  private Object sentence() {
    return Map.of(
        "name", "s" + names++, "said", "", "group", "OUR_TURN", "order", "TIME_LEFT", "teamId", 1);
  }

  private Object topicToOne(Asked asked) {
    return Map.of("ids", List.of(asked.conversation()), "what", "TOPIC", "topicId", topic);
  }

  private void people() {
    row("GET", "/api/session", Door.EVERYBODY);
    row(
        "POST",
        "/api/session",
        Door.EVERYBODY,
        Map.of("name", "nobody", "password", "of this name"));
    row("PUT", "/api/session/password", Door.EVERYBODY, Map.of("old", "wrong", "wanted", "short"));
    row("PUT", "/api/me/in", Door.EVERYBODY, Map.of("in", true));
    fresh("PUT", "/api/me/profile", Door.EVERYBODY, asked -> profile(asked.role()));
    row("PUT", "/api/me/letter-keys", Door.EVERYBODY, Map.of("on", true));
    row("PUT", "/api/me/inbox", Door.EVERYBODY, Map.of("address", ""));
    row("PUT", "/api/me/stay", Door.EVERYBODY, Map.of("on", true));
    row("PUT", "/api/me/sending", Door.EVERYBODY, Map.of("pauseSeconds", 0, "looksFirst", false));
    row("GET", "/api/me/plan", Door.EVERYBODY);
    row("PUT", "/api/me/plan", Door.EVERYBODY, plan());
    row("GET", "/api/me/sign-ins", Door.EVERYBODY);
    row("DELETE", "/api/me/sign-ins", Door.EVERYBODY);
    row("GET", "/api/invitations/{secret}", Door.MISSING);
    row("POST", "/api/invitations/{secret}", Door.MISSING, accept());
    row("GET", "/api/office", Door.LEADS);
    row("GET", "/api/office/people/{id}/work", Door.LEADS_FOR_OTHERS);
    row("POST", "/api/office/people/{id}/move", Door.LEADS_FOR_OTHERS, Map.of());
    row("POST", "/api/office/people/{id}/off", Door.LEADS, Map.of());
    row("GET", "/api/setup/sending", Door.LEADS);
    fresh("PUT", "/api/setup/sending", Door.LEADS, asked -> sending());
    row("GET", "/api/setup/countries", Door.EVERYBODY);
    row("GET", "/api/setup/costs", Door.LEADS);
    fresh("PUT", "/api/setup/costs", Door.LEADS, asked -> costs());
    row("GET", "/api/setup/costs/bought", Door.LEADS);
    row("POST", "/api/setup/costs/bought", Door.LEADS, bought());
    row("GET", "/api/setup/people", Door.LEADS);
    fresh("POST", "/api/setup/people", Door.LEADS, asked -> invite());
    row("PUT", "/api/setup/people/{id}", Door.LEADS, Map.of("role", "STAFF", "teams", List.of(1)));
    row("POST", "/api/setup/people/{id}/on", Door.LEADS);
    row("POST", "/api/setup/people/{id}/invitation", Door.LEADS);
    row("GET", "/api/setup/people/{id}/plan", Door.LEADS);
    row("PUT", "/api/setup/people/{id}/plan", Door.LEADS, plan());
    fresh("POST", "/api/setup/teams", Door.LEADS, asked -> Map.of("name", "Team " + names++));
    fresh("PUT", "/api/setup/teams/{team}", Door.LEADS, asked -> Map.of("name", "Team " + names++));
    row("GET", "/api/setup/wrong-numbers", Door.LEADS);
    row("PUT", "/api/setup/wrong-numbers", Door.LEADS, Map.of("byItself", false));
    row("GET", "/api/imports", Door.LEADS);
    row("GET", "/api/imports/example.csv", Door.EVERYBODY);
    row("GET", "/api/imports/{id}", Door.LEADS);
    row("POST", "/api/imports/{id}/preview", Door.LEADS, Map.of("onlyGood", false));
    row("POST", "/api/imports/{id}/run", Door.LEADS, Map.of("onlyGood", false));
    row("POST", "/api/imports/{id}/cancel", Door.LEADS);
    row("POST", "/api/imports/{id}/undo", Door.LEADS);
    fresh("POST", "/api/setup/details", Door.LEADS, asked -> detail());
    fresh("PUT", "/api/setup/details/{id}", Door.LEADS, asked -> detail());
    row("GET", "/api/setup/identify-alert", Door.LEADS);
    row("PUT", "/api/setup/identify-alert", Door.LEADS, Map.of("afterMinutes", 30));
    row("GET", "/api/setup/suggestions", Door.LEADS);
    row("PUT", "/api/setup/suggestions", Door.LEADS, Map.of("on", true));
    row("GET", "/api/setup/number-check", Door.LEADS);
    row(
        "PUT",
        "/api/setup/number-check",
        Door.LEADS,
        Map.of("automatic", false, "price", 0, "currency", "USD"));
    row("POST", "/api/number-checks", Door.WORKERS, Map.of("number", "+13125550199"));
    row("POST", "/api/number-checks/estimate", Door.WORKERS, Map.of("customers", List.of()));
    row(
        "POST",
        "/api/number-checks/all",
        Door.WORKERS,
        Map.of("customers", List.of(), "numbers", 0));
    Map<String, Object> form =
        Map.of(
            "name",
            "A",
            "business",
            "B",
            "heading",
            "C",
            "wording",
            "D",
            "intro",
            "",
            "colour",
            "#1f5c50",
            "asks",
            "ENQUIRY",
            "confirms",
            true,
            "inUse",
            true);
    Map<String, Object> whole = new HashMap<>(form);
    whole.put("lines", List.of(1));
    whole.put("version", 0);
    row("GET", "/api/setup/forms", Door.LEADS);
    row("POST", "/api/setup/forms", Door.LEADS, whole);
    row("PUT", "/api/setup/forms/{id}", Door.LEADS, whole);
    row("GET", "/api/setup/programs", Door.LEADS);
    row("POST", "/api/setup/programs", Door.LEADS, Map.of("name", "", "rights", List.of()));
    row("POST", "/api/setup/programs/{id}/end", Door.LEADS);
    String outside = "/api/outside/v1";
    row("GET", outside + "/customers", Door.PROGRAMS);
    row("GET", outside + "/customers/{id}", Door.PROGRAMS);
    row("PUT", outside + "/customers/{id}", Door.PROGRAMS, Map.of("name", "A"));
    row("GET", outside + "/numbers/{number}", Door.PROGRAMS);
    row("GET", outside + "/customers/{id}/appointments", Door.PROGRAMS);
    row("GET", outside + "/customers/{id}/jobs", Door.PROGRAMS);
    row("GET", outside + "/appointments/{id}", Door.PROGRAMS);
    row("PUT", outside + "/appointments/{id}", Door.PROGRAMS, Map.of());
    row("GET", outside + "/jobs/{id}", Door.PROGRAMS);
    Map<String, Object> enquiry =
        Map.of(
            "reference", "enquiry-1", "name", "A", "number", "1", "agreed", true, "address", "::1");
    row("POST", outside + "/forms/{form}/enquiries", Door.PROGRAMS, enquiry);
    row(
        "POST",
        outside + "/forms/{form}/enquiries/{reference}/code",
        Door.PROGRAMS,
        Map.of("code", "1"));
    row("PUT", outside + "/jobs/{id}", Door.PROGRAMS, Map.of());
    row("PUT", "/api/setup/details", Door.LEADS, Map.of("ids", List.of()));
    row("GET", "/api/setup/record", Door.LEADS);
    row("GET", "/api/setup/record.csv", Door.LEADS);
    row("GET", "/api/setup/sign-ins", Door.LEADS);
  }

  private Object detail() {
    return Map.of(
        "name",
        "Detail " + names++,
        "type",
        "TEXT",
        "choices",
        List.of(),
        "retired",
        false,
        "version",
        0);
  }

  private static Object profile(Role role) {
    String name =
        role == Role.LEAD ? "Maren Oduya" : role == Role.STAFF ? "Priya Nandakumar" : "Vera Quill";
    return Map.of("name", name, "initials", "X", "mark", Map.of("shape", "LEAF", "ink", "PINE"));
  }

  private static Object accept() {
    return Map.of(
        "name",
        "N",
        "initials",
        "N",
        "mark",
        Map.of("shape", "LEAF", "ink", "PINE"),
        "password",
        "x");
  }

  private static Object plan() {
    return Map.of("zone", "America/Chicago", "week", List.of(), "absences", List.of());
  }

  private Object invite() {
    String email = "new" + names++ + "@quillhaven.example";
    return Map.of("name", "New One", "email", email, "setup", Map.of("role", "STAFF"));
  }

  private void setUp() {
    Map<String, Object> escalation =
        Map.of("steps", List.of(Map.of("afterMinutes", 0, "told", "LEADS")));
    row("GET", "/api/setup/lines", Door.LEADS);
    row("GET", "/api/setup/lines/{line}", Door.LEADS);
    row("POST", "/api/setup/lines", Door.LEADS, line());
    row("PUT", "/api/setup/lines/{line}", Door.LEADS, line());
    row("GET", "/api/setup/lines/{line}/escalation", Door.LEADS);
    row("PUT", "/api/setup/lines/{line}/escalation", Door.LEADS, escalation);
    row("GET", "/api/setup/teams/escalations", Door.LEADS);
    row("PUT", "/api/setup/teams/{team}/escalation", Door.LEADS, escalation);
    row("POST", "/api/setup/lines/preview", Door.EVERYBODY, line());
    row("GET", "/api/setup/holidays", Door.EVERYBODY);
    row("GET", "/api/setup/holidays/{country}", Door.EVERYBODY);
    row("GET", "/api/setup/sites", Door.EVERYBODY);
    fresh("POST", "/api/setup/sites", Door.LEADS, asked -> Map.of("name", "Site " + names++));
    fresh("PUT", "/api/setup/sites/{site}", Door.LEADS, asked -> Map.of("name", "Site " + names++));
    fresh("POST", "/api/setup/teams/{team}/topics", Door.LEADS, asked -> topic("topic " + names++));
    row("PUT", "/api/setup/topics/{topic}", Door.LEADS, topic("berths"));
    row("POST", "/api/setup/topics/{topic}/merge", Door.LEADS, Map.of("into", 0));
    row("GET", "/api/setup/history", Door.LEADS);
    row("GET", "/api/office/troubles", Door.LEADS);
    row("GET", "/api/outage", Door.LEADS);
    row(
        "POST",
        "/api/outage/compare",
        Door.LEADS,
        Map.of("first", "2026-06-01", "last", "2026-06-01"));
    row("POST", "/api/outage/take", Door.LEADS, Map.of());
    row("POST", "/api/outage/ask", Door.LEADS);
    row("GET", "/api/reports", Door.LEADS);
    row("GET", "/api/reports/csv", Door.LEADS);
    row("GET", "/api/reports/week", Door.LEADS);
    row("GET", "/api/reports/behind", Door.LEADS);
    row("GET", "/api/reports/costs", Door.LEADS);
    row("POST", "/api/reports/again", Door.LEADS);
    fresh("POST", "/api/reports/plans", Door.LEADS, asked -> plan("Plan " + names++));
    row("PUT", "/api/reports/plans/{id}", Door.LEADS, plan("Another plan"));
    row("DELETE", "/api/reports/plans/{id}", Door.LEADS);
    row("PUT", "/api/sentences/{id}/mail", Door.LEADS, Map.of("mailed", true));
    row("GET", "/api/setup/mail", Door.LEADS);
    row("POST", "/api/setup/mail/{id}/again", Door.LEADS);
    row("GET", "/api/setup/kept-aside", Door.LEADS);
    row("POST", "/api/setup/kept-aside/{id}/take", Door.LEADS);
    row("DELETE", "/api/setup/kept-aside/{id}", Door.LEADS);
  }

  private static Map<String, Object> plan(String name) {
    return Map.of("name", name, "currency", "USD", "fee", 5, "included", 100, "overPrice", 0.01);
  }

  private void templates() {
    String one = "/api/templates/{id}";
    row("GET", "/api/templates", Door.EVERYBODY);
    row("GET", "/api/templates/placeholders", Door.EVERYBODY);
    row("POST", "/api/templates/sample", Door.EVERYBODY, Map.of("words", "Hi"));
    fresh("POST", "/api/templates", Door.WORKERS, asked -> template());
    row("GET", one, Door.MISSING);
    row("PUT", one + "?seen=1", Door.MISSING, template());
    row("GET", one + "/versions", Door.MISSING);
    row("POST", one + "/versions/{id}/bring-back?seen=1", Door.MISSING);
    row("PUT", one + "/favourite", Door.MISSING, Map.of("favourite", true));
    row("GET", one + "/usage", Door.MISSING);
    row("GET", one + "/since/{id}", Door.EVERYBODY);
    row("GET", "/api/templates/export/csv", Door.EXPORTS);
    row("GET", "/api/templates/export/json", Door.EXPORTS);
    row("GET", "/api/links", Door.EVERYBODY);
    fresh(
        "POST",
        "/api/links",
        Door.LEADS,
        asked -> Map.of("name", "Link " + names++, "address", "https://quill.example"));
    row(
        "PUT",
        "/api/links/{id}",
        Door.LEADS,
        Map.of("name", "x", "address", "https://quill.example"));
    row("DELETE", "/api/links/{id}", Door.LEADS);
  }

  private Object template() {
    return Map.of(
        "title", "Template " + names++, "words", "Words.", "guarded", false, "retired", false);
  }

  private static Object topic(String name) {
    return Map.of("name", name, "colour", "PINE", "retired", false);
  }

  private static Object line() {
    return TwoTeams.line("Dock office", Fabulum.DOCK);
  }

  /**
   * These answer without end, take a file, or end what the test needs; other tests look at them.
   */
  private static final Set<String> ELSEWHERE =
      Set.of(
          "GET /api/live",
          "POST /api/setup/closed-days/read",
          "POST /api/conversations/{}/attachments",
          "POST /api/conversations/{}/attachments/again",
          "POST /api/shelf",
          "POST /api/customers/{}/files",
          "POST /api/imports",
          "POST /api/templates/import",
          "POST /api/templates/import/preview",
          "DELETE /api/session",
          "GET /api/openapi-made",
          "GET /api/openapi-made.yaml");

  @Test
  void everyAddressIsInTheTable() {
    RequestMappingHandlerMapping mapping =
        office.fabulum.context.getBean(
            "requestMappingHandlerMapping", RequestMappingHandlerMapping.class);
    Set<String> there = new TreeSet<>();
    for (var info : mapping.getHandlerMethods().keySet()) {
      for (String pattern : info.getPatternValues()) {
        for (RequestMethod method : info.getMethodsCondition().getMethods()) {
          if (pattern.startsWith("/api")) {
            there.add(method + " " + plain(pattern));
          }
        }
      }
    }
    there.removeAll(ELSEWHERE);
    Set<String> known = new TreeSet<>();
    table.keySet().forEach(one -> known.add(plain(one)));
    assertThat(known).isEqualTo(there);
  }

  /** Without names of its blanks, and without what is asked. */
  private static String plain(String pattern) {
    return pattern.replaceAll("\\?.*", "").replaceAll("\\{[^}]+}", "{}");
  }

  @Test
  void everyRoleGetsPastItsDoorsAndNoOthers() {
    List<String> wrong = new ArrayList<>();
    String before = everythingOf(other);
    for (Role role : Role.values()) {
      for (boolean mine : new boolean[] {true, false}) {
        for (Map.Entry<String, Row> entry : table.entrySet()) {
          Asked asked = new Asked(role, mine ? own : other, note(role), topic);
          int status = ask(entry.getKey(), entry.getValue(), asked);
          if (!fits(entry.getValue().door(), role, mine, status)) {
            wrong.add(role + (mine ? " own " : " other ") + entry.getKey() + ": " + status);
          }
        }
      }
    }
    assertThat(wrong).isEmpty();
    assertThat(everythingOf(other)).as("another team's conversation").isEqualTo(before);
  }

  private long note(Role role) {
    return notes.getOrDefault(role, 0L);
  }

  private int ask(String address, Row row, Asked asked) {
    String method = address.substring(0, address.indexOf(' '));
    String id =
        address.contains("/conversations/")
            ? String.valueOf(asked.conversation())
            : address.contains("/people/") ? String.valueOf(spare) : "999999";
    String path =
        address
            .substring(address.indexOf(' ') + 1)
            .replace("{id}", id)
            .replace("{customer}", String.valueOf(customer))
            .replace("{note}", String.valueOf(asked.note()))
            .replace("{topic}", String.valueOf(asked.topic()))
            .replace("{team}", "1")
            .replace("{staff}", "1")
            .replace("{line}", "1")
            .replace("{site}", "1")
            .replace("{paper}", "REPLY")
            .replace("{country}", "US")
            .replaceAll("\\{[^}]+}", "unknown");
    Object body = row.body() == null ? null : row.body().apply(asked);
    return browser(asked.role()).call(method, path, body).status();
  }

  private static boolean fits(Door door, Role role, boolean mine, int status) {
    boolean works = role != Role.VIEWER;
    return switch (door) {
      case SEES -> mine ? PAST_THE_DOOR.contains(status) : status == 404;
      case WORKS ->
          !mine
              ? status == 404
              : works ? PAST_THE_DOOR.contains(status) || status == 404 : status == 403;
      case WORKERS -> works ? PAST_THE_DOOR.contains(status) : status == 403;
      case PROGRAMS -> status == 401;
      case NOT_GIVEN -> status == 403;
      case EXPORTS -> status == (role == Role.LEAD ? 200 : 403);
      case WORKERS_MISS -> status == (works ? 404 : 403);
      case LEADS, LEADS_FOR_OTHERS ->
          role == Role.LEAD ? PAST_THE_DOOR.contains(status) || status == 404 : status == 403;
      case EVERYBODY -> PAST_THE_DOOR.contains(status) || status == 401;
      case MISSING -> status == 404;
    };
  }

  /** All that is kept of a conversation. */
  private String everythingOf(long conversation) {
    return office.fabulum.tables.queryForList(
            "select * from conversation where id = ?", conversation)
        + " "
        + office.fabulum.tables.queryForList(
            "select * from entry where conversation_id = ? order by id", conversation)
        + " "
        + office.fabulum.tables.queryForList(
            "select * from draft where conversation_id = ?", conversation)
        + " "
        + office.fabulum.tables.queryForList(
            "select * from conversation_topic where conversation_id = ?", conversation);
  }

  @Test
  void whatAnotherTeamHasIsInNoListNoCountAndNoSearch() {
    Browser priya = browser(Role.STAFF);
    assertThat(priya.get("/api/conversations?group=OUR_TURN").body()).doesNotContain("theirs");
    assertThat(priya.get("/api/conversations/ribbon").body()).doesNotContain("theirs");
    assertThat(priya.get("/api/lines").body()).doesNotContain("Far line");
    String number = office.numberOf(other);
    assertThat(priya.get("/api/conversations/jump?words=" + number.substring(2)).json()).isEmpty();
    assertThat(office.fabulum.signedIn("otto").get("/api/conversations?group=OUR_TURN").body())
        .contains("theirs")
        .doesNotContain("ours");
  }

  @Test
  void aSinglePermissionIsAskedForByItself() {
    Map<String, Object> noPermission =
        Map.of("role", "STAFF", "permissions", List.of(), "teams", List.of(1));
    browser(Role.LEAD).put("/api/setup/people/" + office.id("tom"), noPermission).require(204);
    Browser tom = office.fabulum.signedIn("tom");
    var refused = tom.post("/api/conversations/" + own + "/texts", said("a text")).require(403);
    assertThat(refused.json().path("detail").asString())
        .isEqualTo("You may not text customers. Maren Oduya can allow it.");
    tom.post("/api/conversations/" + own + "/notes", said("but a note")).require(204);
    Map<String, Object> many = Map.of("ids", List.of(own), "what", "TEXT", "words", "to all");
    assertThat(browser(Role.STAFF).post("/api/several/check", many).status()).isEqualTo(403);
    assertThat(browser(Role.LEAD).post("/api/several/check", many).status()).isEqualTo(200);
  }
}
