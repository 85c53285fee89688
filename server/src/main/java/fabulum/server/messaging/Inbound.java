package fabulum.server.messaging;

import fabulum.core.arrival.Arrival;
import fabulum.core.conversation.Channel;
import fabulum.core.conversation.Participants;
import fabulum.core.delivery.Gateway.IncomingText;
import fabulum.core.phone.NumberReader;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.phone.Sender;
import fabulum.server.conversations.ReceivedText;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.messaging.Deliveries.Report;
import fabulum.server.messaging.store.UnreportedMapper;
import fabulum.server.platform.NetworkSettings;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.RaceRetry;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the network tells us. */
@Service
public class Inbound {
  /** How far a timestamp may be off, either way. */
  public static final Duration FRESH = Duration.ofMinutes(5);

  /** The longest text a network carries, in UTF-16 units. */
  public static final int LONGEST_TEXT = 40_000;

  private static final int LONGEST_ID = 80;

  /** Our lines' numbers come with their country code. */
  private static final String WORLD = "ZZ";

  private final Arrivals arrivals;
  private final Deliveries deliveries;
  private final UnreportedMapper unreported;
  private final Lines lines;
  private final NetworkSettings settings;
  private final Clock clock;
  private final NumberReader numbers = new NumberReader();

  Inbound(
      Arrivals arrivals,
      Deliveries deliveries,
      UnreportedMapper unreported,
      Lines lines,
      NetworkSettings settings,
      Clock clock) {
    this.arrivals = arrivals;
    this.deliveries = deliveries;
    this.unreported = unreported;
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
   * @throws Problem when it cannot be taken; nothing was changed then
   */
  public boolean receive(IncomingText text) {
    return receive(text, Arrival.of(text.receivedAt(), clock.instant()));
  }

  /**
   * Takes in a text, once, that starts no wait: a person said that nobody waits for an answer to it
   * any more. Otherwise as {@link #receive(IncomingText)}.
   */
  public boolean receivePast(IncomingText text) {
    return receive(text, Arrival.ofThePast(text.receivedAt(), clock.instant()));
  }

  private boolean receive(IncomingText text, Arrival when) {
    List<FieldProblem> bad = new ArrayList<>();
    requireLength(bad, "id", text.networkId(), LONGEST_ID);
    requireLength(bad, "from", text.from(), LONGEST_ID);
    requireLength(bad, "to", text.to(), LONGEST_ID);
    if (text.words().length() > LONGEST_TEXT) {
      bad.add(new FieldProblem("body", "A text has at most " + LONGEST_TEXT + " characters."));
    }
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
    LineView line =
        line(text)
            .orElseThrow(() ->
                Problem.conflict(
                    Kind.UNKNOWN_LINE, "We have no line with that number. Nothing was changed."));
    Region region = new Region(line.region());
    Sender from = sender(text.from(), region);
    Participants everyone = everyone(from, text.group(), region);
    return RaceRetry.run(() ->
        arrivals.receive(
            new ReceivedText(
                text.networkId(),
                new LineId(line.id()),
                from,
                everyone,
                text.words(),
                when,
                text.media())));
  }

  /** The line of ours that a text came to; empty when there is none with that number. */
  public Optional<LineView> line(IncomingText text) {
    return numbers.readNumber(text.to(), new Region(WORLD)).flatMap(lines::findByNumber);
  }

  private static void requireLength(
      List<FieldProblem> bad, String field, String found, int longest) {
    if (found.isBlank() || found.length() > longest) {
      bad.add(new FieldProblem(field, "1 to " + longest + " characters are needed."));
    }
  }

  /** Everyone on the other side: our own lines are not on it. */
  private Participants everyone(Sender from, List<String> group, Region region) {
    Set<Sender> others = new LinkedHashSet<>(List.of(from));
    for (String each : group) {
      PhoneNumber number =
          numbers
              .readNumber(each, region)
              .orElseThrow(() ->
                  Problem.fields(
                      List.of(new FieldProblem("group", "Only phone numbers form a group."))));
      if (lines.findByNumber(number).isEmpty()) {
        others.add(number);
      }
    }
    if (others.size() > Participants.LARGEST) {
      throw Problem.fields(
          List.of(
              new FieldProblem(
                  "group", "A group has at most " + Participants.LARGEST + " numbers.")));
    }
    if (others.size() > 1 && from.answerable().isEmpty()) {
      throw Problem.fields(
          List.of(new FieldProblem("from", "A name or short code cannot write to a group.")));
    }
    return new Participants(Channel.TEXT, List.copyOf(others));
  }

  private Sender sender(String from, Region region) {
    return Problem.reading("from", () -> numbers.readSender(from, region));
  }

  /** Moves a text of ours on. */
  @Transactional
  public void report(String reference, Report report) {
    if (!deliveries.reported(reference, report)) {
      throw Problem.conflict(
          Kind.UNKNOWN_TEXT, "We never sent a text with that reference. Nothing was changed.");
    }
    unreported.deleteReported(reference);
  }
}
