package fabulum.server.setup.web;

import fabulum.core.access.Act;
import fabulum.core.notice.Alerted;
import fabulum.server.access.Permits;
import fabulum.server.access.TeamId;
import fabulum.server.accounts.SignedIn;
import fabulum.server.lines.LineId;
import fabulum.server.notices.EscalationStep;
import fabulum.server.notices.Escalations;
import fabulum.server.setup.EscalationSetUp;
import fabulum.server.setup.Outcome;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Who is told when something nears its promise or is late, as it is set up. */
@RestController
@RequestMapping("/api/setup")
class EscalationSetUpController {
  private final EscalationSetUp setUp;
  private final Escalations escalations;
  private final Permits permits;

  EscalationSetUpController(EscalationSetUp setUp, Escalations escalations, Permits permits) {
    this.setUp = setUp;
    this.escalations = escalations;
    this.permits = permits;
  }

  /**
   * A step.
   *
   * @param afterMinutes of working time after the promise is due; negative for before it
   * @param staffId the person, where a single person is told
   */
  record EscalationStepMessage(
      int afterMinutes,
      @NotNull(message = "Say who is told.") Alerted told,
      @Nullable Long staffId) {
    static EscalationStepMessage of(EscalationStep step) {
      return new EscalationStepMessage(step.afterMinutes(), step.told(), step.staffId());
    }

    EscalationStep step() {
      return new EscalationStep(afterMinutes, told, staffId);
    }
  }

  /** The steps of an escalation, in order. */
  record EscalationMessage(
      @NotNull(message = "Say the steps.") List<@Valid EscalationStepMessage> steps) {
    static EscalationMessage of(List<EscalationStep> steps) {
      return new EscalationMessage(steps.stream().map(EscalationStepMessage::of).toList());
    }

    List<EscalationStep> all() {
      return steps.stream().map(EscalationStepMessage::step).toList();
    }
  }

  /**
   * Who is alerted when an answer on a line is due soon or late; without steps, its team's hold;
   * for leads.
   */
  @GetMapping("/lines/{id}/escalation")
  EscalationMessage ofLine(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    permits.require(me.id(), Act.LEAD);
    return EscalationMessage.of(escalations.of(new LineId(id)));
  }

  /** Changes who is alerted on a line; for leads. */
  @PutMapping("/lines/{id}/escalation")
  Outcome setOfLine(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody EscalationMessage wanted) {
    return setUp.set(new LineId(id), wanted.all(), me.id());
  }

  /** The escalation of a team. */
  record TeamEscalation(long teamId, List<EscalationStepMessage> steps) {}

  /** Who is alerted, of all teams that have steps; for leads. */
  @GetMapping("/teams/escalations")
  List<TeamEscalation> ofTeams(@AuthenticationPrincipal SignedIn me) {
    permits.require(me.id(), Act.LEAD);
    return escalations.ofTeams().entrySet().stream()
        .map(each ->
            new TeamEscalation(
                each.getKey().value(), EscalationMessage.of(each.getValue()).steps()))
        .toList();
  }

  /** Changes who is alerted in a team; for leads. */
  @PutMapping("/teams/{id}/escalation")
  Outcome setOfTeam(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody EscalationMessage wanted) {
    return setUp.set(new TeamId(id), wanted.all(), me.id());
  }
}
