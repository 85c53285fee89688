package fabulum.server.people;

/** Names one member of staff. */
public record StaffId(long value) {}
