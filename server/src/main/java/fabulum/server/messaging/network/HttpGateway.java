package fabulum.server.messaging.network;

import fabulum.core.delivery.ClientReference;
import fabulum.core.delivery.Gateway;
import fabulum.core.delivery.SendOutcome;
import fabulum.server.messaging.NetworkSettings;
import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Speaks the protocol of {@code docs/network-api.md}. */
final class HttpGateway implements Gateway {
  private static final int NOT_FOUND = 404;
  private static final int TOO_MANY = 429;
  private static final int BROKEN = 500;

  private final URI base;
  private final String key;
  private final Duration timeout;
  private final JsonMapper json;
  private final HttpClient http;

  HttpGateway(URI base, NetworkSettings settings, JsonMapper json) {
    this.base = base;
    this.key = settings.key();
    this.timeout = settings.timeout();
    this.json = json;
    this.http =
        HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .connectTimeout(timeout)
            .build();
  }

  record SendRequest(String reference, String from, String to, String body) {}

  record SendAnswer(@Nullable String id) {}

  record Refusal(@Nullable String code, @Nullable String reason) {}

  record ReceivedList(List<Received> texts) {}

  record Received(String id, String from, String to, String body, Instant receivedAt) {}

  @Override
  public SendOutcome send(OutgoingText text) {
    SendRequest body =
        new SendRequest(
            text.reference().value(), text.from().e164(), text.to().e164(), text.words());
    HttpRequest request =
        request("/network/texts")
            .header("Content-Type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString(json.writeValueAsString(body)))
            .build();
    try {
      return outcome(http.send(request, BodyHandlers.ofString()));
    } catch (IOException | JacksonException e) {
      return new SendOutcome.Unclear("The network did not answer: " + plain(e));
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return new SendOutcome.Unclear("Stopped while waiting for the network.");
    }
  }

  private SendOutcome outcome(HttpResponse<String> answer) {
    int status = answer.statusCode();
    if (status / 100 == 2) {
      String id = json.readValue(answer.body(), SendAnswer.class).id();
      return id == null
          ? new SendOutcome.Unclear("The network gave no id.")
          : new SendOutcome.Accepted(id);
    }
    Refusal refusal = refusal(answer);
    String code = Objects.requireNonNullElse(refusal.code(), "status-" + status);
    String reason =
        Objects.requireNonNullElse(refusal.reason(), "The network answered " + status + ".");
    if (status == TOO_MANY || status == 503) {
      return new SendOutcome.RefusedForNow(code, reason, retryAfter(answer));
    }
    return status >= BROKEN
        ? new SendOutcome.Unclear(reason)
        : new SendOutcome.RefusedForGood(code, reason);
  }

  private Refusal refusal(HttpResponse<String> answer) {
    try {
      return json.readValue(answer.body(), Refusal.class);
    } catch (JacksonException notOfTheProtocol) {
      return new Refusal(null, null);
    }
  }

  private static Optional<Duration> retryAfter(HttpResponse<String> answer) {
    return answer
        .headers()
        .firstValue("Retry-After")
        .filter(seconds -> seconds.matches("\\d{1,6}"))
        .map(seconds -> Duration.ofSeconds(Long.parseLong(seconds)));
  }

  @Override
  public LookUp find(ClientReference reference) {
    try {
      HttpRequest request =
          request("/network/texts/by-reference/" + reference.value()).GET().build();
      HttpResponse<String> answer = http.send(request, BodyHandlers.ofString());
      if (answer.statusCode() == NOT_FOUND) {
        return new LookUp.NotKnown();
      }
      if (answer.statusCode() / 100 != 2) {
        return new LookUp.NoAnswer("The network answered " + answer.statusCode() + ".");
      }
      String id = json.readValue(answer.body(), SendAnswer.class).id();
      return id == null ? new LookUp.NoAnswer("The network gave no id.") : new LookUp.Known(id);
    } catch (IOException | JacksonException e) {
      return new LookUp.NoAnswer("The network did not answer: " + plain(e));
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return new LookUp.NoAnswer("Stopped while waiting for the network.");
    }
  }

  @Override
  public List<IncomingText> listReceived(Instant from, Instant to) {
    try {
      String span = "?from=" + encoded(from) + "&to=" + encoded(to);
      HttpResponse<String> answer =
          http.send(request("/network/received" + span).GET().build(), BodyHandlers.ofString());
      if (answer.statusCode() / 100 != 2) {
        throw new GatewayUnavailable("The network answered " + answer.statusCode() + ".", null);
      }
      return json.readValue(answer.body(), ReceivedList.class).texts().stream()
          .map(text ->
              new IncomingText(text.id(), text.from(), text.to(), text.body(), text.receivedAt()))
          .toList();
    } catch (IOException | JacksonException e) {
      throw new GatewayUnavailable("The network did not answer: " + plain(e), e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new GatewayUnavailable("Stopped while waiting for the network.", e);
    }
  }

  private HttpRequest.Builder request(String path) {
    return HttpRequest.newBuilder(base.resolve(path))
        .timeout(timeout)
        .header("Authorization", "Bearer " + key);
  }

  private static String encoded(Instant at) {
    return URLEncoder.encode(at.toString(), StandardCharsets.UTF_8);
  }

  private static String plain(Exception e) {
    return e.getMessage() == null ? e.getClass().getSimpleName() : e.getMessage();
  }
}
