package fabulum.server.notices;

import fabulum.core.access.Act;
import fabulum.core.access.Role;
import fabulum.core.attendance.Presence;
import fabulum.core.notice.Receivers;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.inbox.ConversationView;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.lines.Sights;
import fabulum.server.people.Attendances;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.people.Teams;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Who of the staff is meant when something has to be told. */
@Component
class WhoIsTold {
  private final Sights sights;
  private final Lines lines;
  private final Teams teams;
  private final People people;
  private final Permits permits;
  private final Attendances attendances;

  WhoIsTold(
      Sights sights,
      Lines lines,
      Teams teams,
      People people,
      Permits permits,
      Attendances attendances) {
    this.sights = sights;
    this.lines = lines;
    this.teams = teams;
    this.people = people;
    this.permits = permits;
    this.attendances = attendances;
  }

  /** Those who are meant and see the conversation; covers stand in for those who are away. */
  Set<Long> of(Collection<Long> meant, ConversationView view) {
    return Receivers.of(meant, this::presence, who -> sees(who, view));
  }

  boolean sees(long who, ConversationView view) {
    return sights.of(new StaffId(who)).sees(view.spot());
  }

  private Presence presence(long who) {
    return attendances.presence(new StaffId(who));
  }

  /**
   * Those of the team that answers who work and are in: of a whole team they are enough, and
   * nobody's cover is told for them.
   *
   * @param handed the team it was handed to; null for that of its line
   */
  List<Long> atWork(@Nullable Long handed, LineId line) {
    long team = handed == null ? lines.get(line).teamId() : handed;
    return teams.get(new TeamId(team)).members().stream()
        .filter(who -> permits.of(new StaffId(who)).may(Act.WORK) && presence(who).in())
        .toList();
  }

  Set<Long> leads() {
    return people.list().stream()
        .filter(staff -> staff.active() && staff.role() == Role.LEAD)
        .map(StaffView::id)
        .collect(Collectors.toSet());
  }
}
