package fabulum.server.conversations;

/** Names one entry of a script. */
public record EntryId(long value) {}
