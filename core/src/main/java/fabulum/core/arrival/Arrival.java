package fabulum.core.arrival;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * When a text came in.
 *
 * @param at where it stands in its script; never after it arrived
 * @param claimed what the network claimed, where that is not believed
 * @param arrivedAt when it reached us, where that was long after it was written
 * @param history written so long ago that nobody can still be waiting for an answer to it
 */
public record Arrival(
    Instant at, Optional<Instant> claimed, Optional<Instant> arrivedAt, boolean history) {
  /** Before this no text can have been written to a line: such a time is a mistake. */
  public static final Instant EARLIEST = Instant.parse("2000-01-01T00:00:00Z");

  /** Clocks may differ; by more than this they are wrong. */
  public static final Duration FARTHEST_AHEAD = Duration.ofDays(1);

  /** What is older than this when it arrives is history. */
  public static final Duration HISTORY = Duration.ofDays(14);

  /**
   * Judges what the network claims.
   *
   * @param claimed when the network says that it received the text
   * @param now when it reached us
   */
  public static Arrival of(Instant claimed, Instant now) {
    if (claimed.isBefore(EARLIEST) || claimed.isAfter(now.plus(FARTHEST_AHEAD))) {
      return new Arrival(now, Optional.of(claimed), Optional.empty(), false);
    }
    if (claimed.isAfter(now)) {
      return new Arrival(now, Optional.empty(), Optional.empty(), false);
    }
    boolean history = claimed.isBefore(now.minus(HISTORY));
    return known(claimed, now, history);
  }

  /**
   * Judges what the network claims of a text that is taken in long afterwards and is to start no
   * wait, because a person said so.
   *
   * @param claimed when the network says that it received the text
   * @param now when it reached us
   */
  public static Arrival ofThePast(Instant claimed, Instant now) {
    Arrival arrival = of(claimed, now);
    return arrival.claimed().isPresent()
        ? new Arrival(arrival.at(), arrival.claimed(), Optional.of(now), true)
        : known(arrival.at(), now, true);
  }

  private static Arrival known(Instant claimed, Instant now, boolean history) {
    return new Arrival(
        claimed, Optional.empty(), history ? Optional.of(now) : Optional.empty(), history);
  }
}
