package fabulum.server.inbox;

import java.time.Instant;

/**
 * Up to when someone has read a conversation.
 *
 * @param at the time of the newest entry they have seen
 */
public record Seen(long conversationId, Instant at) {}
