package fabulum.server.several.store;

import org.jspecify.annotations.Nullable;

/**
 * A row of batch_item whose turn is yet to come.
 *
 * @param shown what stood in the conversation when the act began, where that matters
 */
public record PendingRow(long conversationId, @Nullable String shown) {}
