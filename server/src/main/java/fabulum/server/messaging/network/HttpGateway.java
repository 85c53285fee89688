package fabulum.server.messaging.network;

import com.fasterxml.jackson.annotation.JsonInclude;
import fabulum.core.delivery.ClientReference;
import fabulum.core.delivery.DeliveryState;
import fabulum.core.delivery.Gateway;
import fabulum.core.delivery.Media;
import fabulum.core.delivery.SendOutcome;
import fabulum.core.phone.PhoneNumber;
import fabulum.server.messaging.GroupNumbers;
import fabulum.server.messaging.ReceivedMedia;
import fabulum.server.platform.NetworkSettings;
import java.io.IOException;
import java.net.ConnectException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Speaks the protocol of {@code docs/network-api.md}. */
final class HttpGateway implements Gateway {
  private static final int NOT_FOUND = 404;
  private static final int TOO_MANY = 429;
  private static final int NOT_NOW = 503;
  private static final int BROKEN = 500;
  private static final String UNREACHABLE = "unreachable";

  /** Not signed in, not allowed, the same of a proxy. */
  private static final Set<Integer> ABOUT_US = Set.of(401, 403, 407);

  private static final Map<String, DeliveryState> STATES =
      Map.of(
          "delivered", DeliveryState.DELIVERED,
          "read", DeliveryState.READ,
          "failed", DeliveryState.NOT_DELIVERED);

  private final String base;
  private final String key;
  private final Duration timeout;
  private final JsonMapper json;
  private final HttpClient http;

  HttpGateway(URI base, NetworkSettings settings, JsonMapper json) {
    // A path in it is kept: the network may share its host with others.
    this.base = base.toString().replaceAll("/+$", "");
    this.key = settings.key();
    this.timeout = settings.timeout();
    this.json = json;
    this.http =
        HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .connectTimeout(timeout)
            .build();
  }

  @JsonInclude(JsonInclude.Include.NON_NULL)
  record SendRequest(
      String reference,
      String from,
      @Nullable String to,
      @Nullable List<String> group,
      String body,
      @Nullable List<Media> media) {}

  record SendAnswer(@Nullable String id) {}

  record FoundAnswer(
      @Nullable String id,
      @Nullable String state,
      @Nullable String code,
      @Nullable String reason,
      @Nullable List<@Nullable FoundOf> each) {}

  /** How far a text has come with one number of a group. */
  record FoundOf(
      @Nullable String to,
      @Nullable String state,
      @Nullable String code,
      @Nullable String reason) {}

  record Refusal(@Nullable String code, @Nullable String reason) {
    static final Refusal NONE = new Refusal(null, null);

    String name(int status) {
      return code == null ? "status-" + status : code;
    }

    String said(int status) {
      return reason == null ? "The network answered " + status + "." : reason;
    }
  }

  record Received(
      @Nullable String id,
      @Nullable String from,
      @Nullable String to,
      @Nullable String body,
      @Nullable Instant receivedAt,
      @Nullable List<@Nullable ReceivedMedia> media,
      @Nullable List<@Nullable String> group) {
    IncomingText text() {
      if (id == null || from == null || to == null || body == null || receivedAt == null) {
        throw new IllegalArgumentException("Something is missing");
      }
      return new IncomingText(
          id, from, to, body, receivedAt, ReceivedMedia.all(media), GroupNumbers.of(group));
    }
  }

  @Override
  public SendOutcome send(OutgoingText text) {
    SendRequest body =
        new SendRequest(
            text.reference().value(),
            text.from().e164(),
            text.group() ? null : text.to().get(0).e164(),
            text.group() ? text.to().stream().map(PhoneNumber::e164).toList() : null,
            text.words(),
            text.media().isEmpty() ? null : text.media());
    HttpRequest request =
        request("/network/texts")
            .header("Content-Type", "application/json")
            .POST(HttpRequest.BodyPublishers.ofString(json.writeValueAsString(body)))
            .build();
    try {
      return outcome(http.send(request, BodyHandlers.ofString()));
    } catch (ConnectException unreachable) {
      // Without a connection nothing was handed over.
      return new SendOutcome.Closed(UNREACHABLE, "Nothing answers at its address.");
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
    String reason = refusal.said(status);
    if (status == TOO_MANY || status == NOT_NOW) {
      return new SendOutcome.RefusedForNow(refusal.name(status), reason, retryAfter(answer));
    }
    if (status >= BROKEN) {
      return new SendOutcome.Unclear(reason);
    }
    return isAboutUs(status, refusal)
        ? new SendOutcome.Closed(refusal.name(status), reason)
        : new SendOutcome.RefusedForGood(refusal.name(status), reason);
  }

  /**
   * Whether a refusal is about us and not about what was asked: the key is not accepted, or what
   * answers there does not speak the network's protocol.
   */
  private static boolean isAboutUs(int status, Refusal refusal) {
    return ABOUT_US.contains(status) || refusal.code() == null;
  }

  private Refusal refusal(HttpResponse<String> answer) {
    try {
      Refusal refusal = json.readValue(answer.body(), Refusal.class);
      return refusal == null ? Refusal.NONE : refusal;
    } catch (JacksonException notOfTheProtocol) {
      return Refusal.NONE;
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
      return found(http.send(request, BodyHandlers.ofString()));
    } catch (ConnectException unreachable) {
      return new LookUp.Closed(UNREACHABLE, "Nothing answers at its address.");
    } catch (IOException | JacksonException e) {
      return new LookUp.NoAnswer("The network did not answer: " + plain(e));
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return new LookUp.NoAnswer("Stopped while waiting for the network.");
    }
  }

  private LookUp found(HttpResponse<String> answer) {
    int status = answer.statusCode();
    if (status / 100 == 2) {
      return known(json.readValue(answer.body(), FoundAnswer.class));
    }
    Refusal refusal = refusal(answer);
    if (status == NOT_FOUND && refusal.code() != null) {
      return new LookUp.NotKnown();
    }
    return status < BROKEN && status != TOO_MANY && isAboutUs(status, refusal)
        ? new LookUp.Closed(refusal.name(status), refusal.said(status))
        : new LookUp.NoAnswer(refusal.said(status));
  }

  private static LookUp known(FoundAnswer found) {
    String id = found.id();
    return id == null
        ? new LookUp.NoAnswer("The network gave no id.")
        : new LookUp.Known(
            id, state(found.state()), found.code(), found.reason(), each(found.each()));
  }

  private static List<LookUp.KnownOf> each(@Nullable List<@Nullable FoundOf> found) {
    List<LookUp.KnownOf> each = new ArrayList<>();
    for (FoundOf one : found == null ? List.<@Nullable FoundOf>of() : found) {
      if (one != null && one.to() != null) {
        each.add(new LookUp.KnownOf(one.to(), state(one.state()), one.code(), one.reason()));
      }
    }
    return each;
  }

  /** What the network does not say, or says in words we do not know, is no further than sent. */
  private static DeliveryState state(@Nullable String said) {
    return said == null ? DeliveryState.SENT : STATES.getOrDefault(said, DeliveryState.SENT);
  }

  @Override
  public Listing listReceived(Instant from, Instant to) {
    try {
      String span = "?from=" + encoded(from) + "&to=" + encoded(to);
      HttpResponse<String> answer =
          http.send(request("/network/received" + span).GET().build(), BodyHandlers.ofString());
      if (answer.statusCode() / 100 != 2) {
        throw new GatewayUnavailable("The network answered " + answer.statusCode() + ".", null);
      }
      return listing(json.readTree(answer.body()).path("texts"));
    } catch (IOException | JacksonException e) {
      throw new GatewayUnavailable("The network did not answer: " + plain(e), e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new GatewayUnavailable("Stopped while waiting for the network.", e);
    }
  }

  /** Each text is read by itself: one that is none does not keep the others back. */
  private Listing listing(JsonNode listed) {
    List<IncomingText> texts = new ArrayList<>();
    List<Unreadable> unreadable = new ArrayList<>();
    for (JsonNode each : listed) {
      try {
        texts.add(json.treeToValue(each, Received.class).text());
      } catch (JacksonException | IllegalArgumentException noText) {
        unreadable.add(
            new Unreadable(each.toString(), "It is not a text of the network's protocol."));
      }
    }
    return new Listing(texts, unreadable);
  }

  private HttpRequest.Builder request(String path) {
    return HttpRequest.newBuilder(URI.create(base + path))
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
