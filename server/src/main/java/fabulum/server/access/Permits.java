package fabulum.server.access;

import fabulum.core.access.Access;
import fabulum.core.access.Act;
import fabulum.core.access.Permission;
import fabulum.core.access.Role;
import fabulum.server.access.store.AccessMapper;
import fabulum.server.access.store.PermissionRow;
import fabulum.server.access.store.RoleRow;
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
  private final AccessMapper roles;
  private final BriefMemory<Map<Long, Access>> all;

  Permits(AccessMapper roles) {
    this.roles = roles;
    this.all = new BriefMemory<>(this::read);
  }

  private Map<Long, Access> read() {
    Map<Long, Set<Permission>> given = given();
    return roles.listRoles().stream()
        .collect(
            Collectors.toMap(
                RoleRow::id,
                row ->
                    new Access(row.role(), given.getOrDefault(row.id(), Set.of()), row.active())));
  }

  /** What each person was given on top of their role, as it is in the database now. */
  public Map<Long, Set<Permission>> given() {
    return roles.listPermissions().stream()
        .collect(
            Collectors.groupingBy(
                PermissionRow::staffId,
                Collectors.mapping(PermissionRow::permission, Collectors.toSet())));
  }

  /** What someone may; nothing for who is not there. */
  public Access of(StaffId id) {
    return all.get().getOrDefault(id.value(), Access.NONE);
  }

  /** Refuses, and says who can allow it, when someone may not. */
  public void require(StaffId id, Act act) {
    if (!of(id).may(act)) {
      throw Problem.notAllowed(Access.refusal(act, leads()));
    }
  }

  /** Names of those who can allow things. */
  public List<String> leads() {
    return roles.listRoles().stream()
        .filter(row -> row.role() == Role.LEAD && row.active())
        .map(RoleRow::fullName)
        .toList();
  }

  /** Reads roles and permissions again the next time. */
  public void forget() {
    all.forget();
  }
}
