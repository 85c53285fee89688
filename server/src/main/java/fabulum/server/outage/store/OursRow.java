package fabulum.server.outage.store;

import org.jspecify.annotations.Nullable;

/**
 * A text we have.
 *
 * @param words null for what was removed for good
 */
public record OursRow(
    String networkId, long entryId, long conversationId, long lineId, @Nullable String words) {}
