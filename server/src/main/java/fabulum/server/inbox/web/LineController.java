package fabulum.server.inbox.web;

import fabulum.server.accounts.SignedIn;
import fabulum.server.inbox.LinesInSight;
import fabulum.server.lines.LineView;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The lines that each person sees. */
@RestController
class LineController {
  private final LinesInSight lines;

  LineController(LinesInSight lines) {
    this.lines = lines;
  }

  /** The lines in my inbox: those I see, and those of which something was handed to my teams. */
  @GetMapping("/api/lines")
  List<LineView> list(@AuthenticationPrincipal SignedIn me) {
    return lines.list(me.id());
  }
}
