package fabulum.server.platform;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;

/** A clock that stands still until it is moved. Always in UTC. */
public final class SettableClock extends Clock {
  private volatile Instant now;

  public SettableClock(Instant start) {
    this.now = start;
  }

  /** Moves it forward. */
  public synchronized void advance(Duration by) {
    now = now.plus(by);
  }

  @Override
  public Instant instant() {
    return now;
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
