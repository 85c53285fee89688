package fabulum.server.inbox;

import fabulum.core.access.Sight;
import fabulum.server.access.StaffId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.lines.Sights;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Service;

/** The lines that stand in each person's inbox. */
@Service
public class LinesInSight {
  private final Lines lines;
  private final Sights sights;
  private final Counters counters;

  LinesInSight(Lines lines, Sights sights, Counters counters) {
    this.lines = lines;
    this.sights = sights;
    this.counters = counters;
  }

  /** The lines someone sees, and those of which something was handed to a team of theirs. */
  public List<LineView> list(StaffId who) {
    Sight sight = sights.of(who);
    Set<Long> handed = new HashSet<>();
    if (!sight.isEverything()) {
      handed.addAll(counters.handedTo(sight.teams()));
      handed.addAll(counters.linesOf(sight));
    }
    return lines.list().stream()
        .filter(line -> sight.seesLine(line.id()) || handed.contains(line.id()))
        .toList();
  }
}
