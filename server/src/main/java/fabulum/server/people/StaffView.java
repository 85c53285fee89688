package fabulum.server.people;

import fabulum.core.access.Role;

/**
 * A member of staff as colleagues see them.
 *
 * @param active false for who has left, or has not come yet
 */
public record StaffView(
    long id, String name, String initials, Role role, Mark mark, boolean active) {}
