package fabulum.server.platform.web;

import fabulum.core.hours.EnteredSpan;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.time.DayOfWeek;

/**
 * Opening hours.
 *
 * @param day 1 Monday to 7 Sunday
 * @param from minutes of that day
 * @param to minutes from the beginning of that day; beyond 1440 they end on the next
 */
public record SpanMessage(
    @Min(value = 1, message = "Days are 1 to 7.") @Max(value = 7, message = "Days are 1 to 7.")
        int day,
    int from,
    int to) {

  /** As the core has it, for callers. */
  public static SpanMessage of(EnteredSpan stretch) {
    return new SpanMessage(stretch.day().getValue(), stretch.from(), stretch.to());
  }

  /** As callers give it, for the core. */
  public EnteredSpan stretch() {
    return new EnteredSpan(DayOfWeek.of(day), from, to);
  }
}
