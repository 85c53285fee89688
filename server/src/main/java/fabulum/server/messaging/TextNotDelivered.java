package fabulum.server.messaging;

import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import org.jspecify.annotations.Nullable;

/**
 * A text of ours was not delivered. Told within the transaction.
 *
 * @param owner whose the conversation is then
 * @param team it was handed to, other than the line's
 * @param writer who sent the text
 * @param needsHand whether the conversation is our turn because of it
 * @param reason a sentence, as the network gave it
 */
public record TextNotDelivered(
    ConversationId id,
    EntryId text,
    @Nullable Long owner,
    @Nullable Long team,
    @Nullable Long writer,
    boolean needsHand,
    String reason) {}
