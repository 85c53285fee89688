package fabulum.server.undo.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import fabulum.server.undo.Undo;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/** Taking back what a person did a moment ago. */
@RestController
class UndoController {
  private final Undo undo;

  UndoController(Undo undo) {
    this.undo = undo;
  }

  /** Takes back an act of mine of the last two minutes, where nothing has happened since. */
  @Problems({Kind.TOO_LATE, Kind.CHANGED_MEANWHILE})
  @PostMapping("/api/undo/{name}")
  Undo.TakenBack undo(@AuthenticationPrincipal SignedIn me, @PathVariable String name) {
    return undo.undo(name, me.id());
  }
}
