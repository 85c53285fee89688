package fabulum.server.conversations;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import fabulum.core.conversation.Group;
import fabulum.core.phone.NumberReader;
import fabulum.core.phone.Region;
import fabulum.core.phone.Sender;
import fabulum.core.sentence.Sentence;
import fabulum.core.sentence.SentenceText;
import fabulum.server.conversations.store.ChoiceRow;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.conversations.store.ConversationRow;
import fabulum.server.conversations.store.DraftMapper;
import fabulum.server.conversations.store.EntryMapper;
import fabulum.server.conversations.store.EntryRow;
import fabulum.server.conversations.store.PlaceRow;
import fabulum.server.conversations.store.TopicRow;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.CustomerView;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.people.People;
import fabulum.server.people.StaffId;
import fabulum.server.people.StaffView;
import fabulum.server.platform.Problem;
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

/** Reading conversations: the list, the script, the dossier, and what one has begun to write. */
@Service
public class Inbox {
  /** The longest stretch that is given at once. */
  public static final int LONGEST_PAGE = 100;

  /** The most marks on the time ribbon. */
  public static final int LONGEST_RIBBON = 500;

  private static final int JUMPS = 8;

  /** How many numbers are remembered as people at home write them. */
  private static final int SHOWN_NUMBERS = 20_000;

  private static final Sentence TO_IDENTIFY = SentenceText.read("to identify");

  /** Beyond this, a count is only "so many and more". */
  public static final int MOST_COUNTED = 1_000;

  private final ConversationMapper conversations;
  private final EntryMapper entries;
  private final DraftMapper drafts;
  private final Customers customers;
  private final Lines lines;
  private final People people;
  private final Choices choices;
  private final Tally tally;
  private final Clock clock;
  private final NumberReader numbers = new NumberReader();
  private final LoadingCache<Shown, String> shownNumbers =
      Caffeine.newBuilder()
          .maximumSize(SHOWN_NUMBERS)
          .build(shown -> numbers.forPeople(shown.other(), shown.region()));

  Inbox(
      ConversationMapper conversations,
      EntryMapper entries,
      DraftMapper drafts,
      Customers customers,
      Lines lines,
      People people,
      Choices choices,
      Tally tally,
      Clock clock) {
    this.conversations = conversations;
    this.entries = entries;
    this.drafts = drafts;
    this.customers = customers;
    this.lines = lines;
    this.people = people;
    this.choices = choices;
    this.tally = tally;
    this.clock = clock;
  }

  private record Shown(Sender other, Region region) {}

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
        choices.of(choices.standing(query.sentence()), query.asking()),
        after == null ? null : after.at(),
        after == null ? null : after.id(),
        limit);
  }

  /** Those that a sentence means in a group, in its order; at most so many. */
  public List<ConversationId> ids(InboxQuery query, int limit) {
    return places(query, null, limit).stream().map(row -> new ConversationId(row.id())).toList();
  }

  private List<ConversationView> inOrder(List<PlaceRow> places) {
    return views(places.stream().map(PlaceRow::id).toList());
  }

  /** The rows with these ids, in this order; missing ones are left out. */
  public List<ConversationView> list(List<ConversationId> ids) {
    return views(ids.stream().map(ConversationId::value).toList());
  }

  private List<ConversationView> views(List<Long> ids) {
    if (ids.isEmpty()) {
      return List.of();
    }
    Map<Long, ConversationRow> rows =
        conversations.listByIds(ids).stream()
            .collect(Collectors.toMap(ConversationRow::id, Function.identity()));
    return viewsOf(ids.stream().map(rows::get).filter(Objects::nonNull).toList());
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
    Map<Group, Integer> open = tally.count(TO_IDENTIFY, asking);
    int toIdentify = open.getOrDefault(Group.OUR_TURN, 0) + open.getOrDefault(Group.THEIR_TURN, 0);
    boolean exact = sentence.asksForFactsOnly();
    Map<Group, Integer> groups =
        exact ? tally.count(sentence, asking) : countRows(choices.of(sentence, asking));
    return new InboxCounts(
        groups.getOrDefault(Group.OUR_TURN, 0),
        groups.getOrDefault(Group.THEIR_TURN, 0),
        groups.getOrDefault(Group.SET_ASIDE, 0),
        groups.getOrDefault(Group.DONE, 0),
        toIdentify,
        exact ? 0 : MOST_COUNTED);
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

  /** The row, if there is one. */
  public Optional<ConversationView> find(ConversationId id) {
    return conversations.find(id.value()).map(row -> viewsOf(List.of(row)).get(0));
  }

  /** The entries with these ids. */
  public List<EntryView> entries(List<EntryId> ids) {
    return ids.isEmpty()
        ? List.of()
        : entryViews(entries.listByIds(ids.stream().map(EntryId::value).toList()));
  }

  /** What one needs to know before answering. */
  public DossierView dossier(ConversationId id, StaffId asking) {
    ConversationRow row =
        conversations.find(id.value()).orElseThrow(() -> Problem.notFound("conversation"));
    NumberId number = new NumberId(row.numberId());
    CustomerView customer =
        row.customerId() == null
            ? null
            : customers.find(new CustomerId(row.customerId()), number).orElse(null);
    return new DossierView(
        viewsOf(List.of(row)).get(0),
        customer,
        customers.holderNames(number),
        drafts.list(asking.value(), row.id()));
  }

  /** A stretch of the script that ends before {@code before}, or at the newest entry. */
  public ScriptPage script(ConversationId id, @Nullable String before, int limit) {
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
    return new ScriptPage(entryViews(shown), earlier);
  }

  /** Conversations whose customer, number or details contain the words; the newest first. */
  public List<ConversationView> jump(String words) {
    String sought = words.strip();
    if (sought.isEmpty()) {
      return List.of();
    }
    String pattern = "%" + Choices.escaped(sought) + "%";
    return viewsOf(conversations.listMatching(pattern, Choices.digits(sought), JUMPS));
  }

  /** Keeps what somebody has begun to write; no words throw it away. */
  @Transactional
  public void keepDraft(ConversationId id, StaffId by, Paper paper, String words) {
    if (words.isBlank()) {
      drafts.delete(by.value(), id.value(), paper);
    } else if (conversations.find(id.value()).isPresent()) {
      drafts.keep(by.value(), id.value(), paper, words, clock.instant());
    } else {
      throw Problem.notFound("conversation");
    }
  }

  private List<ConversationView> viewsOf(List<ConversationRow> rows) {
    Map<Long, List<Long>> topics = topicsOf(rows);
    Map<Long, StaffView> staff = staffById();
    Map<Long, Region> regions =
        lines.list().stream()
            .collect(Collectors.toMap(line -> line.id(), line -> new Region(line.region())));
    return rows.stream()
        .map(row -> view(row, staff, regions, topics.getOrDefault(row.id(), List.of())))
        .toList();
  }

  private Map<Long, List<Long>> topicsOf(List<ConversationRow> rows) {
    return rows.isEmpty()
        ? Map.of()
        : conversations.listTopics(rows.stream().map(ConversationRow::id).toList()).stream()
            .collect(
                Collectors.groupingBy(
                    TopicRow::conversationId,
                    Collectors.mapping(TopicRow::topicId, Collectors.toList())));
  }

  private ConversationView view(
      ConversationRow row,
      Map<Long, StaffView> staff,
      Map<Long, Region> regions,
      List<Long> topics) {
    Sender other = Sender.ofAddress(row.address());
    Region region = regions.getOrDefault(row.lineId(), new Region("ZZ"));
    return new ConversationView(
        row.id(),
        row.version(),
        row.box(),
        row.since(),
        row.dueAt(),
        secondsLeft(row),
        row.lineId(),
        shownNumbers.get(new Shown(other, region)),
        row.address(),
        other.answerable().isPresent(),
        row.customerId(),
        row.customerName(),
        row.toIdentify(),
        row.ownerId() == null ? null : staff.get(row.ownerId()),
        row.lastAt(),
        row.lastWords(),
        row.lastSpeaker(),
        row.failed(),
        row.openedAt(),
        row.asideUntil(),
        row.back(),
        topics);
  }

  private @Nullable Long secondsLeft(ConversationRow row) {
    return row.dueAt() == null
        ? null
        : lines
            .promise(new LineId(row.lineId()))
            .timeLeft(row.dueAt(), clock.instant())
            .toSeconds();
  }

  private List<EntryView> entryViews(List<EntryRow> rows) {
    Map<Long, StaffView> staff = staffById();
    return rows.stream()
        .map(row ->
            new EntryView(
                row.id(),
                row.conversationId(),
                row.at(),
                row.kind(),
                row.words(),
                row.event(),
                row.speakerId() == null ? null : staff.get(row.speakerId()),
                row.automatic(),
                row.reference(),
                row.delivery(),
                row.failureCode(),
                row.failureReason(),
                row.parts(),
                row.workingSeconds()))
        .toList();
  }

  private Map<Long, StaffView> staffById() {
    return people.list().stream().collect(Collectors.toMap(StaffView::id, Function.identity()));
  }
}
