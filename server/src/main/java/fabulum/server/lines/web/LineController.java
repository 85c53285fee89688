package fabulum.server.lines.web;

import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The lines. */
@RestController
class LineController {
  private final Lines lines;

  LineController(Lines lines) {
    this.lines = lines;
  }

  @GetMapping("/api/lines")
  List<LineView> list() {
    return lines.list();
  }
}
