package fabulum.server.access;

/** Names one member of staff. */
public record StaffId(long value) {}
