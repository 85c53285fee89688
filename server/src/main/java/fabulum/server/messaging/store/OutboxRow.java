package fabulum.server.messaging.store;

import java.time.Instant;

/** A row of the outbox. */
public record OutboxRow(
    long id, long entryId, long conversationId, Instant wantedAt, int attempts, boolean askFirst) {}
