package fabulum.server.inbox.store;

import fabulum.server.conversations.Conversation;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A conversation of a list.
 *
 * @param at where it stands in the order of the list
 * @param seen up to when the person who asks has read it; null where they never opened it
 * @param topics what it is about, ascending
 */
public record InboxRow(
    Conversation conversation, Instant at, @Nullable Instant seen, List<Long> topics) {
  public InboxRow {
    topics = List.copyOf(topics);
  }

  /**
   * One row for each conversation, from one for each of its topics; those of a conversation follow
   * each other.
   */
  public static List<InboxRow> together(List<InboxRow> rows) {
    List<InboxRow> together = new ArrayList<>(rows.size());
    for (InboxRow row : rows) {
      int last = together.size() - 1;
      if (last >= 0 && together.get(last).conversation().id() == row.conversation().id()) {
        together.set(last, together.get(last).and(row.topics()));
      } else {
        together.add(row);
      }
    }
    return together;
  }

  private InboxRow and(List<Long> more) {
    List<Long> all = new ArrayList<>(topics);
    all.addAll(more);
    return new InboxRow(conversation, at, seen, all);
  }
}
