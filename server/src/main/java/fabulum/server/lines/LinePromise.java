package fabulum.server.lines;

import fabulum.core.hours.Hours;
import fabulum.core.promise.Promise;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/** What a line promises, and when it is open. */
public record LinePromise(Promise promise, Hours hours) {

  /**
   * When an answer to somebody who waits since then is due; empty when the line is closed for good.
   */
  public Optional<Instant> due(Instant waitingSince) {
    return promise.due(waitingSince, hours);
  }

  /** Working time left; negative when late. */
  public Duration timeLeft(Instant due, Instant now) {
    return Promise.timeLeft(due, now, hours);
  }
}
