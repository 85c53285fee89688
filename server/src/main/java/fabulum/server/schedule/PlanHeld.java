package fabulum.server.schedule;

import fabulum.server.conversations.ConversationId;

/**
 * A planned text did not go and waits for a person. Told within the transaction.
 *
 * @param writer in whose name it would have gone
 * @param why in sentences
 */
public record PlanHeld(long plan, ConversationId id, long writer, String why) {}
