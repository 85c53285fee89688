package fabulum.server.messaging.store;

/** A text that waits in the outbox, and its reference. */
public record WaitingRow(long id, String reference) {}
