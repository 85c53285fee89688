package fabulum.server.people;

/** Names one team. */
public record TeamId(long value) {}
