package fabulum.standins;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.HexFormat;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** The network as its written protocol has it, seen from a business that uses it. */
class NetworkTest {
  private static final String HANDSET = "+13125550123";
  private static final String OTHER = "+13125550124";
  private static final String LINE = "+19205550101";

  /** What the business was told. */
  record Told(String timestamp, String signature, String body) {}

  @TempDir Path folder;
  private final BlockingQueue<Told> told = new LinkedBlockingQueue<>();
  private final HttpClient http = HttpClient.newHttpClient();
  private volatile int webhookAnswers = 200;
  private HttpServer business;
  private ConfigurableApplicationContext network;

  @BeforeEach
  void start() throws IOException {
    business = HttpServer.create(new InetSocketAddress("localhost", 0), 0);
    business.createContext(
        "/",
        exchange -> {
          String body =
              new String(exchange.getRequestBody().readAllBytes(), StandardCharsets.UTF_8);
          int answer = webhookAnswers;
          var headers = exchange.getRequestHeaders();
          told.add(
              new Told(
                  headers.getFirst("Network-Timestamp"),
                  headers.getFirst("Network-Signature"),
                  body));
          exchange.sendResponseHeaders(answer, -1);
          exchange.close();
        });
    business.start();
    startNetwork();
  }

  private void startNetwork() {
    network =
        SpringApplication.run(
            StandinsApplication.class,
            "--server.port=0",
            "--standins.data=" + folder,
            "--standins.carrying=1ms",
            "--standins.key=key",
            "--standins.secret=secret",
            "--standins.webhook=http://localhost:" + business.getAddress().getPort() + "/");
  }

  @AfterEach
  void stop() {
    network.close();
    business.stop(0);
  }

  private record Answered(int status, String body) {}

  private Answered call(String method, String path, String body, String key) throws Exception {
    String port = network.getEnvironment().getProperty("local.server.port");
    var response =
        http.send(
            HttpRequest.newBuilder(URI.create("http://localhost:" + port + path))
                .header("Content-Type", "application/json")
                .header("Authorization", "Bearer " + key)
                .method(method, HttpRequest.BodyPublishers.ofString(body))
                .build(),
            BodyHandlers.ofString());
    return new Answered(response.statusCode(), response.body());
  }

  private Answered send(String reference, String words) throws Exception {
    String body =
        "{\"reference\":\""
            + reference
            + "\",\"from\":\""
            + LINE
            + "\",\"to\":\""
            + HANDSET
            + "\",\"body\":\""
            + words
            + "\"}";
    return call("POST", "/network/texts", body, "key");
  }

  private void handsetSends(String words) throws Exception {
    String body = "{\"to\":\"" + LINE + "\",\"body\":\"" + words + "\"}";
    assertThat(call("POST", "/handsets/" + HANDSET + "/texts", body, "").status()).isEqualTo(200);
  }

  private Told nextTold() throws InterruptedException {
    Told next = told.poll(20, TimeUnit.SECONDS);
    assertThat(next).as("something is told").isNotNull();
    return next;
  }

  @Test
  void aTextIsCarriedAndItsWayReported() throws Exception {
    Answered answer = send("reference-1", "Tuesday at 9");

    assertThat(answer.status()).isEqualTo(202);
    assertThat(nextTold().body() + nextTold().body())
        .contains("\"state\":\"sent\"", "\"state\":\"delivered\"", "reference-1");
    assertThat(call("GET", "/handsets/" + HANDSET, "", "").body()).contains("Tuesday at 9");
    assertThat(nextTold().body()).contains("\"state\":\"read\"");
  }

  @Test
  void whatGoesWithATextIsFetchedOnceTheBusinessIsThereAgain() throws Exception {
    int port;
    try (ServerSocket free = new ServerSocket(0)) {
      port = free.getLocalPort();
    }
    String body =
        """
        {"reference": "with-chart", "from": "%s", "to": "%s", "body": "",
         "media": [{"url": "http://localhost:%d/chart", "name": "chart.txt", "type": "text/plain", "octets": 7}]}
        """
            .formatted(LINE, HANDSET, port);
    assertThat(call("POST", "/network/texts", body, "key").status()).isEqualTo(202);
    HttpServer back = HttpServer.create(new InetSocketAddress("localhost", port), 0);
    back.createContext(
        "/",
        exchange -> {
          byte[] content = "a chart".getBytes(StandardCharsets.UTF_8);
          exchange.sendResponseHeaders(200, content.length);
          exchange.getResponseBody().write(content);
          exchange.close();
        });
    back.start();
    try {
      assertThat(nextTold().body() + nextTold().body()).contains("\"state\":\"delivered\"");
    } finally {
      back.stop(0);
    }
  }

  @Test
  void aTextToAGroupReachesEachHandsetAndIsReportedOfEach() throws Exception {
    String body =
        """
        {"reference": "reference-to-both", "from": "%s", "group": ["%s", "%s"], "body": "Both of you"}
        """
            .formatted(LINE, HANDSET, OTHER);
    call("PUT", "/handsets/" + OTHER + "/state", "{\"state\":\"GONE\"}", "");
    assertThat(call("POST", "/network/texts", body, "key").status()).isEqualTo(202);
    List<String> reports = List.of(nextTold().body(), nextTold().body(), nextTold().body());
    assertThat(reports)
        .anyMatch(one -> one.contains("delivered") && one.contains(HANDSET))
        .anyMatch(one -> one.contains("failed") && one.contains(OTHER));
    assertThat(call("GET", "/handsets/" + HANDSET, "", "").body()).contains("Both of you", OTHER);
    assertThat(call("GET", "/handsets/" + OTHER, "", "").body()).doesNotContain("Both of you");
    assertThat(call("GET", "/network/texts/by-reference/reference-to-both", "", "key").body())
        .contains(HANDSET, OTHER);
  }

  @Test
  void whatAHandsetSaysToAGroupIsToldWithTheOthersAndShownOnTheirs() throws Exception {
    String text = "{\"to\":\"%s\",\"body\":\"To all\",\"group\":[\"%s\"]}";
    call("POST", "/handsets/" + HANDSET + "/texts", text.formatted(LINE, OTHER), "");
    assertThat(nextTold().body()).contains("To all", "\"group\":[\"" + OTHER + "\"]");
    assertThat(call("GET", "/handsets/" + OTHER, "", "").body()).contains("To all", HANDSET);
    handsetSends("To you alone");
    assertThat(nextTold().body()).contains("To you alone", "\"group\":null");
    assertThat(call("GET", "/handsets/" + OTHER, "", "").body()).doesNotContain("To you alone");
  }

  @Test
  void whatAHandsetSendsCanBeLostOrSpoiltOnTheWayAsOftenAsItIsTold() throws Exception {
    String file = "{\"name\":\"note.txt\",\"type\":\"text/plain\",\"data\":\"YSBjaGFydA==\"}";
    String text = "{\"to\":\"" + LINE + "\",\"body\":\"\",\"media\":[" + file + "]}";
    call("POST", "/handsets/" + HANDSET + "/texts", text, "");
    String url = nextTold().body().split("\"url\":\"")[1].split("\"")[0];
    String path = URI.create(url).getPath();
    misbehave("\"loseMedia\":1,\"spoilMedia\":1");
    assertThat(call("GET", path, "", "").status()).isEqualTo(404);
    assertThat(call("GET", path, "", "").body()).hasSize(7).isNotEqualTo("a chart");
    assertThat(call("GET", path, "", "").body()).isEqualTo("a chart");
    assertThat(call("GET", "/network/media/no-such-file", "", "").status()).isEqualTo(404);
  }

  @Test
  void whatIsNotWholeWhenItIsFetchedIsNotDelivered() throws Exception {
    HttpServer files = HttpServer.create(new InetSocketAddress("localhost", 0), 0);
    files.createContext(
        "/",
        exchange -> {
          exchange.sendResponseHeaders(200, 4);
          exchange.getResponseBody().write(new byte[4]);
          exchange.close();
        });
    files.start();
    try {
      String body =
          """
          {"reference": "reference-spoilt", "from": "%s", "to": "%s", "body": "",
           "media": [{"url": "http://localhost:%d/", "octets": 4, "sha256": "%s"}]}
          """
              .formatted(LINE, HANDSET, files.getAddress().getPort(), "00".repeat(32));
      assertThat(call("POST", "/network/texts", body, "key").status()).isEqualTo(202);
      assertThat(nextTold().body()).contains("failed", "media-unavailable");
    } finally {
      files.stop(0);
    }
  }

  @Test
  void theSameReferenceIsCarriedOnceEvenAfterARestart() throws Exception {
    String id = send("reference-1", "once").body().split("\"", 5)[3];
    Answered again = send("reference-1", "once");
    assertThat(again.status()).isEqualTo(200);
    assertThat(again.body()).contains(id);
    network.close();
    startNetwork();
    assertThat(send("reference-1", "once").status()).isEqualTo(200);
    assertThat(call("GET", "/network/texts/by-reference/reference-1", "", "key").status())
        .isEqualTo(200);
    assertThat(call("GET", "/network/texts/by-reference/reference-2", "", "key").status())
        .isEqualTo(404);
    assertThat(call("GET", "/handsets/" + HANDSET, "", "").body().split("\"once\"", -1)).hasSize(2);
  }

  @Test
  void whatAHandsetSendsIsToldSignedAndListed() throws Exception {
    handsetSends("hello");

    Told text = nextTold();
    assertThat(text.body()).contains("\"type\":\"text.received\"", "hello", HANDSET);
    assertThat(text.signature()).isEqualTo(hmac(text.timestamp() + "." + text.body()));
    Answered list =
        call(
            "GET",
            "/network/received?from=2020-01-01T00:00:00Z&to=2100-01-01T00:00:00Z",
            "",
            "key");
    assertThat(list.body()).contains("hello");
    assertThat(
            call(
                    "GET",
                    "/network/received?from=2020-01-01T00:00:00Z&to=2020-01-02T00:00:00Z",
                    "",
                    "key")
                .body())
        .isEqualTo("{\"texts\":[]}");
  }

  private static String hmac(String text) throws Exception {
    Mac mac = Mac.getInstance("HmacSHA256");
    mac.init(new SecretKeySpec("secret".getBytes(StandardCharsets.UTF_8), "HmacSHA256"));
    return HexFormat.of().formatHex(mac.doFinal(text.getBytes(StandardCharsets.UTF_8)));
  }

  @Test
  void aWebhookThatFailsIsToldAgainUntilItTakesIt() throws Exception {
    webhookAnswers = 500;
    handsetSends("are you there?");
    String first = nextTold().body();
    webhookAnswers = 200;
    assertThat(nextTold().body()).isEqualTo(first);
  }

  @Test
  void itMisbehavesAsItIsTold() throws Exception {
    misbehave("\"refuse\":1,\"refuseForGood\":1,\"loseAnswers\":1");
    assertThat(send("reference-1", "a").status()).isEqualTo(429);
    assertThat(send("reference-1", "a").status()).isEqualTo(422);
    assertThat(send("reference-1", "a").status()).as("taken, and the answer lost").isEqualTo(500);
    assertThat(call("GET", "/network/texts/by-reference/reference-1", "", "key").status())
        .isEqualTo(200);
    misbehave("\"down\":true");
    assertThat(send("reference-2", "b").status()).isEqualTo(503);
    misbehave("\"failWith\":\"lost-at-sea\"");
    told.clear();
    send("reference-3", "c");
    Told failed = nextTold();
    while (!failed.body().contains("reference-3")) {
      failed = nextTold();
    }
    assertThat(failed.body()).contains("\"state\":\"failed\"", "lost-at-sea");
    assertThat(call("GET", "/network/texts/by-reference/reference-3", "", "key").body())
        .contains("\"state\":\"failed\"", "lost-at-sea", "could not deliver");
    misbehave("\"strangeKey\":true");
    assertThat(send("reference-4", "d").status()).isEqualTo(401);
  }

  @Test
  void itMisbehavesTowardsOneHandsetOnly() throws Exception {
    String refusing = "{\"refuse\":1}";
    assertThat(call("PUT", "/control/faults/+13125550199", refusing, "").status()).isEqualTo(200);
    assertThat(send("reference-1", "a").status()).isEqualTo(202);
    assertThat(call("PUT", "/control/faults/(312)%20555-0123", refusing, "").status())
        .isEqualTo(200);
    assertThat(send("reference-2", "b").status()).isEqualTo(429);
    assertThat(send("reference-2", "b").status()).isEqualTo(202);
  }

  @ParameterizedTest
  @CsvSource({
    "312%20555%200123, +13125550123",
    "(312)%20555-0123, +13125550123",
    "1-312-555-0123, +13125550123",
    "222%20555%200123, +12225550123",
    "%2B447700900123, +447700900123",
    "72345, 72345",
    "GULLWATCH, GULLWATCH"
  })
  void aNumberTypedInAnyWayReachesItsHandset(String typed, String handset) throws Exception {
    String text = "{\"to\":\"" + LINE + "\",\"body\":\"from anywhere\"}";
    assertThat(call("POST", "/handsets/" + typed + "/texts", text, "").body())
        .contains("\"from\":\"" + handset + "\"");
    assertThat(call("GET", "/handsets/" + typed, "", "").body())
        .contains("\"number\":\"" + handset + "\"", "from anywhere");
  }

  private void misbehave(String faults) throws Exception {
    assertThat(call("PUT", "/control/faults", "{" + faults + "}", "").status()).isEqualTo(200);
  }

  @Test
  void whoeverHasNoKeyOrNoSenseIsRefused() throws Exception {
    assertThat(call("POST", "/network/texts", "{}", "another").status()).isEqualTo(401);
    assertThat(call("POST", "/network/texts", "{}", "key").status()).isEqualTo(400);
    assertThat(
            call(
                    "POST",
                    "/network/texts",
                    "{\"reference\":\"reference-1\",\"from\":\"x\",\"to\":\"y\",\"body\":\"b\"}",
                    "key")
                .status())
        .isEqualTo(422);
    assertThat(
            call("POST", "/handsets/" + HANDSET + "/texts", "{\"to\":\"" + LINE + "\"}", "")
                .status())
        .isEqualTo(422);
  }
}
