package fabulum.server.customers;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Something a person said of who writes from a number.
 *
 * @param customerId whom they named
 * @param words why, or what else they said
 * @param undoneAt when it was taken back; null while it holds
 */
public record Identifying(
    long id,
    IdentifyingKind kind,
    @Nullable Long numberId,
    @Nullable Long conversationId,
    @Nullable Long customerId,
    @Nullable String words,
    @Nullable Long staffId,
    Instant doneAt,
    @Nullable Instant undoneAt) {}
