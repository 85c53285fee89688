package fabulum.server.inbox;

import fabulum.core.access.Sight;
import fabulum.core.conversation.Group;
import fabulum.core.sentence.Sentence;
import fabulum.core.sentence.SentenceText;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.SightColumns;
import fabulum.server.inbox.InboxPage.InOrder;
import fabulum.server.inbox.store.ChoiceRow;
import fabulum.server.inbox.store.InboxMapper;
import fabulum.server.inbox.store.InboxRow;
import fabulum.server.inbox.store.Stretch;
import fabulum.server.lines.Sights;
import fabulum.server.platform.LikePattern;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/**
 * The list, its counts, the time ribbon and the search for a conversation. Each person is shown
 * what they see and nothing else.
 */
@Service
public class Inbox {
  /** The longest stretch that is given at once. */
  public static final int LONGEST_PAGE = 100;

  /** The most marks on the time ribbon. */
  public static final int LONGEST_RIBBON = 500;

  /** Beyond this, a count is only "this many and more". */
  public static final int MOST_COUNTED = 1_000;

  private static final int JUMPS = 8;
  private static final Sentence TO_IDENTIFY = SentenceText.read("to identify");
  private static final Sentence NOT_DELIVERED = SentenceText.read("not delivered");

  private final InboxMapper lists;
  private final Bookkeeping books;
  private final ConversationViews views;
  private final Choices choices;
  private final Counters counters;
  private final Sights sights;
  private final Depths depths = new Depths();

  Inbox(
      InboxMapper lists,
      Bookkeeping books,
      ConversationViews views,
      Choices choices,
      Counters counters,
      Sights sights) {
    this.lists = lists;
    this.books = books;
    this.views = views;
    this.choices = choices;
    this.counters = counters;
    this.sights = sights;
  }

  /** A stretch of the list. */
  public InboxPage page(InboxQuery query, @Nullable String from, int limit) {
    Place place = from == null ? null : Place.read(from);
    List<InboxRow> rows = rows(query, choice(query), place, limit + 1);
    if (rows.size() <= limit) {
      return page(query, rows, null);
    }
    InboxRow last = rows.get(limit - 1);
    return page(
        query, rows.subList(0, limit), new Place(last.at(), last.conversation().id()).text());
  }

  private InboxPage page(InboxQuery query, List<InboxRow> rows, @Nullable String next) {
    List<InOrder> places = new ArrayList<>(rows.size());
    List<Seen> seen = new ArrayList<>();
    for (InboxRow row : rows) {
      long id = row.conversation().id();
      places.add(new InOrder(id, row.at()));
      if (row.seen() != null) {
        seen.add(new Seen(id, row.seen()));
      }
    }
    boolean ascending = query.order().column(query.group()).isAscending();
    return new InboxPage(views(rows), places, ascending, seen, next);
  }

  /**
   * Which of these conversations a list shows, in its order; so that a page which holds many
   * stretches need not read them all again after a change.
   *
   * @param ids at most {@link #LONGEST_PAGE}
   */
  public InboxPage among(InboxQuery query, List<ConversationId> ids) {
    ChoiceRow choice = choice(query).among(ids.stream().map(ConversationId::value).toList());
    return page(query, rows(query, choice, null, LONGEST_PAGE), null);
  }

  private List<InboxRow> rows(
      InboxQuery query, ChoiceRow choice, @Nullable Place after, int limit) {
    Stretch first = first(query, limit);
    Stretch whole = after == null ? first : first.after(after.at(), after.id());
    return depths.read(
        choice, whole, stretch -> InboxRow.together(lists.listRows(choice, stretch)));
  }

  private static Stretch first(InboxQuery query, int limit) {
    return Stretch.first(query.group(), query.order().column(query.group()), limit);
  }

  private ChoiceRow choice(InboxQuery query) {
    return choices.of(choices.standing(query.sentence()), sights.of(query.asking()));
  }

  private List<ConversationView> views(List<InboxRow> rows) {
    List<Conversation> conversations = new ArrayList<>(rows.size());
    Map<Long, Collection<Long>> topics = new HashMap<>();
    for (InboxRow row : rows) {
      conversations.add(row.conversation());
      topics.put(row.conversation().id(), row.topics());
    }
    return views.of(conversations, topics);
  }

  /** Those that a sentence means in a group, in its order; at most this number. */
  public List<ConversationId> ids(InboxQuery query, int limit) {
    return lists.listIds(choice(query), first(query, limit)).stream()
        .map(ConversationId::new)
        .toList();
  }

  /** The rows with these ids, in this order; what is missing or not seen is left out. */
  public List<ConversationView> list(List<ConversationId> ids, StaffId asking) {
    Sight sight = sights.of(asking);
    return byIds(ids.stream().map(ConversationId::value).toList()).stream()
        .filter(row -> sight.sees(row.spot()))
        .toList();
  }

  private List<ConversationView> byIds(List<Long> ids) {
    Map<Long, Conversation> rows =
        books.list(ids.stream().map(ConversationId::new).toList()).stream()
            .collect(Collectors.toMap(Conversation::id, Function.identity()));
    return views.of(ids.stream().map(rows::get).filter(Objects::nonNull).toList());
  }

  /**
   * Everyone who waits on us under these choices, what is due first comes first; at most {@link
   * #LONGEST_RIBBON}.
   */
  public List<ConversationView> ribbon(Sentence sentence, StaffId asking) {
    InboxQuery query = new InboxQuery(Group.OUR_TURN, ListOrder.TIME_LEFT, sentence, asking);
    return views(rows(query, choice(query), null, LONGEST_RIBBON));
  }

  /**
   * How many stand in each group. Where the sentence asks for words or time, no further than {@link
   * #MOST_COUNTED} are counted in each.
   */
  public InboxCounts counts(Sentence said, StaffId asking) {
    Sentence sentence = choices.standing(said);
    Sight sight = sights.of(asking);
    boolean exact = sentence.asksForFactsOnly();
    Map<Group, Integer> groups =
        exact ? counters.count(sentence, sight) : countRows(choices.of(sentence, sight));
    return new InboxCounts(
        groups.getOrDefault(Group.OUR_TURN, 0),
        groups.getOrDefault(Group.THEIR_TURN, 0),
        groups.getOrDefault(Group.SET_ASIDE, 0),
        groups.getOrDefault(Group.DONE, 0),
        open(TO_IDENTIFY, sight),
        open(NOT_DELIVERED, sight),
        exact ? 0 : MOST_COUNTED);
  }

  private int open(Sentence sentence, Sight sight) {
    Map<Group, Integer> groups = counters.count(sentence, sight);
    return groups.getOrDefault(Group.OUR_TURN, 0) + groups.getOrDefault(Group.THEIR_TURN, 0);
  }

  private Map<Group, Integer> countRows(ChoiceRow choice) {
    Map<Group, Integer> counts = new EnumMap<>(Group.class);
    for (Group group : Group.values()) {
      if (group != Group.BLANK) {
        counts.put(group, lists.countUpTo(group, choice, MOST_COUNTED));
      }
    }
    return counts;
  }

  /** The row, if there is one; for the program itself, which tells only those who see it. */
  public Optional<ConversationView> find(ConversationId id) {
    return books.find(id).map(row -> views.of(List.of(row)).get(0));
  }

  /** Conversations whose customer, number or details contain the words; the newest first. */
  public List<ConversationView> jump(String words, StaffId asking) {
    return words.isBlank()
        ? List.of()
        : views.of(
            lists.listMatching(
                LikePattern.containing(words),
                LikePattern.digits(words),
                SightColumns.of(sights.of(asking)),
                JUMPS));
  }
}
