package fabulum.server.several;

import fabulum.server.conversations.ConversationId;
import fabulum.server.inbox.InboxQuery;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Conversations with these ids, and those that a sentence means; each once. */
public record Selection(List<ConversationId> ids, @Nullable InboxQuery all) {
  public Selection {
    ids = List.copyOf(ids);
  }
}
