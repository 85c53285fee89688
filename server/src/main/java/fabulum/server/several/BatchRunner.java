package fabulum.server.several;

import fabulum.core.delivery.ClientReference;
import fabulum.core.sending.Author;
import fabulum.core.sending.Reason;
import fabulum.core.sending.SendDecision;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Acts;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Moment;
import fabulum.server.conversations.Said;
import fabulum.server.conversations.Shown;
import fabulum.server.conversations.UndoStep;
import fabulum.server.messaging.Messaging;
import fabulum.server.messaging.Recipient;
import fabulum.server.platform.Problem;
import fabulum.server.several.store.BatchMapper;
import fabulum.server.several.store.BatchRow;
import fabulum.server.several.store.ItemRow;
import fabulum.server.several.store.PendingRow;
import fabulum.server.topics.TopicId;
import fabulum.server.undo.Undo;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Carries batches out, one conversation at a time, each with its tick in one transaction: a restart
 * goes on where it stopped, and nobody gets a text twice.
 */
@Component
class BatchRunner {
  private static final Logger log = LoggerFactory.getLogger(BatchRunner.class);

  private final BatchMapper batches;
  private final Acts acts;
  private final Messaging messaging;
  private final Undo undo;
  private final TransactionTemplate transactions;
  private final ExecutorService worker = Executors.newSingleThreadExecutor(BatchRunner::daemon);

  BatchRunner(
      BatchMapper batches,
      Acts acts,
      Messaging messaging,
      Undo undo,
      TransactionTemplate transactions) {
    this.batches = batches;
    this.acts = acts;
    this.messaging = messaging;
    this.undo = undo;
    this.transactions = transactions;
  }

  private static Thread daemon(Runnable work) {
    Thread thread = new Thread(work, "several");
    thread.setDaemon(true);
    return thread;
  }

  /** What was left when the last run ended is done now. */
  @EventListener(ApplicationReadyEvent.class)
  void goOn() {
    batches.listUnfinished().forEach(this::begin);
  }

  /** Does what is written down as a batch, after what was begun before it. */
  void begin(long id) {
    worker.execute(() -> carryOut(id));
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

  private static final Set<Reason> MANY = Set.of(Reason.MANY_RECIPIENTS);

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
    Author author = new Author.Several(by.value(), batches.countChosen(batch.id()));
    // That it goes to many was confirmed when the act was.
    Said said = Said.by(author, words, new ClientReference(reference)).confirming(MANY);
    SendDecision decision = messaging.send(Recipient.in(id), said).decision();
    decision.against(MANY).stream()
        .findFirst()
        .ifPresent(why -> skip(batch.id(), id.value(), why.sentence()));
    return Optional.empty();
  }

  /** All steps of a batch are taken back together. */
  static String undoName(long batch) {
    return "several-" + batch;
  }

  /** How the references of all texts of a batch begin. */
  static String reference(long batch) {
    return "batch-" + batch + "-";
  }
}
