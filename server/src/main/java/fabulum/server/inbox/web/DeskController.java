package fabulum.server.inbox.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.inbox.Desks;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What lies on my desk. */
@RestController
class DeskController {
  private final Desks desks;

  DeskController(Desks desks) {
    this.desks = desks;
  }

  /**
   * Texts that wait for a second look, what I am to do, and what I have begun to write, in all
   * conversations that I see.
   */
  @GetMapping("/api/desk")
  Desks.Desk desk(@AuthenticationPrincipal SignedIn me) {
    return desks.of(me.id());
  }
}
