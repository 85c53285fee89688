package fabulum.standins;

import java.io.IOException;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Tells the webhook what happened, signed, and again with growing waits until it is answered 200.
 */
@Component
class Teller {
  private static final Logger log = LoggerFactory.getLogger(Teller.class);
  private static final List<Integer> WAIT_SECONDS = List.of(1, 1, 2, 3, 5, 10, 30, 60, 300);
  private static final int MOST_TRIES = 200;
  private static final int DISORDER_MILLIS = 1500;
  private static final Duration PATIENCE = Duration.ofSeconds(10);

  private final Settings settings;
  private final JsonMapper json;
  private final Clock clock;
  private final HttpClient http =
      HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(3)).build();
  private final ScheduledExecutorService calls = Executors.newScheduledThreadPool(4);
  private final Misbehaviour misbehaviour;

  Teller(Settings settings, JsonMapper json, Clock clock, Misbehaviour misbehaviour) {
    this.misbehaviour = misbehaviour;
    this.settings = settings;
    this.json = json;
    this.clock = clock;
  }

  record TextReceived(
      String type,
      String id,
      String from,
      String to,
      String body,
      Instant receivedAt,
      @Nullable List<MediaTold> media,
      @Nullable List<String> group) {}

  /** What came with a text, as the protocol says it. */
  record MediaTold(
      @Nullable String url,
      @Nullable String name,
      @Nullable String type,
      long octets,
      @Nullable String sha256) {
    static @Nullable List<MediaTold> all(@Nullable List<Media> media) {
      return media == null || media.isEmpty()
          ? null
          : media.stream()
              .map(one ->
                  new MediaTold(one.url(), one.name(), one.type(), one.octets(), one.sha256()))
              .toList();
    }
  }

  record TextReport(
      String type,
      String id,
      String reference,
      @Nullable String to,
      String state,
      @Nullable String code,
      @Nullable String reason,
      Instant at) {}

  void received(Received text, Runnable whenTold) {
    String body =
        json.writeValueAsString(
            new TextReceived(
                "text.received",
                text.id(),
                text.from(),
                text.to(),
                text.body(),
                text.receivedAt(),
                MediaTold.all(text.media()),
                text.group()));
    tell(body, misbehaviour.towards(text.from()).repeat(), 0, whenTold);
  }

  void report(Carried text) {
    String state = text.state().name().toLowerCase(Locale.ROOT);
    String body =
        json.writeValueAsString(
            new TextReport(
                "text.report",
                text.id(),
                text.reference(),
                text.group() == null ? null : text.to(),
                state,
                text.code(),
                text.reason(),
                clock.instant()));
    boolean early = text.state() == Carried.State.SENT;
    Faults faults = misbehaviour.towards(text.to());
    tell(body, faults.repeat(), faults.outOfOrder() && early ? DISORDER_MILLIS : 0, () -> {});
  }

  private void tell(String body, int again, int afterMillis, Runnable whenTold) {
    for (int i = 0; i <= again; i++) {
      calls.schedule(() -> call(body, 1, whenTold), afterMillis, TimeUnit.MILLISECONDS);
    }
  }

  private void call(String body, int tries, Runnable whenTold) {
    if (!misbehaviour.towardsAll().down() && answered(body)) {
      whenTold.run();
    } else if (tries < MOST_TRIES) {
      int wait = WAIT_SECONDS.get(Math.min(tries, WAIT_SECONDS.size()) - 1);
      calls.schedule(() -> call(body, tries + 1, whenTold), wait, TimeUnit.SECONDS);
    } else {
      log.warn("Given up telling: {}", body);
    }
  }

  private boolean answered(String body) {
    String timestamp = Long.toString(clock.instant().getEpochSecond());
    HttpRequest request =
        HttpRequest.newBuilder(settings.webhook())
            .timeout(PATIENCE)
            .header("Content-Type", "application/json")
            .header("Network-Timestamp", timestamp)
            .header("Network-Signature", sign(timestamp, body))
            .POST(HttpRequest.BodyPublishers.ofString(body))
            .build();
    try {
      int status = http.send(request, BodyHandlers.discarding()).statusCode();
      if (status / 100 == 4) {
        log.warn("The webhook refused with {}: {}", status, body);
      }
      return status == 200;
    } catch (IOException nobodyThere) {
      return false;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return false;
    }
  }

  private String sign(String timestamp, String body) {
    try {
      Mac mac = Mac.getInstance("HmacSHA256");
      mac.init(new SecretKeySpec(settings.secret().getBytes(StandardCharsets.UTF_8), "HmacSHA256"));
      return HexFormat.of()
          .formatHex(mac.doFinal((timestamp + "." + body).getBytes(StandardCharsets.UTF_8)));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException("Every Java has HmacSHA256", e);
    }
  }
}
