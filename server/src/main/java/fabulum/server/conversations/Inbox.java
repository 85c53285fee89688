package fabulum.server.conversations;

import fabulum.core.access.Act;
import fabulum.core.access.Sight;
import fabulum.core.conversation.Group;
import fabulum.core.sentence.Sentence;
import fabulum.core.sentence.SentenceText;
import fabulum.server.conversations.store.ChoiceRow;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.conversations.store.ConversationRow;
import fabulum.server.conversations.store.DraftMapper;
import fabulum.server.conversations.store.EntryMapper;
import fabulum.server.conversations.store.EntryRow;
import fabulum.server.conversations.store.PlaceRow;
import fabulum.server.conversations.store.SightRow;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.CustomerView;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.Sights;
import fabulum.server.people.Permits;
import fabulum.server.people.StaffId;
import fabulum.server.platform.LikePattern;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Reading conversations: the list, the script, the dossier, and what one has begun to write.
 * Whoever asks is told of what they see and of nothing else.
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

  private final ConversationMapper conversations;
  private final EntryMapper entries;
  private final DraftMapper drafts;
  private final Customers customers;
  private final ConversationViews views;
  private final EntryViews entryViews;
  private final Summaries summaries;
  private final Undelivered undelivered;
  private final Choices choices;
  private final Tally tally;
  private final Watchers watchers;
  private final InSight inSight;
  private final Sights sights;
  private final Permits permits;
  private final Clock clock;

  Inbox(
      ConversationMapper conversations,
      EntryMapper entries,
      DraftMapper drafts,
      Customers customers,
      ConversationViews views,
      EntryViews entryViews,
      Summaries summaries,
      Undelivered undelivered,
      Choices choices,
      Tally tally,
      Watchers watchers,
      InSight inSight,
      Sights sights,
      Permits permits,
      Clock clock) {
    this.conversations = conversations;
    this.entries = entries;
    this.drafts = drafts;
    this.customers = customers;
    this.views = views;
    this.entryViews = entryViews;
    this.summaries = summaries;
    this.undelivered = undelivered;
    this.choices = choices;
    this.tally = tally;
    this.watchers = watchers;
    this.inSight = inSight;
    this.sights = sights;
    this.permits = permits;
    this.clock = clock;
  }

  /** A stretch of the list. */
  public InboxPage page(InboxQuery query, @Nullable String from, int limit) {
    Place place = from == null ? null : Place.read(from);
    List<PlaceRow> rows = places(query, place, limit + 1);
    boolean more = rows.size() > limit;
    List<PlaceRow> shown = more ? rows.subList(0, limit) : rows;
    PlaceRow last = more ? shown.get(limit - 1) : null;
    String next = last == null ? null : new Place(last.at(), last.id()).text();
    return new InboxPage(inOrder(shown), next);
  }

  private List<PlaceRow> places(InboxQuery query, @Nullable Place after, int limit) {
    return conversations.list(
        query.group(),
        query.order().column(query.group()),
        choices.of(choices.standing(query.sentence()), sights.of(query.asking())),
        after == null ? null : after.at(),
        after == null ? null : after.id(),
        limit);
  }

  /** Those that a sentence means in a group, in its order; at most so many. */
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
    if (ids.isEmpty()) {
      return List.of();
    }
    Map<Long, ConversationRow> rows =
        conversations.listByIds(ids).stream()
            .collect(Collectors.toMap(ConversationRow::id, Function.identity()));
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
        exact ? tally.count(sentence, sight) : countRows(choices.of(sentence, sight));
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
    Map<Group, Integer> groups = tally.count(sentence, sight);
    return groups.getOrDefault(Group.OUR_TURN, 0) + groups.getOrDefault(Group.THEIR_TURN, 0);
  }

  private Map<Group, Integer> countRows(ChoiceRow choice) {
    Map<Group, Integer> counts = new EnumMap<>(Group.class);
    for (Group group : Group.values()) {
      if (group != Group.BLANK) {
        counts.put(group, conversations.countUpTo(group, choice, MOST_COUNTED));
      }
    }
    return counts;
  }

  /** The row, if there is one; for the program itself, which tells only those who see it. */
  public Optional<ConversationView> find(ConversationId id) {
    return conversations.find(id.value()).map(row -> views.of(List.of(row)).get(0));
  }

  /** The entries with these ids; for the program itself, which tells only those who see them. */
  public List<EntryView> entries(List<EntryId> ids) {
    return ids.isEmpty()
        ? List.of()
        : entryViews.of(entries.listByIds(ids.stream().map(EntryId::value).toList()));
  }

  /** What one needs to know before answering. */
  public DossierView dossier(ConversationId id, StaffId asking) {
    ConversationRow row = inSight.row(id, asking);
    NumberId number = new NumberId(row.numberId());
    CustomerView customer =
        row.customerId() == null
            ? null
            : customers.find(new CustomerId(row.customerId()), number).orElse(null);
    boolean leads = permits.of(asking).may(Act.LEAD);
    Shown shown = undelivered.shown(row);
    return new DossierView(
        views.of(List.of(row)).get(0),
        customer,
        customers.holderNames(number),
        drafts.list(asking.value(), row.id()),
        leads ? drafts.listLeft(row.id()) : List.of(),
        summaries.of(row),
        shown.newest(),
        shown.lost(),
        watchers.at(id).watchers());
  }

  /** A stretch of the script that ends before {@code before}, or at the newest entry. */
  public ScriptPage script(ConversationId id, @Nullable String before, int limit, StaffId asking) {
    inSight.row(id, asking);
    Place place = before == null ? null : Place.read(before);
    List<EntryRow> rows =
        entries.listNewest(
            id.value(),
            place == null ? null : place.at(),
            place == null ? null : place.id(),
            limit + 1);
    boolean more = rows.size() > limit;
    List<EntryRow> shown = new ArrayList<>(more ? rows.subList(0, limit) : rows);
    Collections.reverse(shown);
    String earlier = more ? new Place(shown.get(0).at(), shown.get(0).id()).text() : null;
    return new ScriptPage(entryViews.of(shown), earlier);
  }

  /** Conversations whose customer, number or details contain the words; the newest first. */
  public List<ConversationView> jump(String words, StaffId asking) {
    return words.isBlank()
        ? List.of()
        : views.of(
            conversations.listMatching(
                LikePattern.containing(words),
                LikePattern.digits(words),
                SightRow.of(sights.of(asking)),
                JUMPS));
  }

  /** Who is at which conversation, of those that one sees. */
  public List<Watchers.Watched> watched(StaffId asking) {
    return list(watchers.watched(), asking).stream()
        .map(row -> watchers.at(new ConversationId(row.id())))
        .toList();
  }

  /**
   * Words begun and not yet sent.
   *
   * @param seen the newest entry that stood there when they were begun
   * @param reference under which they will be sent
   * @param again the text that was not delivered and that they replace
   */
  public record Draft(
      Paper paper,
      String words,
      @Nullable Long seen,
      @Nullable String reference,
      @Nullable Long again) {}

  /** Keeps what somebody has begun to write; no words throw it away. */
  @Transactional
  public void keepDraft(ConversationId id, Draft draft, StaffId by) {
    inSight.row(id, by);
    permits.require(by, Act.WORK);
    if (draft.words().isBlank()) {
      drafts.delete(by.value(), id.value(), draft.paper());
    } else {
      drafts.keep(by.value(), id.value(), draft, clock.instant());
    }
  }
}
