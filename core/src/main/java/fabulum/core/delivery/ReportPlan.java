package fabulum.core.delivery;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** When to ask the network about a text it took and never reported on. */
public final class ReportPlan {
  private static final List<Duration> ASKED_AFTER =
      List.of(Duration.ofMinutes(10), Duration.ofHours(1), Duration.ofDays(1));

  private ReportPlan() {}

  /**
   * When to ask next.
   *
   * @param sentAt when the network took it
   * @param asked how often it was asked about already
   * @return empty when it has been asked about often enough
   */
  public static Optional<Instant> next(Instant sentAt, int asked) {
    return asked < ASKED_AFTER.size()
        ? Optional.of(sentAt.plus(ASKED_AFTER.get(asked)))
        : Optional.empty();
  }
}
