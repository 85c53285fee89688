package fabulum.server.clientele;

import fabulum.core.identify.WhoWrote;
import fabulum.server.access.StaffId;
import fabulum.server.clientele.store.ClienteleMapper;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.EntryView;
import fabulum.server.conversations.EntryViews;
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.SightColumns;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.HeldNumber;
import fabulum.server.customers.Holdings;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.Sights;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
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

  private final ClienteleMapper rows;
  private final Bookkeeping books;
  private final EntryViews views;
  private final InSight inSight;
  private final Holdings holdings;
  private final Sights sights;

  Story(
      ClienteleMapper rows,
      Bookkeeping books,
      EntryViews views,
      InSight inSight,
      Holdings holdings,
      Sights sights) {
    this.rows = rows;
    this.books = books;
    this.views = views;
    this.inSight = inSight;
    this.holdings = holdings;
    this.sights = sights;
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
   */
  public StoryPage page(CustomerId customer, long before, int limit, StaffId asking) {
    List<HeldNumber> held = holdings.of(customer);
    Map<Long, WhoWrote> numbers = new HashMap<>();
    held.forEach(
        one -> numbers.computeIfAbsent(one.numberId(), id -> holdings.whoWrote(new NumberId(id))));
    Map<Long, Conversation> conversations = conversations(numbers.keySet(), asking);
    Entry place = before == 0 ? null : books.findEntry(before).orElse(null);
    List<Entry> newest = new ArrayList<>();
    Merge merge = new Merge(conversations.keySet(), place, limit + 1);
    Entry next = merge.next();
    while (next != null && newest.size() <= limit) {
      Conversation said = conversations.get(next.conversationId());
      if (said != null && isOf(customer, next, said, numbers)) {
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
        conversations.values().stream()
            .filter(one -> said.contains(one.id()))
            .map(one -> new Where(one.id(), one.lineId(), one.address(), one.isGroup()))
            .toList(),
        more ? shown.get(0).id() : null);
  }

  private Map<Long, Conversation> conversations(Set<Long> numbers, StaffId asking) {
    Map<Long, Conversation> seen = new HashMap<>();
    if (!numbers.isEmpty()) {
      List<ConversationId> ids =
          rows.listConversations(List.copyOf(numbers), SightColumns.of(sights.of(asking))).stream()
              .map(ConversationId::new)
              .toList();
      inSight.list(ids, asking).forEach(one -> seen.put(one.id(), one));
    }
    return seen;
  }

  /**
   * What is known to be another's is not theirs; what may be theirs or another holder's is shown
   * with both. Notes and events belong to whose conversation it was then.
   */
  private static boolean isOf(
      CustomerId customer, Entry entry, Conversation said, Map<Long, WhoWrote> numbers) {
    if (said.isGroup()) {
      return true;
    }
    WhoWrote who = numbers.get(said.numberId());
    if (who == null) {
      return false;
    }
    OptionalLong writer =
        entry.kind() == EntryKind.IN
            ? who.of(said.id(), entry.id(), entry.at())
            : who.of(said.id(), entry.at());
    return writer.isPresent()
        ? writer.getAsLong() == customer.value()
        : isHeld(who, customer, entry.at());
  }

  private static boolean isHeld(WhoWrote who, CustomerId customer, Instant at) {
    return who.holdings().stream()
        .filter(held -> held.customer() == customer.value())
        .anyMatch(held -> held.at(at));
  }

  /** The entries of several scripts, the newest first. */
  private final class Merge {
    private final PriorityQueue<Stretch> stretches =
        new PriorityQueue<>((a, b) -> NEWEST.compare(a.head(), b.head()));
    private final int size;

    Merge(Set<Long> conversations, @Nullable Entry before, int size) {
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
