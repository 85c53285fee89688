package fabulum.server.inbox;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import fabulum.core.conversation.Group;
import fabulum.core.hours.WorkingTime;
import fabulum.core.phone.NumberReader;
import fabulum.core.phone.Region;
import fabulum.core.phone.Sender;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.GroupMembers;
import fabulum.server.conversations.GroupMembers.Member;
import fabulum.server.inbox.DossierView.MyPart;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Conversations as rows of a list. */
@Component
class ConversationViews {
  /** How many numbers are remembered as people at home write them. */
  private static final int SHOWN_NUMBERS = 20_000;

  /** How many members of a group are named in its title. */
  private static final int MOST_NAMED = 3;

  private static final Region ANYWHERE = new Region("ZZ");

  private final Bookkeeping books;
  private final GroupMembers members;
  private final Members each;
  private final GuestViews guests;
  private final Lines lines;
  private final People people;
  private final Clock clock;
  private final NumberReader numbers = new NumberReader();
  private final LoadingCache<Address, Shown> shownNumbers =
      Caffeine.newBuilder().maximumSize(SHOWN_NUMBERS).build(this::shown);

  ConversationViews(
      Bookkeeping books,
      GroupMembers members,
      Members each,
      GuestViews guests,
      Lines lines,
      People people,
      Clock clock) {
    this.each = each;
    this.guests = guests;
    this.members = members;
    this.books = books;
    this.lines = lines;
    this.people = people;
    this.clock = clock;
  }

  private record Address(String text, Region region) {}

  /**
   * A number as people at home write it.
   *
   * @param answerable whether a text can go to it
   */
  private record Shown(String text, boolean answerable) {}

  private Shown shown(Address address) {
    Sender other = Sender.ofAddress(address.text());
    return new Shown(numbers.forPeople(other, address.region()), other.answerable().isPresent());
  }

  List<ConversationView> of(List<Conversation> rows) {
    return of(rows, books.topicsOf(rows.stream().map(Conversation::id).toList()));
  }

  List<ConversationView> of(List<Conversation> rows, Map<Long, ? extends Collection<Long>> topics) {
    Map<Long, List<Member>> groups =
        members.of(rows.stream().filter(Conversation::isGroup).map(Conversation::id).toList());
    Map<Long, StaffView> staff = people.byId();
    Map<Long, OfLine> known = new HashMap<>();
    Instant now = clock.instant();
    List<ConversationView> views = new ArrayList<>(rows.size());
    for (Conversation row : rows) {
      OfLine line = known.computeIfAbsent(row.lineId(), id -> ofLine(new LineId(id), now));
      List<Member> group = groups.getOrDefault(row.id(), List.of());
      Collection<Long> about = topics.get(row.id());
      views.add(
          view(
              row,
              staff,
              line,
              group,
              about == null ? List.of() : about.stream().sorted().toList()));
    }
    return views;
  }

  /**
   * What all rows of a line share.
   *
   * @param fromNow working time from now, which to a due time is what is left
   */
  private record OfLine(Region region, WorkingTime fromNow) {}

  private OfLine ofLine(LineId line, Instant now) {
    Region region =
        lines.list().stream()
            .filter(view -> view.id() == line.value())
            .findFirst()
            .map(view -> new Region(view.region()))
            .orElse(ANYWHERE);
    return new OfLine(region, lines.promise(line).hours().from(now));
  }

  private ConversationView view(
      Conversation row,
      Map<Long, StaffView> staff,
      OfLine line,
      List<Member> group,
      List<Long> topics) {
    Shown other = shownNumbers.get(new Address(row.address(), line.region()));
    return new ConversationView(
        row.id(),
        row.version(),
        row.apart() ? Group.BLANK : row.box(),
        row.since(),
        row.dueAt(),
        row.dueAt() == null ? null : line.fromNow().to(row.dueAt()).toSeconds(),
        row.lineId(),
        group.isEmpty() ? other.text() : title(group, line.region()),
        row.address(),
        Math.max(1, group.size()),
        other.answerable(),
        row.customerId(),
        row.customerName(),
        row.toIdentify(),
        row.apart(),
        row.ownerId() == null ? null : staff.get(row.ownerId()),
        row.teamId(),
        row.lastAt(),
        row.lastWords(),
        row.lastSpeaker(),
        row.failed(),
        row.failureReason(),
        row.openedAt(),
        row.asideUntil(),
        row.back(),
        topics);
  }

  /** Colleagues who were brought in. */
  List<GuestView> guests(Conversation row) {
    return guests.of(row);
  }

  /** The part of who was only brought in. */
  Optional<MyPart> partOf(Conversation row, StaffId who) {
    return guests.partOf(row, who);
  }

  /** Everybody on the other side of a group; nobody where there is one number. */
  List<MemberView> members(Conversation row) {
    return each.of(row);
  }

  /** The first names of a group, and how many there are besides. */
  private String title(List<Member> group, Region region) {
    int named = group.size() > MOST_NAMED ? MOST_NAMED - 1 : group.size() - 1;
    int others = group.size() - named;
    String first =
        group.stream()
            .limit(named)
            .map(one -> members.name(one, region))
            .collect(Collectors.joining(", "));
    return first
        + " and "
        + (others == 1 ? members.name(group.get(named), region) : others + " others");
  }
}
