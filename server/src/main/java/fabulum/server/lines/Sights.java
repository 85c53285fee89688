package fabulum.server.lines;

import fabulum.core.access.Access;
import fabulum.core.access.Permission;
import fabulum.core.access.Role;
import fabulum.core.access.Sight;
import fabulum.server.access.Guests;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.people.Teams;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** What each person sees. */
@Service
public class Sights {
  private final Lines lines;
  private final Teams teams;
  private final Permits permits;
  private final Guests guests;

  Sights(Lines lines, Teams teams, Permits permits, Guests guests) {
    this.guests = guests;
    this.lines = lines;
    this.teams = teams;
    this.permits = permits;
  }

  /** What someone sees now. */
  public Sight of(StaffId who) {
    Access access = permits.of(who);
    if (!access.active()) {
      return Sight.nothing(who.value());
    }
    Set<Long> mine = teams.of(who);
    List<LineView> all = lines.list();
    Optional<Set<Long>> seen =
        access.has(Permission.SEE_ALL_LINES)
            ? Optional.empty()
            : Optional.of(
                all.stream()
                    .filter(line -> mine.contains(line.teamId()))
                    .map(LineView::id)
                    .collect(Collectors.toSet()));
    Set<Long> narrowed =
        access.role() == Role.LEAD
            ? Set.of()
            : all.stream().filter(LineView::narrowed).map(LineView::id).collect(Collectors.toSet());
    return new Sight(who.value(), seen, narrowed, mine, guests.of(who));
  }
}
