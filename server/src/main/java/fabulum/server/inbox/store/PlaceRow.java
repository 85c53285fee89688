package fabulum.server.inbox.store;

import java.time.Instant;

/** Where a conversation stands in an order. */
public record PlaceRow(long id, Instant at) {}
