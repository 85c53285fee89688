package fabulum.server.conversations;

/** A note names somebody. Told within the transaction. */
public record ColleagueMentioned(ConversationId id, EntryId note, long who, long by) {}
