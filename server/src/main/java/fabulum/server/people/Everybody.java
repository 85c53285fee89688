package fabulum.server.people;

import fabulum.core.access.Act;
import fabulum.core.access.Permission;
import fabulum.core.attendance.Presence;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.accounts.AccountState;
import fabulum.server.people.store.InvitationMapper;
import fabulum.server.people.store.StaffMapper;
import fabulum.server.people.store.StaffRow;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;

/** All people as leads see them. */
@Service
public class Everybody {
  private final StaffMapper staff;
  private final InvitationMapper invitations;
  private final Teams teams;
  private final Permits permits;
  private final Attendances attendances;

  Everybody(
      StaffMapper staff,
      InvitationMapper invitations,
      Teams teams,
      Permits permits,
      Attendances attendances) {
    this.staff = staff;
    this.invitations = invitations;
    this.teams = teams;
    this.permits = permits;
    this.attendances = attendances;
  }

  /** Everybody, also who is invited or has left, by name. */
  public List<PersonView> list(StaffId asking) {
    permits.require(asking, Act.LEAD);
    Map<Long, Set<Permission>> given = permits.given();
    return staff.list().stream()
        .map(row -> view(row, given.getOrDefault(row.id(), Set.of())))
        .toList();
  }

  private PersonView view(StaffRow row, Set<Permission> given) {
    StaffId id = new StaffId(row.id());
    Presence presence = attendances.presence(id);
    return new PersonView(
        People.view(row),
        row.standing(),
        row.email(),
        given.stream().sorted().toList(),
        teams.of(id).stream().sorted().toList(),
        row.workLimit(),
        row.secondLook(),
        row.standing() == AccountState.INVITED ? invitations.findEnd(row.id()).orElse(null) : null,
        presence.in(),
        presence.why(),
        presence.until().orElse(null));
  }
}
