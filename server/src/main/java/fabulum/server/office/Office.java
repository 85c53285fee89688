package fabulum.server.office;

import fabulum.core.access.Act;
import fabulum.core.access.Role;
import fabulum.core.attendance.Presence;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.inbox.Workload;
import fabulum.server.inbox.Workload.Load;
import fabulum.server.office.OfficeView.PersonAtWork;
import fabulum.server.people.Attendances;
import fabulum.server.people.Limits;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.people.Teams;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The whole front office at a glance. */
@Service
public class Office {
  private final People people;
  private final Teams teams;
  private final Permits permits;
  private final Attendances attendances;
  private final Limits limits;
  private final Workload workload;

  Office(
      People people,
      Teams teams,
      Permits permits,
      Attendances attendances,
      Limits limits,
      Workload workload) {
    this.people = people;
    this.teams = teams;
    this.permits = permits;
    this.attendances = attendances;
    this.limits = limits;
    this.workload = workload;
  }

  /** How the front office stands, for leads. */
  public OfficeView view(StaffId asking) {
    permits.require(asking, Act.LEAD);
    Map<Long, Load> all = workload.list(asking);
    Map<Long, Instant> answered = people.lastAnswers();
    Map<Long, Integer> most = limits.all();
    List<PersonAtWork> working =
        people.list().stream()
            .filter(staff -> staff.active() && staff.role() != Role.VIEWER)
            .map(staff ->
                person(
                    staff,
                    all.getOrDefault(staff.id(), Load.EMPTY),
                    most.get(staff.id()),
                    answered.get(staff.id())))
            .sorted(Comparator.comparing((PersonAtWork one) -> !one.in()))
            .toList();
    return new OfficeView(working, all.getOrDefault(Workload.NOBODY, Load.EMPTY));
  }

  private PersonAtWork person(
      StaffView staff, Load desk, @Nullable Integer limit, @Nullable Instant answeredAt) {
    StaffId id = new StaffId(staff.id());
    Presence presence = attendances.presence(id);
    StaffView cover =
        presence.cover().isPresent() ? people.get(new StaffId(presence.cover().getAsLong())) : null;
    return new PersonAtWork(
        staff,
        presence.in(),
        presence.why(),
        presence.until().orElse(null),
        cover,
        teams.of(id).stream().sorted().toList(),
        limit,
        desk,
        answeredAt);
  }
}
