package fabulum.server.people.store;

/** A row of team. */
public record TeamRow(long id, String name) {}
