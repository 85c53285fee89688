package fabulum.server.messaging.web;

import fabulum.core.delivery.DeliveryState;
import fabulum.core.delivery.Gateway.IncomingText;
import fabulum.core.delivery.Media;
import fabulum.server.messaging.Deliveries.Report;
import fabulum.server.messaging.GroupNumbers;
import fabulum.server.messaging.Inbound;
import fabulum.server.messaging.KeptAside;
import fabulum.server.messaging.ReceivedMedia;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Where the network tells us what happened. An answer of 200 means that it is committed. */
@RestController
@Hidden
class WebhookController {
  private static final Logger log = LoggerFactory.getLogger(WebhookController.class);

  /** The longest text, each character written as an escape of six octets, with room around it. */
  private static final int LARGEST = 6 * Inbound.LONGEST_TEXT + 16 * 1024;

  private final Inbound inbound;
  private final KeptAside kept;
  private final JsonMapper json;

  WebhookController(Inbound inbound, KeptAside kept, JsonMapper json) {
    this.inbound = inbound;
    this.kept = kept;
    this.json = json;
  }

  /** Any message of the protocol: a text that was received, or a report about one of ours. */
  record Told(
      @Nullable String type,
      @Nullable String id,
      @Nullable String from,
      @Nullable String to,
      @Nullable String body,
      @Nullable Instant receivedAt,
      @Nullable String reference,
      @Nullable String state,
      @Nullable String code,
      @Nullable String reason,
      @Nullable List<@Nullable ReceivedMedia> media,
      @Nullable List<@Nullable String> group) {}

  /** What we made of it: {@code taken}, or {@code known} when it was already here. */
  record Answer(String result) {}

  /** What the network tells us: a text that came in, or a report. */
  @PostMapping("/webhook/network")
  Answer told(
      @RequestHeader(name = "Network-Timestamp", defaultValue = "") String timestamp,
      @RequestHeader(name = "Network-Signature", defaultValue = "") String signature,
      HttpServletRequest request)
      throws IOException {
    try {
      byte[] body = request.getInputStream().readNBytes(LARGEST + 1);
      if (body.length > LARGEST) {
        throw Problem.conflict(
            Kind.TOO_LARGE, "A message of the network has at most 256 KB. Nothing was changed.");
      }
      inbound.checkSpeaker(timestamp, signature, body);
      return take(read(body), body);
    } catch (Problem refused) {
      log.warn("Refused what the network told us: {}", refused.getMessage());
      throw refused;
    }
  }

  private Told read(byte[] body) {
    try {
      Told told = json.readValue(body, Told.class);
      if (told == null) {
        throw unreadable();
      }
      return told;
    } catch (JacksonException notOfTheProtocol) {
      throw unreadable();
    }
  }

  private Answer take(Told told, byte[] body) {
    if ("text.received".equals(told.type())) {
      try {
        return new Answer(inbound.receive(text(told)) ? "taken" : "known");
      } catch (Problem impossible) {
        keepAside(impossible, body);
        throw impossible;
      }
    }
    if ("text.report".equals(told.type())) {
      inbound.report(required("reference", told.reference()), report(told));
      return new Answer("taken");
    }
    throw unreadable();
  }

  /** What will never be taken is kept as it came, for a lead to see. */
  private void keepAside(Problem impossible, byte[] body) {
    if (impossible.kind() == Kind.BAD_FIELDS || impossible.kind() == Kind.UNKNOWN_LINE) {
      kept.keep(new String(body, StandardCharsets.UTF_8), String.valueOf(impossible.getMessage()));
    }
  }

  private static Problem unreadable() {
    return Problem.conflict(
        Kind.UNREADABLE, "This is not a message of the network's protocol. Nothing was changed.");
  }

  private static IncomingText text(Told told) {
    List<FieldProblem> missing = new ArrayList<>();
    missing(missing, "id", told.id());
    missing(missing, "from", told.from());
    missing(missing, "to", told.to());
    if (told.body() == null) {
      missing.add(new FieldProblem("body", "A text has a body, even an empty one."));
    }
    if (told.receivedAt() == null) {
      missing.add(new FieldProblem("receivedAt", "A text has the time it was received."));
    }
    if (!missing.isEmpty()) {
      throw Problem.fields(missing);
    }
    return new IncomingText(
        required("id", told.id()),
        required("from", told.from()),
        required("to", told.to()),
        Objects.requireNonNull(told.body()),
        Objects.requireNonNull(told.receivedAt()),
        media(told),
        GroupNumbers.of(told.group()));
  }

  private static List<Media> media(Told told) {
    return Problem.reading("media", () -> ReceivedMedia.all(told.media()));
  }

  private static void missing(List<FieldProblem> missing, String field, @Nullable String found) {
    if (found == null || found.isBlank()) {
      missing.add(new FieldProblem(field, "1 to 80 characters are needed."));
    }
  }

  private static String required(String field, @Nullable String found) {
    if (found == null || found.isBlank()) {
      throw Problem.fields(List.of(new FieldProblem(field, "It is missing.")));
    }
    return found;
  }

  private static Report report(Told told) {
    DeliveryState state =
        switch (required("state", told.state())) {
          case "sent" -> DeliveryState.SENT;
          case "delivered" -> DeliveryState.DELIVERED;
          case "read" -> DeliveryState.READ;
          case "failed" -> DeliveryState.NOT_DELIVERED;
          default ->
              throw Problem.fields(
                  List.of(new FieldProblem("state", "It is sent, delivered, read or failed.")));
        };
    return new Report(state, null, cut(told.code(), 60), cut(told.reason(), 400), told.to());
  }

  private static @Nullable String cut(@Nullable String words, int longest) {
    return words == null || words.length() <= longest ? words : words.substring(0, longest);
  }
}
