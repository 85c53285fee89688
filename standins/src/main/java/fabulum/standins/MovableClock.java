package fabulum.standins;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;

/** A clock that the person who plays with the network can move forward. */
final class MovableClock extends Clock {
  private final Clock other;
  private volatile Duration ahead = Duration.ZERO;

  MovableClock(Clock other) {
    this.other = other;
  }

  synchronized void advance(Duration by) {
    ahead = ahead.plus(by);
  }

  @Override
  public Instant instant() {
    return other.instant().plus(ahead);
  }

  @Override
  public ZoneId getZone() {
    return other.getZone();
  }

  @Override
  public Clock withZone(ZoneId zone) {
    return new MovableClock(other.withZone(zone));
  }
}
