package fabulum.server.clientele;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.script.EntryView;
import fabulum.server.conversations.script.EntryViews;
import fabulum.server.customers.CustomerId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.PriorityQueue;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/**
 * All that was said with a customer, on every line that someone sees and with every number while it
 * was theirs, as one script in the order of time.
 */
@Service
public class Story {
  private static final Comparator<Entry> NEWEST =
      Comparator.comparing(Entry::at).thenComparing(Entry::id).reversed();

  /** Lines shown above the one that was asked for. */
  private static final int BEFORE = 25;

  private static final int MOST = 5_000;

  private final WhoseEntries whose;
  private final Bookkeeping books;
  private final EntryViews views;

  Story(WhoseEntries whose, Bookkeeping books, EntryViews views) {
    this.whose = whose;
    this.books = books;
    this.views = views;
  }

  /** Where entries were said. */
  public record Where(long conversationId, long lineId, String address, boolean group) {}

  /**
   * A stretch of the story, oldest first.
   *
   * @param where each conversation in it
   * @param earlier the entry before which the stretch before it ends; null at the beginning
   */
  public record StoryPage(List<EntryView> entries, List<Where> where, @Nullable Long earlier) {}

  /**
   * A stretch of the story.
   *
   * @param before the id of the entry before which it ends; 0 for up to now
   * @param to the id of an entry down to which it goes, and a little further; 0 for as many as the
   *     limit says
   */
  public StoryPage page(CustomerId customer, long before, long to, int limit, StaffId asking) {
    return to == 0
        ? page(customer, before, limit, asking)
        : page(customer, before, countTo(customer, to, asking), asking);
  }

  private int countTo(CustomerId customer, long to, StaffId asking) {
    Theirs theirs = whose.of(customer, asking);
    Merge merge = new Merge(ids(theirs), null, MOST);
    int count = 0;
    Entry next = merge.next();
    while (next != null && count < MOST) {
      count += theirs.has(next) ? 1 : 0;
      if (next.id() == to) {
        return Math.min(count + BEFORE, MOST);
      }
      next = merge.next();
    }
    return Math.max(1, count);
  }

  private static List<Long> ids(Theirs theirs) {
    return theirs.conversations().stream().map(Conversation::id).toList();
  }

  private StoryPage page(CustomerId customer, long before, int limit, StaffId asking) {
    Theirs theirs = whose.of(customer, asking);
    Entry place = before == 0 ? null : books.findEntry(before).orElse(null);
    List<Entry> newest = new ArrayList<>();
    Merge merge = new Merge(ids(theirs), place, limit + 1);
    Entry next = merge.next();
    while (next != null && newest.size() <= limit) {
      if (theirs.has(next)) {
        newest.add(next);
      }
      next = merge.next();
    }
    boolean more = newest.size() > limit;
    List<Entry> shown = new ArrayList<>(more ? newest.subList(0, limit) : newest);
    Collections.reverse(shown);
    Set<Long> said = new HashSet<>(shown.stream().map(Entry::conversationId).toList());
    return new StoryPage(
        views.of(shown),
        theirs.conversations().stream()
            .filter(one -> said.contains(one.id()))
            .map(one -> new Where(one.id(), one.lineId(), one.address(), one.isGroup()))
            .toList(),
        more ? shown.get(0).id() : null);
  }

  /** The entries of several scripts, the newest first. */
  private final class Merge {
    private final PriorityQueue<Stretch> stretches =
        new PriorityQueue<>((a, b) -> NEWEST.compare(a.head(), b.head()));
    private final int size;

    Merge(List<Long> conversations, @Nullable Entry before, int size) {
      this.size = size;
      conversations.forEach(id -> add(id, before));
    }

    private void add(long conversation, @Nullable Entry before) {
      List<Entry> read =
          books.listNewest(
              new ConversationId(conversation),
              before == null ? null : before.at(),
              before == null ? null : before.id(),
              size);
      if (!read.isEmpty()) {
        stretches.add(new Stretch(read, 0));
      }
    }

    @Nullable Entry next() {
      Stretch first = stretches.poll();
      if (first == null) {
        return null;
      }
      Entry head = first.head();
      if (first.at() + 1 < first.entries().size()) {
        stretches.add(new Stretch(first.entries(), first.at() + 1));
      } else if (first.entries().size() == size) {
        add(head.conversationId(), head);
      }
      return head;
    }
  }

  private record Stretch(List<Entry> entries, int at) {
    Entry head() {
      return entries.get(at);
    }
  }
}
