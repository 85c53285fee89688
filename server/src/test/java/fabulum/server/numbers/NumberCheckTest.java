package fabulum.server.numbers;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import fabulum.server.testing.Answer;
import fabulum.server.testing.Browser;
import fabulum.server.testing.Fabulum;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What an outside service says of numbers. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class NumberCheckTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final Map<String, Map<String, String>> known = new ConcurrentHashMap<>();
  private final List<String> asked = new CopyOnWriteArrayList<>();
  private final AtomicInteger failures = new AtomicInteger();
  private HttpServer service;
  private Fabulum fabulum;
  private Browser maren;

  @BeforeAll
  void begin(@TempDir Path folder) throws IOException {
    service = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    service.createContext(
        "/number-checks",
        exchange -> {
          JsonNode question = JSON.readTree(exchange.getRequestBody().readAllBytes());
          boolean fails = failures.getAndUpdate(left -> Math.max(0, left - 1)) > 0;
          byte[] answer = JSON.writeValueAsBytes(answer(question));
          exchange.sendResponseHeaders(fails ? 503 : 200, answer.length);
          exchange.getResponseBody().write(answer);
          exchange.close();
        });
    service.start();
    fabulum =
        Fabulum.startInBusiness(
            folder,
            "--fabulum.number-check.url=http://localhost:" + service.getAddress().getPort(),
            "--fabulum.number-check.key=k");
    maren = fabulum.signedIn("maren");
  }

  private Map<String, Object> answer(JsonNode question) {
    List<Map<String, String>> said =
        question
            .path("numbers")
            .valueStream()
            .map(JsonNode::asString)
            .peek(asked::add)
            .map(number -> known.getOrDefault(number, Map.of("number", number, "reach", "MOBILE")))
            .collect(Collectors.toList());
    return Map.of("numbers", said);
  }

  @AfterAll
  void stop() {
    fabulum.close();
    service.stop(0);
  }

  private void say(String number, String reach, String registeredTo) {
    known.put(
        number,
        Map.of(
            "number",
            number,
            "reach",
            reach,
            "carrier",
            "Northline",
            "registeredTo",
            registeredTo));
  }

  private void setting(boolean automatic) {
    maren
        .put(
            "/api/setup/number-check",
            Map.of("automatic", automatic, "price", "0.004", "currency", "USD"))
        .require(200);
  }

  private long times(String number) {
    return asked.stream().filter(number::equals).count();
  }

  private void checked(String number) {
    assertThat(
            fabulum.comesTo(
                "select count(*) from number_check c join number n on n.id = c.number_id"
                    + " where c.wanted_at is null and n.address = '"
                    + number
                    + "'",
                "1"))
        .as(number)
        .isTrue();
  }

  private Answer ask(String number) {
    return maren.post("/api/number-checks", Map.of("number", number));
  }

  private JsonNode likely(String number) {
    long id = maren.conversationOf(number).path("id").asLong();
    return maren.get("/api/conversations/" + id + "/likely").require(200).json();
  }

  @Test
  void aNumberNobodyKnowsIsAskedAboutOnceAndItsNameIsEvidence() {
    String number = fabulum.freshNumber();
    long vera = fabulum.customer("Vera Lundqvist", fabulum.freshNumber());
    say(number, "MOBILE", "LUNDQVIST VERA");
    setting(true);
    fabulum.webhook().text(number, Fabulum.DOCK, "is the ramp open").require(200);
    checked(number);
    JsonNode likely = likely(number);
    assertThat(likely.path("check").path("carrier").asString()).isEqualTo("Northline");
    assertThat(likely.path("guessedName").asString()).isEqualTo("LUNDQVIST VERA");
    JsonNode first = likely.path("candidates").path(0);
    assertThat(first.path("customerId").asLong()).isEqualTo(vera);
    assertThat(first.path("reasons").toString()).contains("registered to “LUNDQVIST VERA”");
    fabulum.webhook().text(number, Fabulum.DOCK, "hello?").require(200);
    String other = fabulum.freshNumber();
    fabulum.webhook().text(other, Fabulum.DOCK, "me too").require(200);
    checked(other);
    assertThat(times(number)).isEqualTo(1);
    setting(false);
  }

  @Test
  void whereALeadDidNotAllowItNobodyIsAskedUnlessAPersonWantsIt() {
    setting(false);
    String number = fabulum.freshNumber();
    fabulum.webhook().text(number, Fabulum.DOCK, "who is it").require(200);
    assertThat(likely(number).path("canCheck").asBoolean()).isTrue();
    String wanted = fabulum.freshNumber();
    ask(wanted).require(200);
    checked(wanted);
    assertThat(times(number)).isZero();
  }

  @Test
  void aLandlineIsNotTextedUntilATextComesFromIt() {
    String number = fabulum.freshNumber();
    long ben = fabulum.customer("Ben Moss", number);
    say(number, "LANDLINE", "");
    ask(number).require(200);
    checked(number);
    JsonNode held = maren.get("/api/customers/" + ben).require(200).json().path("numbers").path(0);
    assertThat(held.path("state").asString()).isEqualTo("CANNOT_RECEIVE");
    assertThat(held.path("check").path("reach").asString()).isEqualTo("LANDLINE");
    fabulum.webhook().text(number, Fabulum.DOCK, "yes I can").require(200);
    assertThat(
            maren
                .get("/api/customers/" + ben)
                .json()
                .path("numbers")
                .path(0)
                .path("state")
                .asString())
        .isEqualTo("GOOD");
  }

  @Test
  void whatOnlyACheckHadSaidIsTakenBackByTheNext() {
    String number = fabulum.freshNumber();
    long ida = fabulum.customer("Ida Falk", number);
    say(number, "UNREACHABLE", "");
    ask(number).require(200);
    checked(number);
    String page = "/api/customers/" + ida;
    assertThat(maren.get(page).json().path("numbers").path(0).path("state").asString())
        .isEqualTo("NO_SUCH_NUMBER");
    say(number, "MOBILE", "");
    ask(number).require(200);
    checked(number);
    assertThat(maren.get(page).json().path("numbers").path(0).path("state").asString())
        .isEqualTo("GOOD");
  }

  @Test
  void whatTheServiceDoesNotAnswerIsAskedAgainLater() {
    String number = fabulum.freshNumber();
    failures.set(1);
    ask(number).require(200);
    assertThat(
            fabulum.comesTo(
                "select max(tries) from number_check c join number n on n.id = c.number_id where n.address = '"
                    + number
                    + "'",
                "1"))
        .isTrue();
    fabulum.clock.advance(Duration.ofSeconds(21));
    checked(number);
  }

  @Test
  void manyAreAskedAboutOnlyForWhatWasSaidBefore() {
    setting(false);
    long one = fabulum.customer("Otto One", fabulum.freshNumber(), fabulum.freshNumber());
    long two = fabulum.customer("Olga Two", fabulum.freshNumber());
    Map<String, Object> these = Map.of("customers", List.of(one, two));
    JsonNode estimate = maren.post("/api/number-checks/estimate", these).require(200).json();
    assertThat(estimate.path("numbers").asInt()).isEqualTo(3);
    assertThat(estimate.path("cost").asString()).isEqualTo("USD 0.012");
    Answer more =
        maren.post("/api/number-checks/all", Map.of("customers", List.of(one, two), "numbers", 2));
    assertThat(more.status()).isEqualTo(409);
    maren
        .post("/api/number-checks/all", Map.of("customers", List.of(one, two), "numbers", 3))
        .require(200);
    assertThat(
            fabulum.comesTo(
                "select count(*) from number_check c join holding h on h.number_id = c.number_id"
                    + " where c.wanted_at is null and h.customer_id in ("
                    + one
                    + ", "
                    + two
                    + ")",
                "3"))
        .isTrue();
    assertThat(maren.post("/api/number-checks/estimate", these).json().path("numbers").asInt())
        .as("each is asked about once")
        .isZero();
  }

  @Test
  void aTextThatFailsBecauseOfItsNumberHasItAskedAgain() {
    String number = fabulum.freshNumber();
    fabulum.webhook().text(number, Fabulum.DOCK, "hi").require(200);
    ask(number).require(200);
    checked(number);
    long id = maren.conversationOf(number).path("id").asLong();
    maren.answer(id, "Good morning").require(200);
    assertThat(fabulum.comesTo("select count(*) from outbox", "0")).isTrue();
    String reference =
        fabulum.tables.queryForObject(
            "select reference from entry where conversation_id = ? and kind = 'OUT'",
            String.class,
            id);
    fabulum.webhook().report(reference, "failed", "cannot-receive-texts").require(200);
    assertThat(fabulum.becomes(() -> times(number) == 2)).isTrue();
  }

  @Test
  void impossiblePricesAreRefused() {
    Answer bad =
        maren.put(
            "/api/setup/number-check",
            Map.of("automatic", true, "price", "-1", "currency", "SHELLS"));
    assertThat(bad.status()).isEqualTo(422);
    assertThat(bad.json().path("fields").findValuesAsString("field"))
        .containsExactlyInAnyOrder("price", "currency");
    assertThat(new String(bad.body().getBytes(StandardCharsets.UTF_8), StandardCharsets.UTF_8))
        .contains("Not a currency");
  }
}
