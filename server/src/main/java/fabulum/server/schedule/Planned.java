package fabulum.server.schedule;

import fabulum.core.schedule.RepeatText;
import fabulum.core.schedule.Series;
import fabulum.core.schedule.WhenClosed;
import fabulum.core.sending.Reason;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A text that goes later.
 *
 * @param staff in whose name it goes
 * @param words with their placeholders, which are filled when it goes; empty once it is over
 * @param reference made by the caller, once for it
 * @param template from which its words were made
 * @param firstAt when, by the clocks of the zone; of a series its first day and time of day
 * @param zone IANA name
 * @param typed the words that tell its time from an appointment; null where it stands by itself
 * @param rule by which it goes again, in the text of RFC 5545; null for once
 * @param unlessWritten whether it stays here when the customer writes before its time
 * @param comesToMe whether the conversation becomes the writer's when the customer answers it
 * @param confirmed codes of the reasons against it that its writer confirmed, with spaces between
 * @param watchedFrom the entry since which a text of the customer counts as written before its time
 * @param afterAt the next date of its series is the first one after this moment
 * @param dueAt when it goes next
 * @param went how often it went
 * @param held why it did not go; a person has to act
 * @param version grows with each change
 */
public record Planned(
    long id,
    long conversation,
    long staff,
    String words,
    String reference,
    @Nullable Long template,
    LocalDateTime firstAt,
    String zone,
    @Nullable String typed,
    @Nullable Long appointment,
    @Nullable String rule,
    WhenClosed whenClosed,
    boolean unlessWritten,
    boolean comesToMe,
    String confirmed,
    Instant plannedAt,
    long watchedFrom,
    Instant afterAt,
    State state,
    Instant dueAt,
    int went,
    @Nullable String held,
    @Nullable Instant endedAt,
    long version) {

  /** How it stands. */
  public enum State {
    /** It goes at its time. */
    WAITING,
    /** It did not go and waits for a person. */
    HELD,
    /** It went, or was cancelled. */
    ENDED
  }

  /** Its dates; empty when it goes once. */
  Optional<Series> series() {
    return Optional.ofNullable(rule)
        .map(text ->
            new Series(
                firstAt.toLocalDate(),
                firstAt.toLocalTime(),
                ZoneId.of(zone),
                RepeatText.read(text),
                whenClosed));
  }

  /** What its writer knows to speak against it. */
  Set<Reason> reasons() {
    return Reason.ofCodes(List.of(confirmed.split(" ")));
  }

  /** Codes as they are kept. */
  static String codes(Set<Reason> reasons) {
    return reasons.stream().sorted().map(Reason::code).collect(Collectors.joining(" "));
  }

  @Override
  public String toString() {
    return "Planned[" + id + "]";
  }
}
