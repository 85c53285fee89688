package fabulum.server.messaging;

import fabulum.core.access.Act;
import fabulum.core.delivery.Gateway.IncomingText;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.messaging.store.KeptAsideMapper;
import fabulum.server.messaging.store.KeptAsideRow;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Troubles;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Instant;
import java.util.HexFormat;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Texts the network told us of that could not be taken. They are kept as they came, once each,
 * until a lead takes them in after all, or leaves them.
 */
@Service
public class KeptAside {
  private static final int SHOWN = 200;
  private static final int LONGEST_WHY = 400;
  private static final int LONGEST_BODY = 1_000_000;
  private static final int BEGINNING = 300;

  private final KeptAsideMapper kept;
  private final Inbound inbound;
  private final Permits permits;
  private final Troubles troubles;
  private final JsonMapper json;
  private final Clock clock;

  KeptAside(
      KeptAsideMapper kept,
      Inbound inbound,
      Permits permits,
      Troubles troubles,
      JsonMapper json,
      Clock clock) {
    this.kept = kept;
    this.inbound = inbound;
    this.permits = permits;
    this.troubles = troubles;
    this.json = json;
    this.clock = clock;
  }

  /**
   * A text kept aside.
   *
   * @param at when it first came
   * @param beginning of what came, as it came
   * @param why it could not be taken
   */
  public record KeptText(long id, Instant at, String beginning, String why) {}

  /** A text as the network tells of it. */
  private record Told(
      @Nullable String id,
      @Nullable String from,
      @Nullable String to,
      @Nullable String body,
      @Nullable Instant receivedAt,
      @Nullable List<@Nullable ReceivedMedia> media,
      @Nullable List<@Nullable String> group) {}

  /** Keeps a text that could not be taken; keeping it again changes nothing. */
  public void keep(IncomingText text, String why) {
    keep(
        json.writeValueAsString(
            new Told(
                text.networkId(),
                text.from(),
                text.to(),
                text.words(),
                text.receivedAt(),
                ReceivedMedia.of(text.media()),
                text.group().isEmpty() ? null : List.copyOf(text.group()))),
        why);
  }

  /** Keeps something that could not be taken, as it came. */
  public void keep(String body, String why) {
    try {
      kept.insert(
          fingerprint(body), clock.instant(), cut(body, LONGEST_BODY), cut(why, LONGEST_WHY));
    } catch (DuplicateKeyException keptAlready) {
      return;
    }
    count();
  }

  private static String cut(String words, int longest) {
    return words.length() <= longest ? words : words.substring(0, longest);
  }

  private static String fingerprint(String body) {
    try {
      byte[] digest =
          MessageDigest.getInstance("SHA-256").digest(body.getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(digest);
    } catch (NoSuchAlgorithmException missing) {
      throw new IllegalStateException(missing);
    }
  }

  @EventListener(ApplicationReadyEvent.class)
  void count() {
    int number = kept.count();
    if (number == 0) {
      troubles.over(Troubles.Kind.KEPT_ASIDE);
      return;
    }
    troubles.report(
        Troubles.Kind.KEPT_ASIDE,
        (number == 1 ? "1 text" : number + " texts")
            + " from the phone network could not be shown in the inbox. See Set-up, Kept aside.");
  }

  /** What is kept aside, the newest first; for leads. */
  public List<KeptText> list(StaffId asking) {
    permits.require(asking, Act.LEAD);
    return kept.list(SHOWN).stream()
        .map(row -> new KeptText(row.id(), row.at(), cut(row.body(), BEGINNING), row.why()))
        .toList();
  }

  /** Tries again to take a text in, for instance after its line has been set up. */
  public void take(long id, StaffId by) {
    permits.require(by, Act.LEAD);
    KeptAsideRow row = kept.find(id).orElseThrow(() -> Problem.notFound("text kept aside"));
    inbound.receive(read(row.body()));
    kept.delete(id);
    count();
  }

  private IncomingText read(String body) {
    try {
      Told told = json.readValue(body, Told.class);
      if (told.id() != null
          && told.from() != null
          && told.to() != null
          && told.body() != null
          && told.receivedAt() != null) {
        return new IncomingText(
            told.id(),
            told.from(),
            told.to(),
            told.body(),
            told.receivedAt(),
            ReceivedMedia.all(told.media()),
            GroupNumbers.of(told.group()));
      }
    } catch (JacksonException | IllegalArgumentException notAText) {
      // Told below.
    }
    throw Problem.conflict(
        Problem.Kind.UNREADABLE, "This is not a whole text, so it cannot be added to the inbox.");
  }

  /** Nobody needs it any more. */
  public void leave(long id, StaffId by) {
    permits.require(by, Act.LEAD);
    if (kept.delete(id) == 0) {
      throw Problem.notFound("text kept aside");
    }
    count();
  }
}
