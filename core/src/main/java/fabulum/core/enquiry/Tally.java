package fabulum.core.enquiry;

import java.time.Duration;
import java.time.Instant;

/**
 * How often something was done since a moment.
 *
 * @param since when it began to be counted
 * @param count how often since then
 */
public record Tally(Instant since, int count) {

  /** One more now; what was counted longer ago than a span counts no more. */
  public Tally next(Instant now, Duration span) {
    return since.plus(span).isAfter(now) ? new Tally(since, count + 1) : new Tally(now, 1);
  }
}
