package fabulum.server.writing;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;

/**
 * A text that waited for a second look was returned to its writer.
 *
 * @param event that tells so in the script
 * @param why what the colleague said; blank for nothing
 */
public record TextReturned(
    ConversationId id, EntryId event, StaffId writer, StaffId by, String why) {}
