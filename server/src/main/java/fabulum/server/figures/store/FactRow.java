package fabulum.server.figures.store;

import fabulum.core.delivery.DeliveryState;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.EventKind;
import java.math.BigDecimal;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * An entry as far as figures need it.
 *
 * @param newNumber it is the first text that came in its conversation
 */
public record FactRow(
    long id,
    long conversationId,
    Instant at,
    EntryKind kind,
    @Nullable EventKind event,
    @Nullable Long speakerId,
    boolean automatic,
    boolean oneOfMany,
    @Nullable DeliveryState delivery,
    @Nullable String failureReason,
    @Nullable Integer parts,
    @Nullable BigDecimal cost,
    @Nullable String currency,
    @Nullable Long workingSeconds,
    @Nullable Long promiseSeconds,
    boolean firstAnswer,
    @Nullable Instant answeredSince,
    boolean undone,
    boolean newNumber) {}
