package fabulum.server.ownership;

import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import org.jspecify.annotations.Nullable;

/**
 * A conversation was handed to someone, or to a team. Told within the transaction.
 *
 * @param event the entry that tells of it
 * @param to the new owner; null when it is nobody's in a team
 * @param team the team that has it then, where it was handed to one
 * @param by who did it; null for the program
 */
public record ConversationHanded(
    ConversationId id, EntryId event, @Nullable Long to, @Nullable Long team, @Nullable Long by) {}
