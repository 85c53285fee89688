package fabulum.server.writing;

import fabulum.server.conversations.Bookkeeping;
import fabulum.server.platform.Steadily;
import fabulum.server.writing.store.ToDoMapper;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Brings conversations back in which something is due. What fell due while Fabulum was not running
 * comes back at the start.
 */
@Component
class ToDoReturns {
  private static final Logger log = LoggerFactory.getLogger(ToDoReturns.class);
  private static final int AT_ONCE = 200;

  private final ToDoMapper rows;
  private final ToDos toDos;
  private final Bookkeeping books;
  private final Steadily<Long> steadily =
      new Steadily<>("What is to be done could not be brought back");

  ToDoReturns(ToDoMapper rows, ToDos toDos, Bookkeeping books) {
    this.rows = rows;
    this.toDos = toDos;
    this.books = books;
  }

  @Scheduled(initialDelay = 1, fixedDelay = 1, timeUnit = TimeUnit.SECONDS)
  void bringBack() {
    try {
      steadily.each(rows.listDue(books.now(), AT_ONCE + steadily.failing()), toDos::bringBack);
    } catch (RuntimeException e) {
      log.warn("What is to be done could not be brought back; trying again", e);
    }
  }
}
