package fabulum.server.platform;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;

/** A clock that can be moved forward; it stands still otherwise, or runs with another. In UTC. */
public final class SettableClock extends Clock {
  private final Clock other;
  private volatile Duration ahead;

  /** Stands still. */
  public SettableClock(Instant start) {
    this(Clock.fixed(start, ZoneOffset.UTC), start);
  }

  /** Begins at {@code start} and runs with the other. */
  public SettableClock(Clock other, Instant start) {
    this.other = other;
    this.ahead = Duration.between(other.instant(), start);
  }

  /** Moves it forward. */
  public synchronized void advance(Duration by) {
    ahead = ahead.plus(by);
  }

  @Override
  public Instant instant() {
    return other.instant().plus(ahead);
  }

  @Override
  public ZoneId getZone() {
    return ZoneOffset.UTC;
  }

  @Override
  public Clock withZone(ZoneId zone) {
    throw new UnsupportedOperationException("Zones belong to lines, not to the clock");
  }
}
