package fabulum.server.undo;

import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;

/**
 * A step was taken back, so what was told of it is not so any more. Told within the transaction.
 *
 * @param event the entry that tells of the step
 */
public record StepTakenBack(ConversationId id, EntryId event) {}
