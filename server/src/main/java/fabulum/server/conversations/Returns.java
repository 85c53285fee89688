package fabulum.server.conversations;

import fabulum.core.conversation.Back;
import fabulum.core.conversation.ConversationState;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.platform.Steadily;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Brings back what was set aside when its time has come. What fell due while Fabulum was not
 * running comes back at the start.
 */
@Component
public class Returns {
  private static final Logger log = LoggerFactory.getLogger(Returns.class);
  private static final int AT_ONCE = 200;

  private final ConversationMapper conversations;
  private final Bookkeeping books;
  private final TransactionTemplate transactions;
  private final Steadily<Long> steadily =
      new Steadily<>("What was set aside could not be brought back");

  Returns(ConversationMapper conversations, Bookkeeping books, TransactionTemplate transactions) {
    this.conversations = conversations;
    this.books = books;
    this.transactions = transactions;
  }

  /** Brings back what is due now. */
  @Scheduled(initialDelay = 1, fixedDelay = 1, timeUnit = TimeUnit.SECONDS)
  public void bringBack() {
    try {
      steadily.each(
          conversations.listReturning(books.now(), AT_ONCE + steadily.failing()),
          id -> transactions.executeWithoutResult(status -> bringBack(new ConversationId(id))));
    } catch (RuntimeException e) {
      log.warn("What was set aside could not be brought back; trying again", e);
    }
  }

  private void bringBack(ConversationId id) {
    Conversation row = books.lock(id);
    ConversationState after = row.state().cameBack(books.now());
    if (!after.equals(row.state())) {
      books.save(row, after, books.now());
      long event = books.event(row, EventKind.BACK, null, Back.ITS_TIME.name());
      books.changed(row.id(), List.of(event));
    }
  }
}
