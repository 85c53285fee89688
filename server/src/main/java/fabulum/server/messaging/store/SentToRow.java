package fabulum.server.messaging.store;

import fabulum.core.delivery.DeliveryState;
import org.jspecify.annotations.Nullable;

/** How far a text of ours to several numbers has come with one of them. */
public record SentToRow(
    long entryId,
    long numberId,
    String address,
    DeliveryState state,
    @Nullable String failureCode,
    @Nullable String failureReason) {

  /** The same after a report; a failure stays with it only while it has failed. */
  public SentToRow after(DeliveryState reported, @Nullable String code, @Nullable String reason) {
    boolean failed = reported == DeliveryState.NOT_DELIVERED;
    return new SentToRow(
        entryId, numberId, address, reported, failed ? code : null, failed ? reason : null);
  }
}
