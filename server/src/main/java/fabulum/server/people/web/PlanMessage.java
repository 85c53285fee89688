package fabulum.server.people.web;

import fabulum.server.people.Attendances.Away;
import fabulum.server.people.Attendances.Plan;
import fabulum.server.platform.web.SpanMessage;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * When someone is usually in, and who covers for them.
 *
 * @param zone IANA name
 * @param week empty for always in
 * @param coverId who covers usually
 * @param absences days known ahead
 */
record PlanMessage(
    @NotNull(message = "Say in which time zone.") String zone,
    @NotNull(message = "Hours are needed; none for always in.")
        List<@Valid @NotNull SpanMessage> week,
    @Nullable Long coverId,
    @NotNull(message = "Absences are needed, if only none.")
        List<@Valid @NotNull AwayMessage> absences) {

  static PlanMessage of(Plan plan) {
    return new PlanMessage(
        plan.zone(),
        plan.week().stream().map(SpanMessage::of).toList(),
        plan.coverId(),
        plan.absences().stream()
            .map(away -> new AwayMessage(away.first(), away.last(), away.coverId()))
            .toList());
  }

  /**
   * Days away.
   *
   * @param coverId who covers on those days; empty for the usual cover
   */
  record AwayMessage(
      @NotNull(message = "An absence has a first day.") LocalDate first,
      @NotNull(message = "An absence has a last day.") LocalDate last,
      @Nullable Long coverId) {}

  Plan plan() {
    return new Plan(zone, week.stream().map(SpanMessage::stretch).toList(), coverId, away());
  }

  private List<Away> away() {
    return absences.stream().map(one -> new Away(one.first(), one.last(), one.coverId())).toList();
  }
}
