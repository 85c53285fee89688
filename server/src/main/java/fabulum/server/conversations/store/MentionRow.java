package fabulum.server.conversations.store;

/** A row of mention. */
public record MentionRow(long entryId, long staffId) {}
