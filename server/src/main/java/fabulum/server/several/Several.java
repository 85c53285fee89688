package fabulum.server.several;

import fabulum.core.access.Act;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.inbox.ConversationView;
import fabulum.server.inbox.Inbox;
import fabulum.server.inbox.InboxQuery;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.several.store.BatchMapper;
import fabulum.server.several.store.BatchRow;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/**
 * One act on several conversations. What is to be done is written down first ({@link BatchBook}),
 * then done one conversation at a time ({@link BatchRunner}).
 */
@Service
public class Several {
  /** The most that can be chosen at once. */
  public static final int MOST = 5_000;

  private final BatchMapper batches;
  private final BatchCheck check;
  private final BatchBook book;
  private final BatchRunner runner;
  private final BatchProgress progress;
  private final Inbox inbox;
  private final Permits permits;

  Several(
      BatchMapper batches,
      BatchCheck check,
      BatchBook book,
      BatchRunner runner,
      BatchProgress progress,
      Inbox inbox,
      Permits permits) {
    this.batches = batches;
    this.check = check;
    this.book = book;
    this.runner = runner;
    this.progress = progress;
    this.inbox = inbox;
    this.permits = permits;
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
    return check.check(act, chosen(selection, by), by);
  }

  /**
   * Begins an act on several.
   *
   * @param reference made by the caller, once for this act: beginning it again begins nothing
   */
  public BatchView begin(BatchAct act, Selection selection, String reference, StaffId by) {
    Optional<BatchRow> known = batches.findByReference(reference);
    if (known.isPresent()) {
      return progress.get(known.get().id(), by);
    }
    requirePermit(act, by);
    check.require(act);
    List<ConversationView> chosen = chosen(selection, by);
    CheckView outcome = check.check(act, chosen, by);
    if (outcome.refused()) {
      throw bad("words", String.join(" ", outcome.against()) + " Nothing was sent.");
    }
    Map<Long, Skipped> skipped =
        outcome.skipped().stream()
            .collect(Collectors.toMap(Skipped::conversationId, Function.identity()));
    long id = book.write(act, chosen, skipped, new BatchBook.By(by, reference));
    runner.begin(id);
    return progress.get(id, by);
  }

  /** How far it has come. Only who began it is told. */
  public BatchView get(long id, StaffId asking) {
    return progress.get(id, asking);
  }
}
