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
import fabulum.server.inbox.store.PlaceRow;
import fabulum.server.inbox.store.SortRow;
import fabulum.server.lines.Sights;
import fabulum.server.platform.LikePattern;
import java.util.EnumMap;
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

  /** Beyond this, a count is only "so many and more". */
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
    List<PlaceRow> rows = places(query, place, limit + 1);
    boolean more = rows.size() > limit;
    List<PlaceRow> shown = more ? rows.subList(0, limit) : rows;
    PlaceRow last = more ? shown.get(limit - 1) : null;
    String next = last == null ? null : new Place(last.at(), last.id()).text();
    return page(query, shown, next);
  }

  private InboxPage page(InboxQuery query, List<PlaceRow> shown, @Nullable String next) {
    List<Long> ids = shown.stream().map(PlaceRow::id).toList();
    List<Seen> seen = ids.isEmpty() ? List.of() : lists.listSeen(query.asking().value(), ids);
    return new InboxPage(
        inOrder(shown),
        shown.stream().map(place -> new InOrder(place.id(), place.at())).toList(),
        query.order().column(query.group()).isAscending(),
        seen,
        next);
  }

  /**
   * Which of these conversations a list shows, in its order; so that a page which holds many
   * stretches need not read them all again after a change.
   *
   * @param ids at most {@link #LONGEST_PAGE}
   */
  public InboxPage among(InboxQuery query, List<ConversationId> ids) {
    Sight sight = sights.of(query.asking());
    ChoiceRow choice =
        choices
            .of(choices.standing(query.sentence()), sight)
            .among(ids.stream().map(ConversationId::value).toList());
    SortRow order = query.order().column(query.group());
    return page(query, lists.list(query.group(), order, choice, null, null, LONGEST_PAGE), null);
  }

  private List<PlaceRow> places(InboxQuery query, @Nullable Place after, int limit) {
    return lists.list(
        query.group(),
        query.order().column(query.group()),
        choices.of(choices.standing(query.sentence()), sights.of(query.asking())),
        after == null ? null : after.at(),
        after == null ? null : after.id(),
        limit);
  }

  /** Those that a sentence means in a group, in its order; at most this number. */
  public List<ConversationId> ids(InboxQuery query, int limit) {
    return places(query, null, limit).stream().map(row -> new ConversationId(row.id())).toList();
  }

  private List<ConversationView> inOrder(List<PlaceRow> places) {
    return byIds(places.stream().map(PlaceRow::id).toList());
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
    return inOrder(
        places(
            new InboxQuery(Group.OUR_TURN, ListOrder.TIME_LEFT, sentence, asking),
            null,
            LONGEST_RIBBON));
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
