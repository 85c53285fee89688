package fabulum.server.setup.web;

import fabulum.core.access.Act;
import fabulum.core.notice.Told;
import fabulum.server.lines.LineId;
import fabulum.server.notices.Ladders;
import fabulum.server.notices.Step;
import fabulum.server.people.Permits;
import fabulum.server.people.SignedIn;
import fabulum.server.people.TeamId;
import fabulum.server.setup.SetUp;
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
class LadderSetUpController {
  private final SetUp setUp;
  private final Ladders ladders;
  private final Permits permits;

  LadderSetUpController(SetUp setUp, Ladders ladders, Permits permits) {
    this.setUp = setUp;
    this.ladders = ladders;
    this.permits = permits;
  }

  /**
   * A step.
   *
   * @param afterMinutes of working time after the promise is due; negative for before it
   * @param staffId the person, where one is told
   */
  record StepMessage(
      int afterMinutes, @NotNull(message = "Say who is told.") Told told, @Nullable Long staffId) {
    static StepMessage of(Step step) {
      return new StepMessage(step.afterMinutes(), step.told(), step.staffId());
    }

    Step step() {
      return new Step(afterMinutes, told, staffId);
    }
  }

  /** The steps of a ladder, in order. */
  record LadderMessage(@NotNull(message = "Say the steps.") List<@Valid StepMessage> steps) {
    static LadderMessage of(List<Step> steps) {
      return new LadderMessage(steps.stream().map(StepMessage::of).toList());
    }

    List<Step> all() {
      return steps.stream().map(StepMessage::step).toList();
    }
  }

  @GetMapping("/lines/{id}/ladder")
  LadderMessage ofLine(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    permits.require(me.id(), Act.LEAD);
    return LadderMessage.of(ladders.of(new LineId(id)));
  }

  @PutMapping("/lines/{id}/ladder")
  SetUp.Outcome setOfLine(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody LadderMessage wanted) {
    return setUp.setLadder(new LineId(id), wanted.all(), me.id());
  }

  @GetMapping("/teams/{id}/ladder")
  LadderMessage ofTeam(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    permits.require(me.id(), Act.LEAD);
    return LadderMessage.of(ladders.of(new TeamId(id)));
  }

  @PutMapping("/teams/{id}/ladder")
  SetUp.Outcome setOfTeam(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @Valid @RequestBody LadderMessage wanted) {
    return setUp.setLadder(new TeamId(id), wanted.all(), me.id());
  }
}
