package fabulum.server.writing;

import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;

/** A note names someone. Told within the transaction. */
public record ColleagueMentioned(ConversationId id, EntryId note, long who, long by) {}
