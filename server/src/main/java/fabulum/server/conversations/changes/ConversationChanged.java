package fabulum.server.conversations.changes;

import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A conversation changed. Told once the change is committed; may be told twice. {@code entries} are
 * those that were added or changed; where there are too many to name, the whole script may have
 * changed.
 */
public record ConversationChanged(ConversationId id, List<EntryId> entries, boolean wholeScript) {
  private static final String WHOLE = "*";

  /** Keeps the entries as they are. */
  public ConversationChanged {
    entries = List.copyOf(entries);
  }

  /** Some entries of a conversation were added or changed. */
  public static ConversationChanged of(long conversation, List<Long> entries) {
    return new ConversationChanged(
        new ConversationId(conversation), entries.stream().map(EntryId::new).toList(), false);
  }

  /** Any entry of a conversation may have changed. */
  public static ConversationChanged wholeScript(long conversation) {
    return new ConversationChanged(new ConversationId(conversation), List.of(), true);
  }

  /** The entries, as the feed of changes keeps them. */
  public String detail() {
    return wholeScript
        ? WHOLE
        : entries.stream()
            .map(entry -> String.valueOf(entry.value()))
            .collect(Collectors.joining(" "));
  }

  /** The change as the feed has it. */
  public static ConversationChanged read(long conversation, @Nullable String detail) {
    if (WHOLE.equals(detail)) {
      return wholeScript(conversation);
    }
    return of(
        conversation,
        detail == null || detail.isEmpty()
            ? List.of()
            : Arrays.stream(detail.split(" ")).map(Long::valueOf).toList());
  }
}
