package fabulum.server.office.web;

import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ConversationId;
import fabulum.server.inbox.ConversationView;
import fabulum.server.office.Moves;
import fabulum.server.office.Office;
import fabulum.server.office.OfficeView;
import fabulum.server.ownership.HandTo;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The front office, and moving work about in it. */
@RestController
@RequestMapping("/api/office")
class OfficeController {
  private final Office office;
  private final Moves moves;

  OfficeController(Office office, Moves moves) {
    this.office = office;
    this.moves = moves;
  }

  /** The whole front office now: who is in and what each person has; for leads. */
  @GetMapping
  OfficeView view(@AuthenticationPrincipal SignedIn me) {
    return office.view(me.id());
  }

  /** What someone owns that is open. */
  @GetMapping("/people/{id}/work")
  List<ConversationView> work(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return moves.workOf(new StaffId(id), me.id());
  }

  /**
   * Whither work goes; to nobody where neither is said.
   *
   * @param ids which of it; empty for all
   */
  record MoveRequest(@Nullable List<Long> ids, @Nullable Long person, @Nullable Long team) {
    HandTo to() {
      if (person != null) {
        return HandTo.person(new StaffId(person));
      }
      return team == null ? HandTo.NOBODY : HandTo.team(new TeamId(team));
    }

    @Nullable List<ConversationId> which() {
      return ids == null ? null : ids.stream().map(ConversationId::new).toList();
    }
  }

  /** Moves a person's open conversations to another person, to a team, or to nobody. */
  @PostMapping("/people/{id}/move")
  Moves.Moved move(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestBody MoveRequest wanted) {
    return moves.move(new StaffId(id), wanted.which(), wanted.to(), me.id());
  }

  /** Switches someone off, after their work has gone where this says. */
  @Problems({Kind.LAST_LEAD})
  @PostMapping("/people/{id}/off")
  Moves.Moved letLeave(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestBody MoveRequest wanted) {
    return moves.letLeave(new StaffId(id), wanted.to(), me.id());
  }
}
