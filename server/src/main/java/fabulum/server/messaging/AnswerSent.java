package fabulum.server.messaging;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import org.jspecify.annotations.Nullable;

/**
 * A person sent a text in one conversation. Told within the transaction.
 *
 * @param words as they were typed
 * @param template from which they were made; null for none
 */
public record AnswerSent(
    EntryId text, ConversationId id, StaffId by, String words, @Nullable Long template) {}
