package fabulum.server.messaging.store;

import java.time.Instant;

/** A row of unreported, with the reference of its text. */
public record UnreportedRow(long entryId, String reference, Instant sentAt, int asked) {}
