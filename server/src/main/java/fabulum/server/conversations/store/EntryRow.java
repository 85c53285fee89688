package fabulum.server.conversations.store;

import fabulum.core.delivery.DeliveryState;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.EventKind;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A row of entry. The id of a row not yet inserted is 0. */
public record EntryRow(
    long id,
    long conversationId,
    Instant at,
    EntryKind kind,
    @Nullable String words,
    @Nullable EventKind event,
    @Nullable Long speakerId,
    boolean automatic,
    @Nullable String networkId,
    @Nullable String reference,
    @Nullable DeliveryState delivery,
    @Nullable String failureCode,
    @Nullable String failureReason,
    @Nullable Integer parts) {

  /** A text from the customer. */
  public static EntryRow received(long conversation, Instant at, String words, String networkId) {
    return new EntryRow(
        0,
        conversation,
        at,
        EntryKind.IN,
        words,
        null,
        null,
        false,
        networkId,
        null,
        null,
        null,
        null,
        null);
  }

  /** A text of ours that waits to go. */
  public static EntryRow answer(
      long conversation, Instant at, String words, long by, String reference, int parts) {
    return new EntryRow(
        0,
        conversation,
        at,
        EntryKind.OUT,
        words,
        null,
        by,
        false,
        null,
        reference,
        DeliveryState.WAITING,
        null,
        null,
        parts);
  }

  /** A note. */
  public static EntryRow note(
      long conversation, Instant at, String words, long by, String reference) {
    return new EntryRow(
        0,
        conversation,
        at,
        EntryKind.NOTE,
        words,
        null,
        by,
        false,
        null,
        reference,
        null,
        null,
        null,
        null);
  }

  /** An event. */
  public static EntryRow event(long conversation, Instant at, EventKind event, long by) {
    return new EntryRow(
        0,
        conversation,
        at,
        EntryKind.EVENT,
        null,
        event,
        by,
        false,
        null,
        null,
        null,
        null,
        null,
        null);
  }
}
