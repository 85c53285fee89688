package fabulum.server.conversations;

import fabulum.core.access.Spot;
import fabulum.core.attachment.FileKind;
import fabulum.core.conversation.ConversationState;
import fabulum.core.promise.Promise;
import fabulum.server.access.Guest;
import fabulum.server.access.Guests;
import fabulum.server.access.StaffId;
import fabulum.server.attachments.Attachment;
import fabulum.server.attachments.Attachments;
import fabulum.server.conversations.changes.ConversationChanged;
import fabulum.server.conversations.changes.GuestLeft;
import fabulum.server.conversations.changes.SightChanged;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.conversations.store.EntryMapper;
import fabulum.server.conversations.store.StandingRow;
import fabulum.server.conversations.store.TopicRow;
import fabulum.server.customers.NumberId;
import fabulum.server.feed.Change;
import fabulum.server.feed.ChangeFeed;
import fabulum.server.lines.LineId;
import fabulum.server.platform.Problem;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
public class Bookkeeping {
  private final ConversationMapper conversations;
  private final EntryMapper entries;
  private final Spans spans;
  private final ReplyTimes times;
  private final ChangeFeed feed;
  private final ApplicationEventPublisher events;
  private final Clock clock;
  private final Attachments attachments;
  private final Guests guests;

  Bookkeeping(
      ConversationMapper conversations,
      EntryMapper entries,
      Spans spans,
      ReplyTimes times,
      ChangeFeed feed,
      ApplicationEventPublisher events,
      Clock clock,
      Attachments attachments,
      Guests guests) {
    this.guests = guests;
    this.attachments = attachments;
    this.conversations = conversations;
    this.entries = entries;
    this.spans = spans;
    this.times = times;
    this.feed = feed;
    this.events = events;
    this.clock = clock;
  }

  /** Now. */
  public Instant now() {
    return clock.instant();
  }

  /** The conversation, if there is one. */
  public Optional<Conversation> find(ConversationId id) {
    return conversations.find(id.value());
  }

  /** The conversation. */
  public Conversation row(ConversationId id) {
    return conversations.find(id.value()).orElseThrow(() -> Problem.notFound("conversation"));
  }

  /** Those there are, in no promised order. */
  public List<Conversation> list(List<ConversationId> ids) {
    return ids.isEmpty()
        ? List.of()
        : conversations.listByIds(ids.stream().map(ConversationId::value).toList());
  }

  /** Entries, in the order of their time. */
  public List<Entry> listEntries(List<EntryId> ids) {
    return ids.isEmpty() ? List.of() : entries.listByIds(ids.stream().map(EntryId::value).toList());
  }

  /** How many entries of a script stand at a place or after it. */
  public int countSince(ConversationId id, Instant at, long entry) {
    return entries.countSince(id.value(), at, entry);
  }

  /** The newest entries of a script before a place, the newest first. */
  public List<Entry> listNewest(
      ConversationId id, @Nullable Instant beforeAt, @Nullable Long beforeId, int limit) {
    return entries.listNewest(id.value(), beforeAt, beforeId, limit);
  }

  /**
   * Holds the row first and reads it then: read in one go, it could be as it was before the wait.
   */
  public Conversation lock(ConversationId id) {
    return conversations
        .lock(id.value())
        .flatMap(conversations::find)
        .orElseThrow(() -> Problem.notFound("conversation"));
  }

  /** The customer's name, else the number. */
  public String name(ConversationId id) {
    Conversation row = row(id);
    return row.customerName() == null ? row.address() : row.customerName();
  }

  /** What it is about. */
  public Set<Long> topicsOf(long conversation) {
    return conversations.listTopics(List.of(conversation)).stream()
        .map(TopicRow::topicId)
        .collect(Collectors.toCollection(TreeSet::new));
  }

  /** What conversations are about, of those that are about something. */
  public Map<Long, Set<Long>> topicsOfAll() {
    return TopicRow.byConversation(conversations.listAllTopics());
  }

  /** What these are about, by conversation; those that are about nothing are left out. */
  public Map<Long, Set<Long>> topicsOf(List<Long> ids) {
    return ids.isEmpty() ? Map.of() : TopicRow.byConversation(conversations.listTopics(ids));
  }

  /** Stores how it stands now; what opens by it has been open since then. */
  public void save(Conversation row, ConversationState after, Instant at) {
    boolean opens = after.isOpen() && !row.state().isOpen();
    spans.keepWait(row, after, at);
    save(row, after, opens ? at : row.openedAt(), topicsOf(row.id()));
  }

  void saveAsOpenedAt(Conversation row, ConversationState after, Instant openedAt) {
    spans.keepWait(row, after, now());
    save(row, after, openedAt, topicsOf(row.id()));
  }

  private void save(
      Conversation row, ConversationState after, Instant openedAt, Set<Long> topicIds) {
    Instant due = times.due(new LineId(row.lineId()), after, topicIds);
    conversations.setStanding(row.id(), StandingRow.of(after, openedAt, due));
    if (row.state().isOpen() && !after.isOpen()) {
      letOut(row);
    }
  }

  /** Who was brought in is in it until it is done. */
  private void letOut(Conversation row) {
    for (Guest guest : guests.in(row.id())) {
      StaffId who = new StaffId(guest.staff());
      guests.remove(row.id(), who);
      events.publishEvent(new GuestLeft(new ConversationId(row.id()), who));
    }
  }

  StandingRow firstStanding(LineId line, ConversationState state) {
    return StandingRow.of(state, state.since(), times.due(line, state, Set.of()));
  }

  /** The promise that holds for an answer in it now. */
  public Promise promise(Conversation row) {
    return times.promise(new LineId(row.lineId()), topicsOf(row.id()));
  }

  /** Working seconds on the line from one instant to another; 0 when the second comes first. */
  public long workingSeconds(Conversation row, Instant from, Instant to) {
    return times.workingSeconds(new LineId(row.lineId()), from, to);
  }

  /** Writes an event into the script. */
  public long event(
      Conversation row, EventKind kind, @Nullable StaffId by, @Nullable String words) {
    return entries.insert(
        Entry.event(row.id(), now(), kind, by == null ? null : by.value(), words, null));
  }

  /** Writes an event into the script, and the working time since the conversation was opened. */
  public long eventSinceOpened(
      Conversation row, EventKind kind, StaffId by, @Nullable String words) {
    long took = workingSeconds(row, row.openedAt(), now());
    return entries.insert(Entry.event(row.id(), now(), kind, by.value(), words, took));
  }

  /** Writes an event about one of several numbers into the script. */
  public long eventOf(Conversation row, EventKind kind, NumberId number) {
    return entries.insert(Entry.eventOf(row.id(), now(), kind, number));
  }

  /** An act was taken back: the working time that it ended counts no more. */
  public void setUndone(EntryId event) {
    entries.setUndone(event.value());
  }

  /** That a person said who writes was taken back: the last such event counts no more. */
  public List<Long> undoIdentified(Conversation row) {
    Long event = entries.findIdentified(row.id());
    if (event == null) {
      return List.of();
    }
    entries.setUndone(event);
    return List.of(event);
  }

  /** Adds an entry to the script it names; the answer is its id. */
  public long append(Entry entry) {
    return entries.insert(entry);
  }

  /**
   * Adds a text of ours to a script.
   *
   * @param to the numbers of a group to which it waits to go; not needed for one number
   */
  public long appendText(Conversation row, Entry text, List<NumberId> to) {
    long id = entries.insert(text);
    if (row.isGroup() && !to.isEmpty()) {
      entries.insertDeliveries(id, row.id(), to.stream().map(NumberId::value).toList());
    }
    return id;
  }

  /** A text of ours that has not left is not there any more; that it was taken back is. */
  public void takeBack(Conversation row, Entry text) {
    attachments.takeBack(text.id());
    entries.takeBack(text.id());
    entries.deleteDeliveries(text.id());
    entries
        .findLastSaid(row.id())
        .ifPresentOrElse(
            last ->
                setLast(
                    row,
                    last.at(),
                    said(last.words() == null ? "" : last.words(), last.id()),
                    last.kind() == EntryKind.IN ? SpokeLast.CUSTOMER : SpokeLast.US),
            () -> setLast(row, text.at(), "", SpokeLast.US));
  }

  /** What stands for a text in a list: its words, else what goes or came with it. */
  public String said(String words, long text) {
    return words.isBlank()
        ? FileKind.said(attachments.rowsOf(List.of(text)).stream().map(Attachment::kind).toList())
        : words;
  }

  /** A text of ours that never left costs nothing. */
  public void costsNothing(EntryId text) {
    entries.clearCost(text.value());
  }

  /** An entry, if there is one. */
  public Optional<Entry> findEntry(long id) {
    return Optional.ofNullable(entries.find(id));
  }

  /** The entry with a reference, if there is one. */
  public Optional<Entry> findByReference(String reference) {
    return Optional.ofNullable(entries.findByReference(reference));
  }

  /** Gives a conversation another owner, or none. */
  public void setOwner(Conversation row, @Nullable Long owner) {
    conversations.setOwner(row.id(), owner);
  }

  /** Puts a conversation into the hands of a team, or back into those of its line's. */
  public void setTeam(Conversation row, @Nullable Long team) {
    conversations.setTeam(row.id(), team);
  }

  /** Keeps the event of the last handing over that nobody has acted on; null for none. */
  public void setHanded(Conversation row, @Nullable Long entry) {
    conversations.setHanded(row.id(), entry);
  }

  /** Keeps who wrote first since it was opened; null for the customer. */
  public void setStartedBy(Conversation row, @Nullable Long staff) {
    conversations.setStartedBy(row.id(), staff);
  }

  /** Keeps what was said last. */
  public void setLast(Conversation row, Instant at, String words, SpokeLast by) {
    conversations.setLast(row.id(), at, Conversation.beginning(words), by);
  }

  /** Raises the version and tells the program, in this transaction and after it. */
  public void changed(long conversation, List<Long> touched) {
    tell(conversation, ConversationChanged.of(conversation, touched));
  }

  /** The same where any entry of the script may have been added, changed or taken out. */
  public void scriptChanged(long conversation) {
    tell(conversation, ConversationChanged.wholeScript(conversation));
  }

  private void tell(long conversation, ConversationChanged change) {
    conversations.nextVersion(conversation);
    long version = conversations.getVersion(conversation);
    feed.append(Change.Kind.CONVERSATION, conversation, version, change.detail());
    events.publishEvent(change);
  }

  /** Tells that others may see the conversation now, in this transaction and after it. */
  public void sightChanged(ConversationId id, Spot before) {
    SightChanged change = new SightChanged(id, before);
    feed.append(Change.Kind.SIGHT, id.value(), 0, change.detail());
    events.publishEvent(change);
  }
}
