package fabulum.server.conversations.web;

import fabulum.server.conversations.Undoing;
import fabulum.server.people.SignedIn;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/** Taking back what one did a moment ago. */
@RestController
class UndoController {
  private final Undoing undoing;

  UndoController(Undoing undoing) {
    this.undoing = undoing;
  }

  @PostMapping("/api/undo/{name}")
  Undoing.TakenBack undo(@AuthenticationPrincipal SignedIn me, @PathVariable String name) {
    return undoing.undo(name, me.id());
  }
}
