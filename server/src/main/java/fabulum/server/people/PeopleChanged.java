package fabulum.server.people;

/** Who may see or do what has changed; told after it was committed. */
public record PeopleChanged() {}
