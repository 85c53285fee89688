package fabulum.server.access;

/** Names one team. */
public record TeamId(long value) {}
