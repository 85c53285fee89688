package fabulum.server.messaging.store;

/** A text that waits in the outbox, and its entry. */
public record WaitingRow(long id, long entryId) {}
