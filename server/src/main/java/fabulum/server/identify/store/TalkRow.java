package fabulum.server.identify.store;

import fabulum.server.conversations.EntryKind;
import java.time.Instant;

/** A text of a conversation with one number. */
public record TalkRow(long numberId, String address, Instant at, EntryKind kind, String words) {}
