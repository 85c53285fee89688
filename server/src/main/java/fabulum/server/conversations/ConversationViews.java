package fabulum.server.conversations;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import fabulum.core.phone.NumberReader;
import fabulum.core.phone.Region;
import fabulum.core.phone.Sender;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.conversations.store.ConversationRow;
import fabulum.server.conversations.store.TopicRow;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Conversations as rows of a list. */
@Component
class ConversationViews {
  /** How many numbers are remembered as people at home write them. */
  private static final int SHOWN_NUMBERS = 20_000;

  private final ConversationMapper conversations;
  private final Lines lines;
  private final People people;
  private final Clock clock;
  private final NumberReader numbers = new NumberReader();
  private final LoadingCache<Shown, String> shownNumbers =
      Caffeine.newBuilder()
          .maximumSize(SHOWN_NUMBERS)
          .build(shown -> numbers.forPeople(shown.other(), shown.region()));

  ConversationViews(ConversationMapper conversations, Lines lines, People people, Clock clock) {
    this.conversations = conversations;
    this.lines = lines;
    this.people = people;
    this.clock = clock;
  }

  private record Shown(Sender other, Region region) {}

  List<ConversationView> of(List<ConversationRow> rows) {
    Map<Long, List<Long>> topics = topicsOf(rows);
    Map<Long, StaffView> staff = people.byId();
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

  private @Nullable Long secondsLeft(ConversationRow row) {
    return row.dueAt() == null
        ? null
        : lines
            .promise(new LineId(row.lineId()))
            .timeLeft(row.dueAt(), clock.instant())
            .toSeconds();
  }
}
