package fabulum.server.messaging.store;

import java.time.Instant;

/**
 * A row of the outbox.
 *
 * @param owed whether it goes also to someone who opted out
 */
public record OutboxRow(
    long id,
    long entryId,
    long conversationId,
    Instant wantedAt,
    int attempts,
    boolean askFirst,
    boolean owed) {}
