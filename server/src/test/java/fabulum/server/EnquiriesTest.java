package fabulum.server;

import static org.assertj.core.api.Assertions.assertThat;

import fabulum.core.delivery.Gateway.OutgoingText;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Forms on the web site, from the page to the inbox. */
class EnquiriesTest {
  private static final Pattern TOKEN = Pattern.compile("name=\"token\" value=\"([^\"]+)\"");
  private static final Pattern CODE = Pattern.compile("(\\d{6}) is your code for Quillhaven.*");
  private static Fabulum fabulum;
  private static Browser maren;
  private static HttpClient web;
  private String number = "";

  @BeforeAll
  static void start() {
    fabulum = Fabulum.startInBusiness();
    maren = fabulum.signedIn("maren");
    web = HttpClient.newHttpClient();
  }

  @AfterAll
  static void stop() {
    fabulum.close();
  }

  @BeforeEach
  void anotherHour() {
    number = fabulum.freshNumber();
    fabulum.clock.advance(Duration.ofHours(2));
  }

  private static Map<String, Object> wanted(Map<String, Object> more) {
    Map<String, Object> form = new HashMap<>();
    form.put("name", "Lift enquiries");
    form.put("business", "Quillhaven Boatyard");
    form.put("heading", "Ask us <anything>");
    form.put("intro", "");
    form.put("wording", "Quillhaven may text me about my enquiry.");
    form.put("colour", "#1f5c50");
    form.put("asks", "ENQUIRY");
    form.put("confirms", true);
    form.put("inUse", true);
    form.put("lines", List.of(1));
    form.put("version", 0);
    form.putAll(more);
    return form;
  }

  private static JsonNode made(Map<String, Object> more) {
    return maren.post("/api/setup/forms", wanted(more)).require(200).json();
  }

  private static String formOf(Map<String, Object> more) {
    return made(more).path("address").asString();
  }

  private HttpResponse<String> send(HttpRequest.Builder request) throws Exception {
    return web.send(request.build(), BodyHandlers.ofString());
  }

  private static HttpRequest.Builder to(String path) {
    return HttpRequest.newBuilder(URI.create("http://localhost:" + fabulum.port() + path));
  }

  private String token(String form) throws Exception {
    Matcher found = TOKEN.matcher(send(to("/form/" + form)).body());
    assertThat(found.find()).isTrue();
    return found.group(1);
  }

  private HttpResponse<String> post(String path, Map<String, String> fields) throws Exception {
    String body =
        fields.entrySet().stream()
            .map(one ->
                one.getKey() + "=" + URLEncoder.encode(one.getValue(), StandardCharsets.UTF_8))
            .collect(Collectors.joining("&"));
    return send(
        to(path)
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(HttpRequest.BodyPublishers.ofString(body)));
  }

  private Map<String, String> filled(String token, String words) {
    return new HashMap<>(
        Map.of(
            "token", token, "name", "Ada Pell", "number", number, "words", words, "agreed", "yes"));
  }

  private String code() {
    assertThat(fabulum.becomes(() -> !codes().isEmpty())).isTrue();
    return codes().get(codes().size() - 1);
  }

  private List<String> codes() {
    return fabulum.network.handed.stream()
        .filter(text -> text.to().get(0).e164().equals(number))
        .map(OutgoingText::words)
        .map(CODE::matcher)
        .filter(Matcher::matches)
        .map(found -> found.group(1))
        .toList();
  }

  /** Codes that left or wait to leave. */
  private int codesCounted() {
    Integer rows =
        fabulum.tables.queryForObject(
            "select count(*) from enquiry_code where number = ?", Integer.class, number);
    return rows == null ? 0 : rows;
  }

  private int waiting() {
    Integer rows =
        fabulum.tables.queryForObject(
            "select count(*) from conversation c join number n on n.id = c.number_id"
                + " where n.address = ? and c.box = 'OUR_TURN'",
            Integer.class,
            number);
    return rows == null ? 0 : rows;
  }

  private List<String> script() {
    long id = maren.conversationOf(number).path("id").asLong();
    return StreamSupport.stream(maren.script(id).spliterator(), false)
        .filter(entry -> !entry.path("kind").asString().equals("OUT"))
        .map(entry -> entry.path("event").asString("") + entry.path("words").asString(""))
        .toList();
  }

  @Test
  void aFormBecomesAConversationOnceItsNumberIsConfirmed() throws Exception {
    String form = formOf(Map.of());
    String token = token(form);
    assertThat(post("/form/" + form, filled(token, "Is C14 free?")).body())
        .contains("a code of six digits");
    assertThat(waiting()).as("nobody sees what is not confirmed").isZero();
    post("/form/" + form, filled(token, "Is C14 free?"));
    assertThat(codesCounted()).as("handed in twice is one enquiry").isEqualTo(1);
    assertThat(post("/form/" + form + "/code", Map.of("token", token, "code", "x")).statusCode())
        .isEqualTo(422);
    assertThat(post("/form/" + form + "/code", Map.of("token", token, "code", code())).body())
        .contains("We have your message");
    post("/form/" + form + "/code", Map.of("token", token, "code", code()));

    assertThat(script()).containsSubsequence("Is C14 free?\nAda Pell", "WEB_ENQUIRYLift enquiries");
    assertThat(script().stream().filter(words -> words.contains("C14"))).hasSize(1);
    long id = maren.conversationOf(number).path("id").asLong();
    JsonNode agreement = maren.get("/api/conversations/" + id + "/agreement").require(200).json();
    assertThat(agreement.path("service").path("answer").asString()).isEqualTo("AGREED");
    assertThat(agreement.toString())
        .contains("127.0.0.1")
        .contains("Quillhaven may text me about my enquiry.");
  }

  @Test
  void itGoesOnInTheConversationThatTheNumberHasAndNoKeywordInItMeansAnything() throws Exception {
    fabulum.webhook().text(number, Fabulum.DOCK, "Hello from my boat").require(200);
    String form = formOf(Map.of("confirms", false));
    assertThat(post("/form/" + form, filled(token(form), "STOP")).body())
        .contains("We have your message");
    assertThat(script()).contains("Hello from my boat", "STOP\nAda Pell");
    assertThat(
            fabulum.tables.queryForList(
                "select a.given from agreement_change a join number n on n.id = a.number_id where n.address = ?",
                Boolean.class,
                number))
        .as("who did not confirm the number neither opts it out nor agrees for it")
        .isEmpty();
    assertThat(codesCounted()).isZero();
  }

  @Test
  void whatIsWrongIsSaidBesideWhatWasFilledInAndEverythingIsEscaped() throws Exception {
    String form = formOf(Map.of());
    Map<String, String> bad = filled(token(form), "<script>alert(1)</script>");
    bad.put("number", "12");
    bad.remove("agreed");
    HttpResponse<String> page = post("/form/" + form, bad);
    assertThat(page.statusCode()).isEqualTo(422);
    assertThat(page.body())
        .contains("&lt;script&gt;alert(1)&lt;/script&gt;")
        .contains("Ask us &lt;anything&gt;")
        .contains("We can answer by text only if you agree.")
        .contains("value=\"Ada Pell\"")
        .doesNotContain("<script");
    assertThat(page.headers().firstValue("Content-Security-Policy").orElse(""))
        .startsWith("default-src 'none'; style-src 'nonce-")
        .contains("form-action 'self'");
    assertThat(page.headers().firstValue("X-Content-Type-Options")).contains("nosniff");
    Map<String, String> ours = filled(token(form), "Hi");
    ours.put("number", Fabulum.DOCK);
    assertThat(post("/form/" + form, ours).body()).contains("This is our own number.");
  }

  @Test
  void aPageOfAnotherMakeOrOfYesterdayIsShownAgainWithWhatWasFilledIn() throws Exception {
    String form = formOf(Map.of());
    String old = token(form);
    fabulum.clock.advance(Duration.ofDays(1).plusSeconds(1));
    String other = token(formOf(Map.of("name", "Another")));
    for (String bad : List.of("", "x", old, other)) {
      HttpResponse<String> page = post("/form/" + form, filled(bad, "Is C14 free?"));
      assertThat(page.statusCode()).isEqualTo(422);
      assertThat(page.body()).contains("Nothing was sent yet").contains("Is C14 free?");
    }
    assertThat(codesCounted()).isZero();
  }

  @Test
  void aNumberGetsThreeCodesADayWhoeverAsks() throws Exception {
    String form = formOf(Map.of());
    String token = token(form);
    for (int i = 0; i < 8; i++) {
      if (i % 3 == 0) {
        fabulum.clock.advance(Duration.ofHours(2));
        token = token(form);
        post("/form/" + form, filled(token, "Try " + i));
      } else {
        post("/form/" + form + "/again", Map.of("token", token));
      }
    }
    assertThat(fabulum.becomes(() -> codes().size() == 3)).isTrue();
    String last = codes().get(2);
    assertThat(post("/form/" + form + "/code", Map.of("token", token, "code", last)).body())
        .as("the code of one enquiry does not confirm another")
        .doesNotContain("We have your message");
    fabulum.clock.advance(Duration.ofDays(1));
    token = token(form);
    post("/form/" + form, filled(token, "The day after"));
    assertThat(fabulum.becomes(() -> codes().size() == 4)).isTrue();
  }

  @Test
  void aCodeWorksForFiveTriesAndAQuarterOfAnHour() throws Exception {
    String form = formOf(Map.of());
    String token = token(form);
    post("/form/" + form, filled(token, "Is C14 free?"));
    String right = code();
    String wrong = right.startsWith("1") ? "200000" : "100000";
    for (int i = 0; i < 5; i++) {
      assertThat(post("/form/" + form + "/code", Map.of("token", token, "code", wrong)).body())
          .contains("This code is wrong.");
    }
    assertThat(post("/form/" + form + "/code", Map.of("token", token, "code", right)).body())
        .contains("does not work any more");
    post("/form/" + form + "/again", Map.of("token", token));
    assertThat(fabulum.becomes(() -> codes().size() == 2)).isTrue();
    fabulum.clock.advance(Duration.ofMinutes(15));
    assertThat(post("/form/" + form + "/code", Map.of("token", token, "code", code())).body())
        .contains("does not work any more");
    assertThat(waiting()).isZero();
  }

  @Test
  void aFormPostedAgainAndAgainKeepsTwentyAndFillsNothing() throws Exception {
    String form = formOf(Map.of("confirms", false));
    String token = token(form);
    int taken = 0;
    int refused = 0;
    for (int i = 0; i < 200; i++) {
      // The same page again and again is one enquiry, so each has a page of its own.
      String each = i % 50 == 0 || i < 40 ? token(form) : token;
      Map<String, String> fields = filled(each, "Flood " + i);
      fields.put("number", "+16465550" + (100 + i % 100));
      int status = post("/form/" + form, fields).statusCode();
      taken += status == 200 ? 1 : 0;
      refused += status == 429 ? 1 : 0;
    }
    assertThat(taken + refused).isEqualTo(200);
    assertThat(
            fabulum.tables.queryForObject(
                "select count(*) from enquiry where words like 'Flood %'", Integer.class))
        .isEqualTo(20);
    assertThat(send(to("/form/" + form)).statusCode()).as("the page is there").isEqualTo(200);
  }

  @Test
  void whoFillsInWhatNobodySeesIsToldNothingAndNothingIsKept() throws Exception {
    String form = formOf(Map.of());
    Map<String, String> robot = filled(token(form), "Buy now");
    robot.put("website", "http://spam.example");
    assertThat(post("/form/" + form, robot).body()).contains("We have your message");
    assertThat(
            fabulum.tables.queryForObject(
                "select count(*) from enquiry where words = 'Buy now'", Integer.class))
        .isZero();
  }

  @Test
  void aFormForTheAgreementAloneNotesItAndNobodyWaits() throws Exception {
    String form = formOf(Map.of("asks", "AGREEMENT", "name", "Agreement page"));
    String token = token(form);
    Map<String, String> fields = filled(token, "");
    post("/form/" + form, fields);
    assertThat(post("/form/" + form + "/code", Map.of("token", token, "code", code())).body())
        .contains("We have noted that we may text you.");
    assertThat(waiting()).isZero();
    assertThat(
            fabulum.tables.queryForList(
                "select a.ground from agreement_change a join number n on n.id = a.number_id where n.address = ? and a.given",
                String.class,
                number))
        .containsExactly("FORM");
  }

  @Test
  void aNumberThatOptedOutGetsNoCodeAndNobodyLearnsOfIt() throws Exception {
    fabulum.webhook().text(number, Fabulum.DOCK, "STOP").require(200);
    String form = formOf(Map.of());
    assertThat(post("/form/" + form, filled(token(form), "Hello")).body())
        .contains("If this number can receive texts");
    assertThat(codesCounted()).isZero();
  }

  private static Browser programOf(String form) {
    String key =
        maren
            .post(
                "/api/setup/programs",
                Map.of("name", "Web site " + form, "rights", List.of("SEND_ENQUIRIES")))
            .require(200)
            .json()
            .path("key")
            .asString();
    return fabulum.browser().withKey(key);
  }

  @Test
  void inAnHourANumberHandsInFiveAndAFormTakesTwoHundredWhereverTheyComeFrom() {
    String form = formOf(Map.of("confirms", false));
    Browser site = programOf(form);
    assertThat(IntStream.range(0, 6).map(i -> status(site, form, i, number)))
        .as("one number from six addresses")
        .containsExactly(200, 200, 200, 200, 200, 429);
    assertThat(IntStream.range(6, 202).map(i -> status(site, form, i, numberOf(i))))
        .as("each number once from an address of its own")
        .filteredOn(status -> status == 429)
        .hasSize(1);
    String other = formOf(Map.of("confirms", false));
    assertThat(status(programOf(other), other, 300, numberOf(300))).isEqualTo(200);
  }

  private static String numberOf(int i) {
    return "+1" + (212 + i / 90) + "5550" + (100 + i % 90);
  }

  private static int status(Browser site, String form, int i, String number) {
    Map<String, Object> said =
        Map.of(
            "reference",
            "limit-0000-" + i + form,
            "name",
            "Ada Pell",
            "number",
            number,
            "words",
            "Number " + i,
            "agreed",
            true,
            "address",
            "198.51." + i / 100 + "." + (1 + i % 100));
    return site.post("/api/outside/v1/forms/" + form + "/enquiries", said).status();
  }

  @Test
  void anotherProgramHandsInAnEnquiryWithItsKey() {
    String form = formOf(Map.of());
    Browser site = programOf(form);
    String at = "/api/outside/v1/forms/" + form + "/enquiries";
    Map<String, Object> said =
        Map.of(
            "reference",
            "site-0000" + form,
            "name",
            "Ada Pell",
            "number",
            number,
            "words",
            "From our own page",
            "agreed",
            true,
            "address",
            "203.0.113.7");
    assertThat(site.post(at, said).require(200).json().path("state").asString()).isEqualTo("CODE");
    String confirm = at + "/site-0000" + form + "/code";
    assertThat(site.post(confirm, Map.of("code", "1")).problem()).isEqualTo("bad-fields");
    String elsewhere = confirm.replace(form + "/enq", formOf(Map.of()) + "/enq");
    assertThat(site.post(elsewhere, Map.of("code", code())).status())
        .as("by another form")
        .isEqualTo(404);
    site.post(confirm, Map.of("code", code())).require(200);
    assertThat(site.post(at, said).require(200).json().path("state").asString()).isEqualTo("TAKEN");
    assertThat(script()).contains("From our own page\nAda Pell");
    assertThat(fabulum.browser().post(at, said).status()).isEqualTo(401);
  }

  @Test
  void aFormThatIsSwitchedOffIsNotThereAndTwoLeadsDoNotOverwriteEachOther() throws Exception {
    JsonNode form = made(Map.of("lines", List.of(1, 2)));
    String address = form.path("address").asString();
    assertThat(send(to("/form/" + address)).body()).contains("Please choose");
    Map<String, String> bad = filled(token(address), "Hi");
    bad.put("number", "12");
    assertThat(post("/form/" + address, bad).body())
        .contains("Please choose where you want to reach us.")
        .contains("id=\"wrong-NUMBER\"");
    Map<String, Object> off = wanted(Map.of("inUse", false));
    String at = "/api/setup/forms/" + form.path("id").asLong();
    maren.put(at, off).require(200);
    assertThat(send(to("/form/" + address)).statusCode()).isEqualTo(404);
    assertThat(maren.put(at, off).problem()).isEqualTo("changed-meanwhile");
    assertThat(
            maren
                .post("/api/setup/forms", wanted(Map.of("colour", "red;}", "lines", List.of())))
                .json()
                .path("fields")
                .size())
        .isEqualTo(2);
    assertThat(fabulum.signedIn("priya").get("/api/setup/forms").status()).isEqualTo(403);
  }
}
