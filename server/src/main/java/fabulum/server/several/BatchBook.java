package fabulum.server.several;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.Acts;
import fabulum.server.conversations.ConversationId;
import fabulum.server.inbox.ConversationView;
import fabulum.server.several.store.BatchMapper;
import fabulum.server.several.store.BatchRow;
import fabulum.server.several.store.ItemRow;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Writes acts on several down before anything is done. */
@Component
class BatchBook {
  private final BatchMapper batches;
  private final SeveralDraft draft;
  private final Acts acts;
  private final TransactionTemplate transactions;
  private final Clock clock;

  BatchBook(
      BatchMapper batches,
      SeveralDraft draft,
      Acts acts,
      TransactionTemplate transactions,
      Clock clock) {
    this.batches = batches;
    this.draft = draft;
    this.acts = acts;
    this.transactions = transactions;
    this.clock = clock;
  }

  /**
   * Who begins an act.
   *
   * @param reference made by the caller, once for this act
   */
  record By(StaffId who, String reference) {}

  /**
   * Writes an act down, with what each conversation looks like now; its draft is sent with it.
   *
   * @param skipped the conversations that are left out from the start, and why
   * @return the id of the batch
   */
  long write(BatchAct act, List<ConversationView> chosen, Map<Long, Skipped> skipped, By by) {
    BatchRow row = BatchRow.of(act, by.who().value(), clock.instant(), by.reference());
    return transactions.execute(status -> {
      draft.sent(by.who(), by.reference());
      return write(row, chosen, skipped);
    });
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
}
