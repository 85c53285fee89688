package fabulum.server.conversations;

import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.lines.LineId;
import fabulum.server.platform.Steadily;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Reckons again when answers are due, after hours or promises have changed. */
@Service
public class Reckoning {
  private static final Logger log = LoggerFactory.getLogger(Reckoning.class);

  private final ConversationMapper conversations;
  private final Bookkeeping books;
  private final ReplyTimes times;
  private final TransactionTemplate transactions;
  private final Steadily<Long> steadily =
      new Steadily<>("When an answer is due could not be reckoned");

  Reckoning(
      ConversationMapper conversations,
      Bookkeeping books,
      ReplyTimes times,
      TransactionTemplate transactions) {
    this.conversations = conversations;
    this.books = books;
    this.times = times;
    this.transactions = transactions;
  }

  /** Hours and promises may have changed while Fabulum was not running. */
  @EventListener(ApplicationReadyEvent.class)
  void reckonAtStart() {
    int changed = reckonDue();
    if (changed > 0) {
      log.info("{} conversations are due at another time than before", changed);
    }
  }

  /**
   * Reckons everything that waits.
   *
   * @return how many conversations are due at another time than before
   */
  public int reckonDue() {
    AtomicInteger changed = new AtomicInteger();
    Map<Long, Set<Long>> topics = books.topicsOfAll();
    for (Conversation listed : conversations.listWaiting()) {
      if (isDueOtherwise(listed, topics.getOrDefault(listed.id(), Set.of()))) {
        steadily.attempt(listed.id(), id -> changed.addAndGet(reckon(new ConversationId(id))));
      }
    }
    return changed.get();
  }

  private int reckon(ConversationId id) {
    return Objects.requireNonNull(
        transactions.execute(status -> {
          Conversation row = books.lock(id);
          if (!isDueOtherwise(row, books.topicsOf(row.id()))) {
            return 0;
          }
          books.save(row, row.state(), books.now());
          books.changed(row.id(), List.of());
          return 1;
        }));
  }

  private boolean isDueOtherwise(Conversation row, Set<Long> topics) {
    return !Objects.equals(row.dueAt(), times.due(new LineId(row.lineId()), row.state(), topics));
  }
}
