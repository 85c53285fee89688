package fabulum.server.testing;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import tools.jackson.databind.json.JsonMapper;

/**
 * Calls the webhook as the network does; the signature is computed here from the written protocol,
 * not by the server's code.
 */
public final class Webhook {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final HttpClient HTTP = HttpClient.newHttpClient();

  private final int port;
  private final String secret;
  private final Clock clock;

  Webhook(int port, String secret, Clock clock) {
    this.port = port;
    this.secret = secret;
    this.clock = clock;
  }

  public static String id() {
    return "r-" + UUID.randomUUID();
  }

  public Answer text(String from, String line, String words) {
    return text(id(), from, line, words, clock.instant());
  }

  public Answer text(String id, String from, String line, String words, Instant at) {
    return told(JSON.writeValueAsString(textMessage(id, from, line, words, at)));
  }

  /** A text to a group: the line and these other numbers. */
  public Answer toAll(String from, String line, List<String> group, String words) {
    Map<String, Object> message =
        new HashMap<>(textMessage(id(), from, line, words, clock.instant()));
    message.put("group", group);
    return told(JSON.writeValueAsString(message));
  }

  public static Map<String, Object> textMessage(
      String id, String from, String line, String words, Instant at) {
    return Map.of(
        "type",
        "text.received",
        "id",
        id,
        "from",
        from,
        "to",
        line,
        "body",
        words,
        "receivedAt",
        at.toString());
  }

  public Answer report(String reference, String state) {
    return report(reference, state, "gone");
  }

  /** A report that says why. */
  public Answer report(String reference, String state, String code) {
    return told(
        JSON.writeValueAsString(
            Map.of(
                "type",
                "text.report",
                "id",
                "n",
                "reference",
                reference,
                "state",
                state,
                "code",
                code,
                "reason",
                "Out of service.")));
  }

  /** Tells with a good signature and the present time. */
  public Answer told(String body) {
    String timestamp = Long.toString(clock.instant().getEpochSecond());
    return told(timestamp, sign(timestamp, body), body);
  }

  public Answer told(String timestamp, String signature, String body) {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create("http://localhost:" + port + "/webhook/network"))
            .header("Content-Type", "application/json")
            .header("Network-Timestamp", timestamp)
            .header("Network-Signature", signature)
            .POST(HttpRequest.BodyPublishers.ofString(body))
            .build();
    return Browser.send(HTTP, request);
  }

  public String sign(String timestamp, String body) {
    try {
      Mac mac = Mac.getInstance("HmacSHA256");
      mac.init(new SecretKeySpec(secret.getBytes(StandardCharsets.UTF_8), "HmacSHA256"));
      return HexFormat.of()
          .formatHex(mac.doFinal((timestamp + "." + body).getBytes(StandardCharsets.UTF_8)));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }
}
