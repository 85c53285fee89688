package fabulum.server.several;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.inbox.ConversationView;
import fabulum.server.inbox.Inbox;
import fabulum.server.messaging.Deliveries;
import fabulum.server.platform.Problem;
import fabulum.server.several.store.BatchMapper;
import fabulum.server.several.store.BatchRow;
import fabulum.server.several.store.ItemRow;
import fabulum.server.undo.Undo;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** How far acts on several have come. */
@Component
class BatchProgress {
  private final BatchMapper batches;
  private final Inbox inbox;
  private final Deliveries deliveries;
  private final Undo undo;

  BatchProgress(BatchMapper batches, Inbox inbox, Deliveries deliveries, Undo undo) {
    this.batches = batches;
    this.inbox = inbox;
    this.deliveries = deliveries;
    this.undo = undo;
  }

  /** How far it has come. Only who began it is told. */
  BatchView get(long id, StaffId asking) {
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

  private @Nullable String undoName(BatchRow batch, StaffId asking) {
    String name = BatchRunner.undoName(batch.id());
    return batch.finished() && undo.isKept(name, asking) ? name : null;
  }

  /** Which texts of it did not arrive. */
  private List<Skipped> notDelivered(BatchRow batch, StaffId asking) {
    if (batch.what() != BatchAct.What.TEXT) {
      return List.of();
    }
    List<ItemRow> lost =
        deliveries.listLost(BatchRunner.reference(batch.id())).stream()
            .map(one -> new ItemRow(one.conversationId(), ItemRow.Outcome.DONE, one.why()))
            .toList();
    return skipped(lost, asking);
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
