package fabulum.server.messaging.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.net.httpserver.HttpServer;
import fabulum.core.delivery.ClientReference;
import fabulum.core.delivery.DeliveryState;
import fabulum.core.delivery.Gateway;
import fabulum.core.delivery.Gateway.GatewayUnavailable;
import fabulum.core.delivery.Gateway.LookUp;
import fabulum.core.delivery.Gateway.OutgoingText;
import fabulum.core.delivery.Media;
import fabulum.core.delivery.SendOutcome;
import fabulum.core.phone.PhoneNumber;
import fabulum.server.platform.NetworkSettings;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.json.JsonMapper;

class HttpGatewayTest {
  private static final ClientReference REFERENCE = new ClientReference("reference-1");
  private static final OutgoingText TEXT =
      new OutgoingText(
          REFERENCE,
          new PhoneNumber("+19205550101"),
          List.of(new PhoneNumber("+13125550123")),
          false,
          "Tuesday at 9",
          List.of());

  private HttpServer provider;
  private Gateway gateway;
  private volatile int status;
  private volatile String answer = "";
  private volatile String retryAfter = "";
  private volatile String asked = "";

  @BeforeEach
  void start() throws IOException {
    provider = HttpServer.create(new InetSocketAddress("localhost", 0), 0);
    provider.createContext(
        "/",
        exchange -> {
          String body =
              new String(exchange.getRequestBody().readAllBytes(), StandardCharsets.UTF_8);
          asked =
              exchange.getRequestURI()
                  + " "
                  + exchange.getRequestHeaders().getFirst("Authorization")
                  + " "
                  + body;
          if (!retryAfter.isEmpty()) {
            exchange.getResponseHeaders().set("Retry-After", retryAfter);
          }
          byte[] bytes = answer.getBytes(StandardCharsets.UTF_8);
          exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length);
          exchange.getResponseBody().write(bytes);
          exchange.close();
        });
    provider.start();
    URI url = URI.create("http://localhost:" + provider.getAddress().getPort());
    NetworkSettings settings = new NetworkSettings(url, "key", "secret", Duration.ofSeconds(60), 1);
    gateway = new HttpGateway(url, settings, JsonMapper.builder().build());
  }

  @AfterEach
  void stop() {
    provider.stop(0);
  }

  private void answers(int with, String body) {
    status = with;
    answer = body;
  }

  @Test
  void handsATextOverAsTheProtocolSays() {
    answers(202, "{\"id\":\"n1\",\"reference\":\"reference-1\",\"state\":\"sent\"}");

    assertThat(gateway.send(TEXT)).isEqualTo(new SendOutcome.Accepted("n1"));
    assertThat(asked)
        .isEqualTo(
            "/network/texts Bearer key {\"reference\":\"reference-1\",\"from\":\"+19205550101\","
                + "\"to\":\"+13125550123\",\"body\":\"Tuesday at 9\"}");
  }

  @ParameterizedTest
  @CsvSource({
    "429, RefusedForNow",
    "503, RefusedForNow",
    "422, RefusedForGood",
    "400, RefusedForGood",
    "404, RefusedForGood",
    "401, Closed",
    "403, Closed",
    "500, Unclear",
    "502, Unclear",
    "200, Unclear"
  })
  void readsEachAnswerForWhatItMeans(int with, String outcome) {
    answers(with, with == 200 ? "<html>" : "{\"code\":\"c\",\"reason\":\"r\"}");
    assertThat(gateway.send(TEXT).getClass().getSimpleName()).isEqualTo(outcome);
  }

  /** Another program at the address, or a key that is not known, says nothing about this text. */
  @ParameterizedTest
  @CsvSource({"401", "403", "404", "405", "301", "400", "422"})
  void onlyARefusalInTheProtocolsWordsIsAboutTheText(int with) {
    answers(with, "<html>Nothing here</html>");
    assertThat(gateway.send(TEXT)).isInstanceOf(SendOutcome.Closed.class);
    assertThat(gateway.find(REFERENCE)).isInstanceOf(LookUp.Closed.class);
  }

  @Test
  void aPathInTheAddressIsKept() {
    URI url = URI.create("http://localhost:" + provider.getAddress().getPort() + "/carrier/v2/");
    NetworkSettings settings = new NetworkSettings(url, "key", "secret", Duration.ofSeconds(60), 1);
    Gateway behindAPath = new HttpGateway(url, settings, JsonMapper.builder().build());
    answers(202, "{\"id\":\"n1\"}");
    behindAPath.send(TEXT);
    assertThat(asked).startsWith("/carrier/v2/network/texts ");
  }

  @Test
  void keepsTheWaitTheNetworkAsksFor() {
    retryAfter = "30";
    answers(429, "");
    SendOutcome.RefusedForNow refused = (SendOutcome.RefusedForNow) gateway.send(TEXT);
    assertThat(refused.notBefore()).isEqualTo(Optional.of(Duration.ofSeconds(30)));
    assertThat(refused.reason()).isEqualTo("The network answered 429.");
  }

  @Test
  void looksUpAReference() {
    answers(200, "{\"id\":\"n7\"}");
    assertThat(gateway.find(REFERENCE))
        .isEqualTo(new LookUp.Known("n7", DeliveryState.SENT, null, null, List.of()));
    answers(200, "{\"id\":\"n7\",\"state\":\"failed\",\"code\":\"gone\",\"reason\":\"Gone.\"}");
    assertThat(gateway.find(REFERENCE))
        .isEqualTo(new LookUp.Known("n7", DeliveryState.NOT_DELIVERED, "gone", "Gone.", List.of()));
    answers(404, "{\"code\":\"unknown\",\"reason\":\"No text has this reference.\"}");
    assertThat(gateway.find(REFERENCE)).isEqualTo(new LookUp.NotKnown());
    answers(503, "");
    assertThat(gateway.find(REFERENCE)).isInstanceOf(LookUp.NoAnswer.class);
  }

  @Test
  void listsWhatWasReceived() {
    answers(
        200,
        "{\"texts\":[{\"id\":\"r1\",\"from\":\"+1\",\"to\":\"+2\",\"body\":\"hi\",\"receivedAt\":\"2026-06-09T19:00:00Z\"}]}");
    Gateway.Listing listing =
        gateway.listReceived(Instant.EPOCH, Instant.parse("2026-06-09T20:00:00Z"));
    assertThat(listing.unreadable()).isEmpty();
    assertThat(listing.texts())
        .containsExactly(
            new Gateway.IncomingText(
                "r1",
                "+1",
                "+2",
                "hi",
                Instant.parse("2026-06-09T19:00:00Z"),
                List.of(),
                List.of()));
    assertThat(asked)
        .startsWith("/network/received?from=1970-01-01T00%3A00%3A00Z&to=2026-06-09T20%3A00%3A00Z");
  }

  @Test
  void whatGoesAndComesWithATextIsSaidByReference() {
    answers(202, "{\"id\": \"n1\"}");
    Media plan = new Media("https://here/media/1", "plan.pdf", "application/pdf", 7, "ab");
    gateway.send(new OutgoingText(REFERENCE, TEXT.from(), TEXT.to(), false, "", List.of(plan)));
    assertThat(asked)
        .endsWith(
            "\"body\":\"\",\"media\":[{\"url\":\"https://here/media/1\",\"name\":\"plan.pdf\","
                + "\"type\":\"application/pdf\",\"octets\":7,\"sha256\":\"ab\"}]}");
    answers(
        200,
        "{\"texts\": [{\"id\": \"r1\", \"from\": \"+1\", \"to\": \"+2\", \"body\": \"\","
            + " \"receivedAt\": \"2026-06-09T19:00:00Z\", \"media\": [{\"url\": \"https://there/9\","
            + " \"type\": \"IMAGE/JPEG\", \"octets\": 7, \"sha256\": \"not one\"}]},"
            + " {\"id\": \"r2\", \"from\": \"+1\", \"to\": \"+2\", \"body\": \"\","
            + " \"receivedAt\": \"2026-06-09T19:00:00Z\", \"media\": [{\"type\": \"x\"}]}]}");
    Gateway.Listing listing = gateway.listReceived(Instant.EPOCH, Instant.EPOCH);
    assertThat(listing.texts())
        .flatExtracting(Gateway.IncomingText::media)
        .containsExactly(new Media("https://there/9", null, "image/jpeg", 7, null));
    assertThat(listing.unreadable()).hasSize(1);
  }

  @Test
  void whatIsNoTextInAListDoesNotKeepTheOthersBack() {
    answers(
        200,
        "{\"texts\":[{\"id\":\"r1\"},7,{\"id\":\"r2\",\"from\":\"+1\",\"to\":\"+2\",\"body\":\"hi\","
            + "\"receivedAt\":\"soon\"},{\"id\":\"r3\",\"from\":\"+1\",\"to\":\"+2\",\"body\":\"hi\","
            + "\"receivedAt\":\"2026-06-09T19:00:00Z\"}]}");
    Gateway.Listing listing = gateway.listReceived(Instant.EPOCH, Instant.EPOCH);
    assertThat(listing.texts()).extracting(Gateway.IncomingText::networkId).containsExactly("r3");
    assertThat(listing.unreadable())
        .extracting(Gateway.Unreadable::asItCame)
        .hasSize(3)
        .contains("7");
  }

  @Test
  void whereNothingAnswersNothingWasHandedOver() {
    provider.stop(0);
    assertThat(gateway.send(TEXT)).isInstanceOf(SendOutcome.Closed.class);
    assertThat(gateway.find(REFERENCE)).isInstanceOf(LookUp.Closed.class);
    assertThatThrownBy(() -> gateway.listReceived(Instant.EPOCH, Instant.EPOCH))
        .isInstanceOf(GatewayUnavailable.class);
  }
}
