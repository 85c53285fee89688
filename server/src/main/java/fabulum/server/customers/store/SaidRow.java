package fabulum.server.customers.store;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A row of writer_said. */
public record SaidRow(
    @Nullable Long conversationId,
    @Nullable Long entryId,
    @Nullable Instant saidFrom,
    long customerId) {}
