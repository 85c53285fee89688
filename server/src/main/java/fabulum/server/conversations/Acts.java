package fabulum.server.conversations;

import fabulum.core.conversation.Back;
import fabulum.core.conversation.ConversationState;
import fabulum.core.hours.Openings;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.ActSteps.Doing;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.topics.TopicId;
import fabulum.server.topics.TopicView;
import fabulum.server.topics.Topics;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What people do with conversations, other than writing. Doing a thing twice does it once; what was
 * done comes back as a step that can be taken back, and nothing when it was so already.
 */
@Service
public class Acts {
  private final ActSteps steps;
  private final Spans spans;
  private final Bookkeeping books;
  private final Undelivered undelivered;
  private final InSight inSight;
  private final Lines lines;
  private final Topics topics;

  Acts(
      ActSteps steps,
      Spans spans,
      Bookkeeping books,
      Undelivered undelivered,
      InSight inSight,
      Lines lines,
      Topics topics) {
    this.steps = steps;
    this.spans = spans;
    this.books = books;
    this.undelivered = undelivered;
    this.inSight = inSight;
    this.lines = lines;
    this.topics = topics;
  }

  /**
   * Finishes it, and keeps how much working time passed since it was opened.
   *
   * @param shown what the page showed, refused when there is something new since; null to finish it
   *     whatever stands there
   */
  @Transactional
  public Optional<UndoStep> finish(ConversationId id, @Nullable Shown shown, StaffId by) {
    Conversation row = inSight.lockToPutAway(id, shown, by);
    Instant now = books.now();
    ConversationState after = row.state().finished(now);
    if (after.equals(row.state())) {
      return Optional.empty();
    }
    Doing doing = steps.doing(row, by);
    List<Long> touched = new ArrayList<>(undelivered.settleAll(row));
    books.save(row, after, now);
    EventKind kind = after.finishedUnanswered() ? EventKind.DONE_UNANSWERED : EventKind.DONE;
    long event = books.eventSinceOpened(row, kind, by, null);
    touched.add(event);
    books.setHanded(row, null);
    return Optional.of(steps.done(doing, kind, new EntryId(event), touched));
  }

  /** Opens it again. */
  @Transactional
  public Optional<UndoStep> reopen(ConversationId id, StaffId by) {
    Conversation row = inSight.lock(id, by);
    return stand(row, row.state().reopened(books.now()), EventKind.REOPENED, by, null);
  }

  /**
   * Puts it out of sight until a moment by its line's calendar, or until the customer writes.
   *
   * @param shown as for {@link #finish}
   */
  @Transactional
  public Optional<UndoStep> setAside(
      ConversationId id, Moment moment, @Nullable Shown shown, StaffId by) {
    Conversation row = inSight.lockToPutAway(id, shown, by);
    if (!row.state().isOpen()) {
      throw Problem.conflict(
          Problem.Kind.NOT_OPEN, "Only what is open can be set aside. Nothing was changed.");
    }
    Optional<Instant> until = moment.until(openings(row), books.now());
    String told = until.map(Instant::toString).orElse(null);
    return stand(row, row.state().setAside(until), EventKind.SET_ASIDE, by, told);
  }

  /** The moments its line's calendar gives now. */
  @Transactional(readOnly = true)
  public Moment.Offer moments(ConversationId id, StaffId asking) {
    Conversation row = inSight.row(id, asking);
    Openings openings = openings(row);
    Instant now = books.now();
    return new Moment.Offer(
        openings.laterToday(now).orElse(null),
        openings.tomorrow(now).orElse(null),
        openings.nextMonday(now).orElse(null),
        openings.hours().zone().getId());
  }

  /** What was understood of a time someone typed, by the clocks and hours of its line. */
  @Transactional(readOnly = true)
  public Moment.TypedTime readMoment(ConversationId id, String words, StaffId asking) {
    Conversation row = inSight.row(id, asking);
    return Moment.TypedTime.read(words, openings(row).hours(), books.now());
  }

  private Openings openings(Conversation row) {
    return new Openings(lines.promise(new LineId(row.lineId())).hours());
  }

  /** Takes up again what was set aside. */
  @Transactional
  public Optional<UndoStep> takeUp(ConversationId id, StaffId by) {
    Conversation row = inSight.lock(id, by);
    ConversationState after = row.state().takenUp();
    return stand(row, after, EventKind.BACK, by, Back.TAKEN_UP.name());
  }

  /**
   * What the customer wrote last needs no answer, and what was not delivered need not be sent
   * again.
   *
   * @param shown as for {@link #finish}
   */
  @Transactional
  public Optional<UndoStep> needsNoAnswer(ConversationId id, @Nullable Shown shown, StaffId by) {
    Conversation row = inSight.lockToPutAway(id, shown, by);
    ConversationState after = row.state().neededNoAnswer(books.now());
    if (after.equals(row.state())) {
      return Optional.empty();
    }
    Doing doing = steps.doing(row, by);
    List<Long> touched = new ArrayList<>(undelivered.settleAll(row));
    return Optional.of(stood(doing, after, EventKind.NO_ANSWER_NEEDED, touched));
  }

  /** Leaves a text of ours as it is, not delivered; nothing when someone has dealt with it. */
  @Transactional
  public Optional<UndoStep> leave(ConversationId id, EntryId text, StaffId by) {
    Conversation row = inSight.lock(id, by);
    Entry lost =
        books
            .findEntry(text.value())
            .filter(one -> one.conversationId() == row.id() && one.kind() == EntryKind.OUT)
            .orElseThrow(() -> Problem.notFound("text"));
    if (!lost.needsHand()) {
      return Optional.empty();
    }
    Doing doing = steps.doing(row, by);
    ConversationState after = undelivered.settle(row, lost.id());
    List<Long> touched = new ArrayList<>(List.of(lost.id()));
    return Optional.of(stood(doing, after, EventKind.LEFT_UNDELIVERED, touched));
  }

  private UndoStep stood(Doing doing, ConversationState after, EventKind kind, List<Long> touched) {
    books.save(doing.row(), after, books.now());
    long event = books.event(doing.row(), kind, doing.by(), null);
    touched.add(event);
    return steps.done(doing, kind, new EntryId(event), touched);
  }

  private Optional<UndoStep> stand(
      Conversation row,
      ConversationState after,
      EventKind kind,
      StaffId by,
      @Nullable String words) {
    if (after.equals(row.state())) {
      return Optional.empty();
    }
    Doing doing = steps.doing(row, by);
    books.save(row, after, books.now());
    long event = books.event(row, kind, by, words);
    return Optional.of(steps.done(doing, kind, new EntryId(event), List.of(event)));
  }

  /** Says what it is about. */
  @Transactional
  public Optional<UndoStep> addTopic(ConversationId id, TopicId topic, StaffId by) {
    Conversation row = inSight.lock(id, by);
    TopicView wanted = topics.find(topic).orElseThrow(() -> Problem.notFound("topic"));
    topicObjection(row.lineId(), wanted)
        .ifPresent(why -> {
          throw Problem.fields(List.of(new FieldProblem("topic", why)));
        });
    if (books.topicsOf(row.id()).contains(topic.value())) {
      return Optional.empty();
    }
    Doing doing = steps.doing(row, by);
    spans.addTopic(row.id(), topic.value());
    return Optional.of(topicDone(doing, EventKind.TOPIC_ADDED, wanted));
  }

  /** Why a topic cannot be given to what is on a line; empty when it can. */
  public Optional<String> topicObjection(long line, TopicView topic) {
    if (topic.retired()) {
      return Optional.of("The topic “" + topic.name() + "” is retired.");
    }
    boolean ours =
        lines.list().stream()
            .filter(view -> view.id() == line)
            .mapToLong(LineView::teamId)
            .anyMatch(team -> team == topic.teamId());
    return ours
        ? Optional.empty()
        : Optional.of("The topic “" + topic.name() + "” belongs to another team.");
  }

  /** It is not about that. */
  @Transactional
  public Optional<UndoStep> removeTopic(ConversationId id, TopicId topic, StaffId by) {
    Conversation row = inSight.lock(id, by);
    TopicView gone = topics.find(topic).orElseThrow(() -> Problem.notFound("topic"));
    Doing doing = steps.doing(row, by);
    return spans.removeTopic(row.id(), topic.value())
        ? Optional.of(topicDone(doing, EventKind.TOPIC_REMOVED, gone))
        : Optional.empty();
  }

  /** A topic may bring another promise with it. */
  private UndoStep topicDone(Doing doing, EventKind kind, TopicView topic) {
    Conversation row = doing.row();
    books.save(row, row.state(), books.now());
    long event = books.event(row, kind, doing.by(), topic.name());
    return steps.done(doing, kind, new EntryId(event), List.of(event));
  }

  /** What a page shows of a conversation now. */
  @Transactional(readOnly = true)
  public Shown shown(ConversationId id, StaffId asking) {
    return undelivered.shown(inSight.row(id, asking));
  }
}
