package fabulum.server.messaging;

import fabulum.core.delivery.Gateway.IncomingText;
import fabulum.core.phone.NumberReader;
import fabulum.core.phone.Region;
import fabulum.core.phone.Sender;
import fabulum.core.sending.SendRules;
import fabulum.server.conversations.Conversations;
import fabulum.server.conversations.Deliveries;
import fabulum.server.conversations.Deliveries.Report;
import fabulum.server.conversations.ReceivedText;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;

/** What the network tells us. */
@Service
public class Inbound {
  /** How far a timestamp may be off, either way. */
  public static final Duration FRESH = Duration.ofMinutes(5);

  private static final int TRIES = 4;

  private final Conversations conversations;
  private final Deliveries deliveries;
  private final Lines lines;
  private final NetworkSettings settings;
  private final Clock clock;
  private final NumberReader numbers = new NumberReader();

  Inbound(
      Conversations conversations,
      Deliveries deliveries,
      Lines lines,
      NetworkSettings settings,
      Clock clock) {
    this.conversations = conversations;
    this.deliveries = deliveries;
    this.lines = lines;
    this.settings = settings;
    this.clock = clock;
  }

  /**
   * Checks that it is the network that speaks, and that it speaks now.
   *
   * @param timestamp seconds since 1970, as a decimal number
   * @param signature see {@code docs/network-api.md}
   */
  public void checkSpeaker(String timestamp, String signature, byte[] body) {
    if (!Signature.fits(settings.secret(), timestamp, body, signature)) {
      throw Problem.conflict(
          Kind.BAD_SIGNATURE,
          "The signature does not fit the timestamp and body. Nothing was changed.");
    }
    Duration off = Duration.between(at(timestamp), clock.instant()).abs();
    if (off.compareTo(FRESH) > 0) {
      throw Problem.conflict(
          Kind.STALE_TIMESTAMP, "The timestamp is more than 5 minutes off. Nothing was changed.");
    }
  }

  private static Instant at(String timestamp) {
    try {
      return Instant.ofEpochSecond(Long.parseLong(timestamp));
    } catch (NumberFormatException | DateTimeException notATime) {
      throw Problem.conflict(
          Kind.STALE_TIMESTAMP, "The timestamp is not a number of seconds. Nothing was changed.");
    }
  }

  /**
   * Takes in a text, once. When this returns, it is committed.
   *
   * @return false when it was already here
   */
  public boolean receive(IncomingText text) {
    LineView line =
        Optional.of(Sender.ofAddress(text.to().strip()))
            .flatMap(Sender::answerable)
            .flatMap(lines::findByNumber)
            .orElseThrow(() ->
                Problem.conflict(
                    Kind.UNKNOWN_LINE, "We have no line with that number. Nothing was changed."));
    Sender from = sender(text.from(), new Region(line.region()));
    Instant now = clock.instant();
    Instant at = text.receivedAt().isAfter(now) ? now : text.receivedAt();
    ReceivedText received =
        new ReceivedText(text.networkId(), new LineId(line.id()), from, words(text.words()), at);
    return storeOnce(received);
  }

  private Sender sender(String from, Region region) {
    try {
      return numbers.readSender(from, region);
    } catch (IllegalArgumentException notASender) {
      throw Problem.fields(
          List.of(new FieldProblem("from", String.valueOf(notASender.getMessage()))));
    }
  }

  private static String words(String words) {
    if (words.length() > SendRules.LONGEST) {
      throw Problem.fields(
          List.of(
              new FieldProblem(
                  "body", "A text has at most " + SendRules.LONGEST + " characters.")));
    }
    return words;
  }

  /**
   * Two first texts of one number at once both try to begin the conversation; the slower one tries
   * again and finds it.
   */
  private boolean storeOnce(ReceivedText text) {
    for (int tries = 1; ; tries++) {
      try {
        return conversations.receive(text);
      } catch (DuplicateKeyException | ConcurrencyFailureException race) {
        if (tries == TRIES) {
          throw race;
        }
      }
    }
  }

  /** Moves a text of ours on. */
  public void report(String reference, Report report) {
    if (!deliveries.reported(reference, report)) {
      throw Problem.conflict(
          Kind.UNKNOWN_TEXT, "We never sent a text with that reference. Nothing was changed.");
    }
  }
}
