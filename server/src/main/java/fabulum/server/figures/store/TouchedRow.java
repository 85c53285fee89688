package fabulum.server.figures.store;

import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.EventKind;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * An entry that was added or changed.
 *
 * @param doneBefore when its conversation was done the last time before it, other than what was
 *     taken back; null for never
 */
public record TouchedRow(
    long lineId,
    long conversationId,
    Instant at,
    EntryKind kind,
    @Nullable EventKind event,
    @Nullable Instant doneBefore) {}
