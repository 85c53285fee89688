package fabulum.server.access.store;

import fabulum.core.access.Role;

/** A person's role, and whether they work here. */
public record RoleRow(long id, String fullName, Role role, boolean active) {}
