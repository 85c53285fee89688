package fabulum.server.conversations.store;

/** The address of a number. */
public record NumberRow(long id, String address) {}
