package fabulum.server.several;

import fabulum.core.access.Act;
import fabulum.core.sending.Author;
import fabulum.core.sending.SendDecision;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Acts;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Moment;
import fabulum.server.conversations.Said;
import fabulum.server.conversations.Shown;
import fabulum.server.conversations.UndoStep;
import fabulum.server.inbox.ConversationView;
import fabulum.server.inbox.Inbox;
import fabulum.server.inbox.InboxQuery;
import fabulum.server.messaging.Deliveries;
import fabulum.server.messaging.Messaging;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.several.store.BatchMapper;
import fabulum.server.several.store.BatchRow;
import fabulum.server.several.store.ItemRow;
import fabulum.server.several.store.PendingRow;
import fabulum.server.topics.TopicId;
import fabulum.server.undo.Undo;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * One act on several conversations. What is to be done is written down first, then done one
 * conversation at a time, each with its tick in one transaction; a restart goes on where it
 * stopped, and nobody gets a text twice.
 */
@Service
public class Several {
  /** The most that can be chosen at once. */
  public static final int MOST = 5_000;

  private static final Logger log = LoggerFactory.getLogger(Several.class);

  private final BatchMapper batches;
  private final BatchCheck check;
  private final SeveralDraft draft;
  private final Inbox inbox;
  private final Acts acts;
  private final Messaging messaging;
  private final Deliveries deliveries;
  private final Undo undo;
  private final Permits permits;
  private final TransactionTemplate transactions;
  private final Clock clock;
  private final ExecutorService worker = Executors.newSingleThreadExecutor(Several::daemon);

  Several(
      BatchMapper batches,
      BatchCheck check,
      SeveralDraft draft,
      Inbox inbox,
      Acts acts,
      Messaging messaging,
      Deliveries deliveries,
      Undo undo,
      Permits permits,
      TransactionTemplate transactions,
      Clock clock) {
    this.batches = batches;
    this.check = check;
    this.draft = draft;
    this.inbox = inbox;
    this.acts = acts;
    this.messaging = messaging;
    this.deliveries = deliveries;
    this.undo = undo;
    this.permits = permits;
    this.transactions = transactions;
    this.clock = clock;
  }

  private static Thread daemon(Runnable work) {
    Thread thread = new Thread(work, "several");
    thread.setDaemon(true);
    return thread;
  }

  private List<ConversationView> chosen(Selection selection, StaffId by) {
    InboxQuery all = selection.all();
    List<ConversationId> ids = all == null ? selection.ids() : inbox.ids(all, MOST + 1);
    if (ids.size() > MOST) {
      throw bad(
          "ids", "At most 5,000 can be selected at once. Add a condition to the sentence first.");
    }
    if (ids.isEmpty()) {
      throw bad("ids", "Nothing is selected.");
    }
    return inbox.list(ids.stream().distinct().toList(), by);
  }

  private static Problem bad(String field, String why) {
    return Problem.fields(List.of(new FieldProblem(field, why)));
  }

  private void requirePermit(BatchAct act, StaffId by) {
    permits.require(by, act.what() == BatchAct.What.TEXT ? Act.SEND_TO_MANY : Act.WORK);
  }

  /** What an act would come to, and which it would skip and why. Nothing is done. */
  public CheckView check(BatchAct act, Selection selection, StaffId by) {
    requirePermit(act, by);
    check.require(act);
    return check.check(act, chosen(selection, by));
  }

  /**
   * Begins an act on several.
   *
   * @param reference made by the caller, once for this act: beginning it again begins nothing
   */
  public BatchView begin(BatchAct act, Selection selection, String reference, StaffId by) {
    Optional<BatchRow> known = batches.findByReference(reference);
    if (known.isPresent()) {
      return get(known.get().id(), by);
    }
    requirePermit(act, by);
    check.require(act);
    List<ConversationView> chosen = chosen(selection, by);
    Map<Long, Skipped> skipped =
        check.check(act, chosen).skipped().stream()
            .collect(Collectors.toMap(Skipped::conversationId, Function.identity()));
    BatchRow row = BatchRow.of(act, by.value(), clock.instant(), reference);
    long id =
        transactions.execute(status -> {
          draft.sent(by, reference);
          return write(row, chosen, skipped);
        });
    worker.execute(() -> carryOut(id));
    return get(id, by);
  }

  private long write(BatchRow row, List<ConversationView> chosen, Map<Long, Skipped> skipped) {
    long id = batches.insert(row);
    for (ConversationView one : chosen) {
      Skipped skip = skipped.get(one.id());
      batches.insertItem(
          id,
          one.id(),
          skip == null ? ItemRow.Outcome.PENDING : ItemRow.Outcome.SKIPPED,
          skip == null ? null : skip.why(),
          shown(row, one.id()));
    }
    return id;
  }

  /** What must not have changed when the act comes to a conversation. */
  private @Nullable String shown(BatchRow row, long conversation) {
    return switch (row.what()) {
      case DONE, SET_ASIDE ->
          acts.shown(new ConversationId(conversation), new StaffId(row.staffId())).text();
      case TOPIC, TEXT -> null;
    };
  }

  /** What was left when the last run ended is done now. */
  @EventListener(ApplicationReadyEvent.class)
  void goOn() {
    batches.listUnfinished().forEach(id -> worker.execute(() -> carryOut(id)));
  }

  private void carryOut(long id) {
    BatchRow batch = batches.find(id).orElseThrow();
    for (PendingRow pending : batches.listPending(id)) {
      long conversation = pending.conversationId();
      try {
        transactions.executeWithoutResult(
            status -> one(batch, pending).ifPresent(step -> undo.join(step, undoName(id))));
      } catch (Problem refused) {
        skip(id, conversation, String.valueOf(refused.getMessage()));
      } catch (RuntimeException e) {
        log.warn("One of several conversations could not be dealt with", e);
        skip(id, conversation, "Something broke on our side; try this one again.");
      }
    }
    batches.finish(id);
  }

  private void skip(long batch, long conversation, String why) {
    batches.setOutcome(batch, conversation, ItemRow.Outcome.SKIPPED, why);
  }

  private Optional<UndoStep> one(BatchRow batch, PendingRow pending) {
    ConversationId id = new ConversationId(pending.conversationId());
    Shown shown = pending.shown() == null ? null : Shown.read(pending.shown());
    StaffId by = new StaffId(batch.staffId());
    batches.setOutcome(batch.id(), id.value(), ItemRow.Outcome.DONE, null);
    return switch (batch.what()) {
      case DONE -> acts.finish(id, shown, by);
      case TOPIC -> acts.addTopic(id, new TopicId(Objects.requireNonNull(batch.topicId())), by);
      case SET_ASIDE ->
          acts.setAside(
              id, new Moment(Objects.requireNonNull(batch.moment()), batch.until()), shown, by);
      case TEXT -> text(batch, id, by);
    };
  }

  private Optional<UndoStep> text(BatchRow batch, ConversationId id, StaffId by) {
    String reference = reference(batch.id()) + id.value();
    String words = Objects.requireNonNull(batch.words());
    SendDecision decision =
        messaging.send(id, Said.by(new Author.Several(by.value()), words, reference));
    if (decision instanceof SendDecision.Refused refused) {
      skip(batch.id(), id.value(), refused.why().get(0).sentence());
    }
    return Optional.empty();
  }

  /** How far it has come. Only who began it is told. */
  public BatchView get(long id, StaffId asking) {
    BatchRow batch =
        batches
            .find(id)
            .filter(row -> row.staffId() == asking.value())
            .orElseThrow(() -> Problem.notFound("act on several"));
    List<ItemRow> items = batches.listItems(id);
    List<ItemRow> skips =
        items.stream().filter(item -> item.outcome() == ItemRow.Outcome.SKIPPED).toList();
    long done = items.stream().filter(item -> item.outcome() == ItemRow.Outcome.DONE).count();
    return new BatchView(
        id,
        batch.what(),
        items.size(),
        (int) done,
        skipped(skips, asking),
        notDelivered(batch, asking),
        !batch.finished(),
        undoName(batch, asking));
  }

  /** All steps of a batch are taken back together. */
  private static String undoName(long batch) {
    return "several-" + batch;
  }

  private @Nullable String undoName(BatchRow batch, StaffId asking) {
    String name = undoName(batch.id());
    return batch.finished() && undo.isKept(name, asking) ? name : null;
  }

  /** Which texts of it did not arrive. */
  private List<Skipped> notDelivered(BatchRow batch, StaffId asking) {
    if (batch.what() != BatchAct.What.TEXT) {
      return List.of();
    }
    List<ItemRow> lost =
        deliveries.listLost(reference(batch.id())).stream()
            .map(one -> new ItemRow(one.conversationId(), ItemRow.Outcome.DONE, one.why()))
            .toList();
    return skipped(lost, asking);
  }

  /** How the references of all texts of a batch begin. */
  private static String reference(long batch) {
    return "batch-" + batch + "-";
  }

  private List<Skipped> skipped(List<ItemRow> items, StaffId asking) {
    Map<Long, String> names =
        inbox
            .list(
                items.stream().map(item -> new ConversationId(item.conversationId())).toList(),
                asking)
            .stream()
            .collect(Collectors.toMap(ConversationView::id, BatchCheck::name));
    return items.stream()
        .map(item ->
            new Skipped(
                item.conversationId(),
                names.getOrDefault(item.conversationId(), ""),
                String.valueOf(item.why())))
        .toList();
  }
}
