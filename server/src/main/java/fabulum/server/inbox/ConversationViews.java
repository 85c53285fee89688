package fabulum.server.inbox;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import fabulum.core.conversation.Group;
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
import fabulum.server.lines.LinePromise;
import fabulum.server.lines.Lines;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Conversations as rows of a list. */
@Component
class ConversationViews {
  /** How many numbers are remembered as people at home write them. */
  private static final int SHOWN_NUMBERS = 20_000;

  /** How many members of a group are named in its title. */
  private static final int MOST_NAMED = 3;

  private final Bookkeeping books;
  private final GroupMembers members;
  private final Members each;
  private final GuestViews guests;
  private final Lines lines;
  private final People people;
  private final Clock clock;
  private final NumberReader numbers = new NumberReader();
  private final LoadingCache<Shown, String> shownNumbers =
      Caffeine.newBuilder()
          .maximumSize(SHOWN_NUMBERS)
          .build(shown -> numbers.forPeople(shown.other(), shown.region()));

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

  private record Shown(Sender other, Region region) {}

  List<ConversationView> of(List<Conversation> rows) {
    Map<Long, Set<Long>> topics = books.topicsOf(rows.stream().map(Conversation::id).toList());
    Map<Long, StaffView> staff = people.byId();
    Map<Long, List<Member>> groups =
        members.of(rows.stream().filter(Conversation::isGroup).map(Conversation::id).toList());
    Map<Long, Region> regions =
        lines.list().stream()
            .collect(Collectors.toMap(line -> line.id(), line -> new Region(line.region())));
    Map<Long, LinePromise> promises =
        rows.stream()
            .map(Conversation::lineId)
            .distinct()
            .collect(Collectors.toMap(line -> line, line -> lines.promise(new LineId(line))));
    Instant now = clock.instant();
    return rows.stream()
        .map(row ->
            view(
                row,
                staff,
                regions,
                secondsLeft(row, promises, now),
                groups.getOrDefault(row.id(), List.of()),
                topics.getOrDefault(row.id(), Set.of()).stream().sorted().toList()))
        .toList();
  }

  private ConversationView view(
      Conversation row,
      Map<Long, StaffView> staff,
      Map<Long, Region> regions,
      @Nullable Long secondsLeft,
      List<Member> group,
      List<Long> topics) {
    Sender other = Sender.ofAddress(row.address());
    Region region = regions.getOrDefault(row.lineId(), new Region("ZZ"));
    return new ConversationView(
        row.id(),
        row.version(),
        row.apart() ? Group.BLANK : row.box(),
        row.since(),
        row.dueAt(),
        secondsLeft,
        row.lineId(),
        group.isEmpty() ? shownNumbers.get(new Shown(other, region)) : title(group, region),
        row.address(),
        Math.max(1, group.size()),
        other.answerable().isPresent(),
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

  private static @Nullable Long secondsLeft(
      Conversation row, Map<Long, LinePromise> promises, Instant now) {
    LinePromise promise = promises.get(row.lineId());
    return row.dueAt() == null || promise == null
        ? null
        : promise.timeLeft(row.dueAt(), now).toSeconds();
  }
}
