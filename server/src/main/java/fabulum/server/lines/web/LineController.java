package fabulum.server.lines.web;

import fabulum.server.lines.LineView;
import fabulum.server.lines.Sights;
import fabulum.server.people.SignedIn;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The lines. */
@RestController
class LineController {
  private final Sights sights;

  LineController(Sights sights) {
    this.sights = sights;
  }

  @GetMapping("/api/lines")
  List<LineView> list(@AuthenticationPrincipal SignedIn me) {
    return sights.lines(me.id());
  }
}
