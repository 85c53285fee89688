package fabulum.server.access.store;

import fabulum.core.access.Permission;

/** A row of staff_permission. */
public record PermissionRow(long staffId, Permission permission) {}
