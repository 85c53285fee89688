package fabulum.server.history.store;

import fabulum.core.delivery.DeliveryState;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.EventKind;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** An entry with what it is found by. */
public record SaidRow(
    long id,
    long conversationId,
    long lineId,
    Instant at,
    EntryKind kind,
    @Nullable EventKind event,
    @Nullable String words,
    @Nullable Long speakerId,
    boolean automatic,
    @Nullable DeliveryState delivery) {

  /** What goes or came with an entry, by name and in words. */
  public record AttachedRow(long entryId, String name, String words) {}
}
