package fabulum.server.conversations;

import fabulum.core.conversation.Group;
import fabulum.core.phone.NumberReader;
import fabulum.core.phone.Region;
import fabulum.core.phone.Sender;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.conversations.store.ConversationRow;
import fabulum.server.conversations.store.DraftMapper;
import fabulum.server.conversations.store.EntryMapper;
import fabulum.server.conversations.store.EntryRow;
import fabulum.server.conversations.store.GroupCountRow;
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
import java.util.List;
import java.util.Map;
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
  private static final int SHORTEST_DIGITS = 3;

  private final ConversationMapper conversations;
  private final EntryMapper entries;
  private final DraftMapper drafts;
  private final Customers customers;
  private final Lines lines;
  private final People people;
  private final Clock clock;
  private final NumberReader numbers = new NumberReader();

  Inbox(
      ConversationMapper conversations,
      EntryMapper entries,
      DraftMapper drafts,
      Customers customers,
      Lines lines,
      People people,
      Clock clock) {
    this.conversations = conversations;
    this.entries = entries;
    this.drafts = drafts;
    this.customers = customers;
    this.lines = lines;
    this.people = people;
    this.clock = clock;
  }

  /** A stretch of the list: on our turn what is due first comes first, else the newest. */
  public InboxPage page(InboxQuery query, @Nullable String from, int limit) {
    Place place = from == null ? null : Place.read(from);
    List<ConversationRow> rows =
        conversations.list(
            query.group(),
            query.group() == Group.OUR_TURN,
            query.whose(),
            query.asking().value(),
            query.line().map(LineId::value).orElse(null),
            query.toIdentify(),
            place == null ? null : place.at(),
            place == null ? null : place.id(),
            limit + 1);
    boolean more = rows.size() > limit;
    List<ConversationRow> shown = more ? rows.subList(0, limit) : rows;
    String next = more ? placeOf(shown.get(limit - 1)).text() : null;
    return new InboxPage(views(shown), next);
  }

  private static Place placeOf(ConversationRow row) {
    return new Place(row.sortAt(), row.id());
  }

  /**
   * Everyone who waits on us under these choices, what is due first comes first; at most {@link
   * #LONGEST_RIBBON}.
   */
  public List<ConversationView> ribbon(InboxQuery query) {
    return views(
        conversations.list(
            Group.OUR_TURN,
            true,
            query.whose(),
            query.asking().value(),
            query.line().map(LineId::value).orElse(null),
            query.toIdentify(),
            null,
            null,
            LONGEST_RIBBON));
  }

  /** How many stand in each group, under the same choices as the list. */
  public InboxCounts counts(InboxQuery query) {
    Map<Group, Integer> groups =
        Map.copyOf(
            conversations
                .count(
                    query.whose(),
                    query.asking().value(),
                    query.line().map(LineId::value).orElse(null),
                    query.toIdentify())
                .stream()
                .collect(Collectors.toMap(GroupCountRow::box, GroupCountRow::conversations)));
    int toIdentify = conversations.countToIdentify();
    return new InboxCounts(
        groups.getOrDefault(Group.OUR_TURN, 0),
        groups.getOrDefault(Group.THEIR_TURN, 0),
        groups.getOrDefault(Group.DONE, 0),
        toIdentify);
  }

  /** The rows with these ids, in no promised order; missing ones are left out. */
  public Optional<ConversationView> find(ConversationId id) {
    return conversations.find(id.value()).map(row -> views(List.of(row)).get(0));
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
        views(List.of(row)).get(0),
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
    String digits = sought.replaceAll("\\D", "");
    String pattern = "%" + escaped(sought) + "%";
    String byDigits = digits.length() >= SHORTEST_DIGITS ? "%" + digits + "%" : null;
    return views(conversations.listMatching(pattern, byDigits, JUMPS));
  }

  private static String escaped(String words) {
    return words.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_");
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

  private List<ConversationView> views(List<ConversationRow> rows) {
    Map<Long, StaffView> staff = staffById();
    Map<Long, Region> regions =
        lines.list().stream()
            .collect(Collectors.toMap(line -> line.id(), line -> new Region(line.region())));
    return rows.stream().map(row -> view(row, staff, regions)).toList();
  }

  private ConversationView view(
      ConversationRow row, Map<Long, StaffView> staff, Map<Long, Region> regions) {
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
        numbers.forPeople(other, region),
        row.address(),
        other.answerable().isPresent(),
        row.customerId(),
        row.customerName(),
        row.toIdentify(),
        row.ownerId() == null ? null : staff.get(row.ownerId()),
        row.lastAt(),
        row.lastWords(),
        row.lastSpeaker(),
        row.failed());
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
                row.parts()))
        .toList();
  }

  private Map<Long, StaffView> staffById() {
    return people.list().stream().collect(Collectors.toMap(StaffView::id, Function.identity()));
  }
}
