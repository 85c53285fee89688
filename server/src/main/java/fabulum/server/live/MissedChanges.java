package fabulum.server.live;

import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.changes.ConversationChanged;
import fabulum.server.feed.Change;
import fabulum.server.feed.ChangeFeed;
import fabulum.server.inbox.Inbox;
import fabulum.server.inbox.Scripts;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** What a browser missed while the program did not run, or that it heard from an earlier run. */
@Component
class MissedChanges {
  /** Beyond this it is quicker to read everything again. */
  private static final int MOST = 150;

  private final ChangeFeed feed;
  private final Inbox inbox;
  private final Scripts scripts;

  MissedChanges(ChangeFeed feed, Inbox inbox, Scripts scripts) {
    this.feed = feed;
    this.inbox = inbox;
    this.scripts = scripts;
  }

  /**
   * The conversations that changed after a number of the feed, each once, as they are now.
   *
   * @return empty when only reading everything again will do
   */
  Optional<List<LiveMessage>> since(long settled) {
    List<Change> changes = feed.listAfter(settled, MOST + 1);
    boolean more = changes.stream().anyMatch(change -> change.kind() != Change.Kind.CONVERSATION);
    if (more || changes.size() > MOST || !feed.reaches(settled)) {
      return Optional.empty();
    }
    Map<ConversationId, Set<EntryId>> changed = new LinkedHashMap<>();
    for (Change change : changes) {
      ConversationChanged read = ConversationChanged.read(change.subject(), change.detail());
      changed.computeIfAbsent(read.id(), any -> new LinkedHashSet<>()).addAll(read.entries());
    }
    List<LiveMessage> messages = new ArrayList<>();
    changed.forEach((id, entries) ->
        inbox
            .find(id)
            .ifPresent(row ->
                messages.add(
                    LiveMessage.conversation(row, scripts.entries(List.copyOf(entries))))));
    return Optional.of(messages);
  }
}
