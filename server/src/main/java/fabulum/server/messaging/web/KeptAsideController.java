package fabulum.server.messaging.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.messaging.KeptAside;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.platform.web.Problems;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Texts of the network that could not be taken in. */
@RestController
@RequestMapping("/api/setup/kept-aside")
class KeptAsideController {
  private final KeptAside kept;

  KeptAsideController(KeptAside kept) {
    this.kept = kept;
  }

  /** Texts from the network that could not be taken in, as they came; for leads. */
  @GetMapping
  List<KeptAside.KeptText> list(@AuthenticationPrincipal SignedIn me) {
    return kept.list(me.id());
  }

  /** Tries again to take it in. */
  @Problems({Kind.UNKNOWN_LINE, Kind.UNKNOWN_TEXT})
  @PostMapping("/{id}/take")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void take(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    kept.take(id, me.id());
  }

  /** Throws away a text that could not be taken in; for leads. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void leave(@AuthenticationPrincipal SignedIn me, @PathVariable long id) {
    kept.leave(id, me.id());
  }
}
