package fabulum.server.people;

import fabulum.core.access.Permission;
import fabulum.core.access.Role;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What a lead decides of someone.
 *
 * @param limit of open conversations on our turn, 1 to 999; empty for none
 */
public record PersonSetup(
    Role role, Set<Permission> permissions, Set<Long> teams, @Nullable Integer limit) {
  public PersonSetup {
    permissions = Set.copyOf(permissions);
    teams = Set.copyOf(teams);
  }
}
