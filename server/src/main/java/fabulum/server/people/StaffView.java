package fabulum.server.people;

/** A member of staff as colleagues see them. */
public record StaffView(long id, String name, String initials, Role role) {}
