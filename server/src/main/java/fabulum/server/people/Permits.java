package fabulum.server.people;

import fabulum.core.access.Access;
import fabulum.core.access.Act;
import fabulum.core.access.Permission;
import fabulum.core.access.Role;
import fabulum.server.people.store.PermissionRow;
import fabulum.server.people.store.StaffMapper;
import fabulum.server.people.store.StaffRow;
import fabulum.server.platform.BriefMemory;
import fabulum.server.platform.Problem;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** What each person may do. */
@Service
public class Permits {
  private final StaffMapper staff;
  private final BriefMemory<Map<Long, Access>> all;

  Permits(StaffMapper staff) {
    this.staff = staff;
    this.all = new BriefMemory<>(this::read);
  }

  private Map<Long, Access> read() {
    Map<Long, Set<Permission>> given = given();
    return staff.list().stream()
        .collect(
            Collectors.toMap(
                StaffRow::id,
                row ->
                    new Access(
                        row.role(), given.getOrDefault(row.id(), Set.of()), row.isActive())));
  }

  /** What each person was given on top of their role, as it is in the database now. */
  Map<Long, Set<Permission>> given() {
    return staff.listPermissions().stream()
        .collect(
            Collectors.groupingBy(
                PermissionRow::staffId,
                Collectors.mapping(PermissionRow::permission, Collectors.toSet())));
  }

  /** What somebody may; nothing for who is not there. */
  public Access of(StaffId id) {
    return all.get().getOrDefault(id.value(), Access.NONE);
  }

  /** Refuses, and says who can allow it, when somebody may not. */
  public void require(StaffId id, Act act) {
    if (!of(id).may(act)) {
      throw Problem.notAllowed(Access.refusal(act, leads()));
    }
  }

  /** Names of those who can allow things. */
  public List<String> leads() {
    return staff.list().stream()
        .filter(row -> row.role() == Role.LEAD && row.isActive())
        .map(StaffRow::fullName)
        .toList();
  }

  void forget() {
    all.forget();
  }
}
