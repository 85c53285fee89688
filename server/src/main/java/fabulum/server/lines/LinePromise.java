package fabulum.server.lines;

import fabulum.core.hours.EnteredSpan;
import fabulum.core.hours.Hours;
import fabulum.core.promise.Promise;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;

/** What a line promises, and when it is open. */
public record LinePromise(Promise promise, Hours hours) {

  /** As it is set up. A holiday on which the line is open all the same is no closed day. */
  static LinePromise of(LineSetup setup, Holidays holidays) {
    Set<LocalDate> closed = new HashSet<>();
    if (setup.holidays() != null) {
      closed.addAll(holidays.days(setup.holidays()));
      closed.removeAll(Set.copyOf(setup.openHolidays()));
    }
    closed.addAll(setup.closedDays());
    Hours hours =
        new Hours(
            ZoneId.of(setup.zone()), setup.week().stream().map(EnteredSpan::span).toList(), closed);
    return new LinePromise(new Promise(Duration.ofMinutes(setup.promiseMinutes())), hours);
  }

  /**
   * When an answer to a person who waits since then is due; empty when the line is closed for good.
   */
  public Optional<Instant> due(Instant waitingSince) {
    return promise.due(waitingSince, hours);
  }
}
