package fabulum.server.ownership.web;

import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.accounts.SignedIn;
import fabulum.server.conversations.ActResponse;
import fabulum.server.conversations.ConversationId;
import fabulum.server.ownership.HandTo;
import fabulum.server.ownership.Ownership;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
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

/** Taking, handing over and letting go. */
@RestController
@RequestMapping("/api/conversations/{id}")
class OwnershipController {
  private final Ownership ownership;

  OwnershipController(Ownership ownership) {
    this.ownership = ownership;
  }

  /**
   * Taking.
   *
   * @param shown whose it was where one looked, 0 for nobody's; empty to take it no matter who has
   *     it
   */
  record TakeRequest(@Nullable Long shown) {}

  /** Makes a conversation mine. */
  @Problems({Kind.TAKEN_MEANWHILE})
  @PostMapping("/take")
  ActResponse take(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestBody(required = false) @Nullable TakeRequest wanted) {
    Long shown = wanted == null ? null : wanted.shown();
    return ActResponse.of(ownership.take(new ConversationId(id), shown, me.id()));
  }

  /**
   * Handing over.
   *
   * @param person to whom; or
   * @param team to which team
   * @param why in a few words, kept as a note
   */
  record HandOverRequest(@Nullable Long person, @Nullable Long team, @Nullable String why) {

    HandTo to() {
      if ((person == null) == (team == null)) {
        throw Problem.fields(List.of(new FieldProblem("to", "Say to whom: a person, or a team.")));
      }
      return new HandTo(
          person == null ? null : new StaffId(person), team == null ? null : new TeamId(team));
    }
  }

  /** Hands a conversation over to a colleague or a team, with a reason that becomes a note. */
  @PostMapping("/hand-over")
  ActResponse handOver(
      @AuthenticationPrincipal SignedIn me,
      @PathVariable long id,
      @RequestBody HandOverRequest wanted) {
    String why = wanted.why() == null ? "" : wanted.why();
    return ActResponse.of(ownership.handOver(new ConversationId(id), wanted.to(), why, me.id()));
  }

  /** Colleagues and teams it can be handed to. */
  @GetMapping("/hand-to")
  Ownership.Receivers receivers(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return ownership.receivers(new ConversationId(id), me.id());
  }

  /** Gives a conversation back to nobody. */
  @PostMapping("/let-go")
  ActResponse letGo(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    return ActResponse.of(ownership.letGo(new ConversationId(id), me.id()));
  }
}
