package fabulum.server.people;

import fabulum.core.access.Permission;
import fabulum.core.access.Role;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What a lead decides of someone.
 *
 * @param limit of open conversations on our turn, 1 to 999; empty for none
 * @param secondLook whether their texts wait for a colleague's yes; null for as before
 */
public record PersonSetup(
    Role role,
    Set<Permission> permissions,
    Set<Long> teams,
    @Nullable Integer limit,
    @Nullable Boolean secondLook) {
  public PersonSetup {
    permissions = Set.copyOf(permissions);
    teams = Set.copyOf(teams);
  }

  /** The same, with what is not said as it was before. */
  PersonSetup completed(boolean secondLookBefore) {
    boolean look = secondLook == null ? secondLookBefore && role == Role.STAFF : secondLook;
    return new PersonSetup(role, permissions, teams, limit, look);
  }

  boolean needsSecondLook() {
    return Boolean.TRUE.equals(secondLook);
  }
}
