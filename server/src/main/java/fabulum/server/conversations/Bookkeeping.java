package fabulum.server.conversations;

import fabulum.core.conversation.ConversationState;
import fabulum.core.promise.Promise;
import fabulum.server.conversations.UndoStep.Snapshot;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.conversations.store.ConversationRow;
import fabulum.server.conversations.store.EntryMapper;
import fabulum.server.conversations.store.EntryRow;
import fabulum.server.conversations.store.StandingRow;
import fabulum.server.conversations.store.TopicRow;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LinePromise;
import fabulum.server.lines.Lines;
import fabulum.server.people.StaffId;
import fabulum.server.platform.Problem;
import fabulum.server.topics.Topics;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/**
 * Reads and writes one conversation as a whole: how it stands, when it is due, its place in the
 * lists. To be used within a transaction.
 */
@Component
class Bookkeeping {
  private final ConversationMapper conversations;
  private final EntryMapper entries;
  private final Lines lines;
  private final Topics topics;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Bookkeeping(
      ConversationMapper conversations,
      EntryMapper entries,
      Lines lines,
      Topics topics,
      ApplicationEventPublisher events,
      Clock clock) {
    this.conversations = conversations;
    this.entries = entries;
    this.lines = lines;
    this.topics = topics;
    this.events = events;
    this.clock = clock;
  }

  Instant now() {
    return clock.instant();
  }

  ConversationRow row(ConversationId id) {
    return conversations.find(id.value()).orElseThrow(() -> Problem.notFound("conversation"));
  }

  /**
   * Holds the row first and reads it then: read in one go, it could be as it was before the wait.
   */
  ConversationRow lock(ConversationId id) {
    return conversations
        .lock(id.value())
        .flatMap(conversations::find)
        .orElseThrow(() -> Problem.notFound("conversation"));
  }

  /** The customer's name, else the number. */
  String name(ConversationId id) {
    ConversationRow row = row(id);
    return row.customerName() == null ? row.address() : row.customerName();
  }

  Set<Long> topicsOf(long conversation) {
    return conversations.listTopics(List.of(conversation)).stream()
        .map(TopicRow::topicId)
        .collect(Collectors.toCollection(TreeSet::new));
  }

  Map<Long, Set<Long>> topicsOfAll() {
    return TopicRow.byConversation(conversations.listAllTopics());
  }

  /** Stores how it stands now; what opens by it has been open since then. */
  void save(ConversationRow row, ConversationState after, Instant at) {
    boolean opens = after.isOpen() && !row.state().isOpen();
    save(row, after, opens ? at : row.openedAt(), topicsOf(row.id()));
  }

  void saveAsOpenedAt(ConversationRow row, ConversationState after, Instant openedAt) {
    save(row, after, openedAt, topicsOf(row.id()));
  }

  private void save(
      ConversationRow row, ConversationState after, Instant openedAt, Set<Long> topicIds) {
    Instant due = due(new LineId(row.lineId()), after, topicIds);
    conversations.setStanding(row.id(), StandingRow.of(after, openedAt, due));
  }

  StandingRow firstStanding(LineId line, ConversationState state) {
    return StandingRow.of(state, state.since(), due(line, state, Set.of()));
  }

  /** When an answer is due: by the shortest promise of the topics, else by the line's. */
  @Nullable Instant due(LineId line, ConversationState state, Set<Long> topicIds) {
    LinePromise ofLine = lines.promise(line);
    Promise promise = topics.shortest(topicIds).orElse(ofLine.promise());
    return state.waitingSince().flatMap(since -> promise.due(since, ofLine.hours())).orElse(null);
  }

  /** Working seconds on the line from one instant to another; 0 when the second comes first. */
  long workingSeconds(ConversationRow row, Instant from, Instant to) {
    return to.isBefore(from)
        ? 0
        : lines.promise(new LineId(row.lineId())).hours().between(from, to).toSeconds();
  }

  /** Writes an event into the script. */
  long event(ConversationRow row, EventKind kind, @Nullable StaffId by, @Nullable String words) {
    return entries.insert(
        EntryRow.event(row.id(), now(), kind, by == null ? null : by.value(), words, null));
  }

  Snapshot snapshot(ConversationRow row) {
    return new Snapshot(
        row.state(),
        row.openedAt(),
        row.ownerId(),
        row.teamId(),
        row.handedEntry(),
        row.startedBy(),
        topicsOf(row.id()),
        undelivered(row));
  }

  private Set<Long> undelivered(ConversationRow row) {
    return row.failed()
        ? entries.listNeedingHand(row.id()).stream().map(EntryRow::id).collect(Collectors.toSet())
        : Set.of();
  }

  /** The step an act was, told to everybody. */
  UndoStep done(
      ConversationRow row, EventKind kind, EntryId event, Snapshot before, List<Long> touched) {
    ConversationId id = new ConversationId(row.id());
    Snapshot after = snapshot(row(id));
    changed(row.id(), touched);
    return new UndoStep(id, kind, event, before, after);
  }

  void changed(long conversation, List<Long> touched) {
    conversations.nextVersion(conversation);
    events.publishEvent(ConversationChanged.of(conversation, touched));
  }
}
