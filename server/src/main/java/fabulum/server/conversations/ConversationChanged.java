package fabulum.server.conversations;

import java.util.List;

/**
 * A conversation changed. Told once the change is committed; may be told twice. {@code entries} are
 * those that were added or changed.
 */
public record ConversationChanged(ConversationId id, List<EntryId> entries) {
  public ConversationChanged {
    entries = List.copyOf(entries);
  }

  static ConversationChanged of(long conversation, List<Long> entries) {
    return new ConversationChanged(
        new ConversationId(conversation), entries.stream().map(EntryId::new).toList());
  }
}
