package fabulum.server.conversations.store;

import fabulum.core.delivery.DeliveryState;
import org.jspecify.annotations.Nullable;

/** How far a text of ours to several numbers has come with one of them. */
public record DeliveryRow(
    long entryId, String address, DeliveryState state, @Nullable String failureReason) {}
