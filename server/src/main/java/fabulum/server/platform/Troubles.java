package fabulum.server.platform;

import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;

/**
 * What keeps the program as a whole from doing its work, for leads to see on every page. Kept in
 * memory: the part that reports a trouble finds it again after a restart.
 */
@Service
public class Troubles {
  private final Map<Kind, Trouble> standing = new ConcurrentHashMap<>();
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Troubles(ApplicationEventPublisher events, Clock clock) {
    this.events = events;
    this.clock = clock;
  }

  /** Kinds of trouble; at most one of each stands at a time. */
  public enum Kind {
    /** The phone network does not deal with us, so texts wait. */
    NETWORK,
    /** There is hardly any room left, so nothing is written. */
    DISK_FULL,
    /** Room is running out. */
    DISK_LOW,
    /** The network told us of texts that could not be taken. */
    KEPT_ASIDE,
    /** Mail could not be sent. */
    MAIL,
    /** The parts bought ahead will soon be used up, or are. */
    PARTS,
    /** Files of attachments are missing. */
    FILES,
    /** Words of History cannot be searched. */
    HISTORY,
    /** Texts cannot be found by what they mean. */
    MEANINGS
  }

  /**
   * A trouble that stands.
   *
   * @param sentence what it is, what it means, and what to do
   */
  public record Trouble(Kind kind, Instant since, String sentence) {}

  /** Some trouble began, is another one now, or is over. */
  public record Changed() {}

  /** Reports a trouble; reporting it again in the same words changes nothing. */
  public void report(Kind kind, String sentence) {
    Trouble before = standing.get(kind);
    if (before != null && before.sentence().equals(sentence)) {
      return;
    }
    Instant since = before == null ? clock.instant() : before.since();
    standing.put(kind, new Trouble(kind, since, sentence));
    events.publishEvent(new Changed());
  }

  /** The trouble is over, if there was any. */
  public void over(Kind kind) {
    if (standing.remove(kind) != null) {
      events.publishEvent(new Changed());
    }
  }

  /** The troubles that stand, the gravest first. */
  public List<Trouble> list() {
    return standing.values().stream().sorted(Comparator.comparing(Trouble::kind)).toList();
  }
}
