package fabulum.server.wrongnumbers;

import fabulum.core.wrongnumber.WrongNumber;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.ReceivedText;
import fabulum.server.customers.CustomerId;
import fabulum.server.messaging.ArrivalStep;
import fabulum.server.wrongnumbers.store.WrongNumberMapper;
import java.util.List;
import java.util.Optional;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Where a lead has allowed it: who says that it is the wrong number is not texted any more. */
@Component
@Order(3)
class WrongNumberStep implements ArrivalStep {
  private final WrongNumberMapper rows;
  private final WrongNumbers wrong;
  private final Bookkeeping books;

  WrongNumberStep(WrongNumberMapper rows, WrongNumbers wrong, Bookkeeping books) {
    this.rows = rows;
    this.wrong = wrong;
    this.books = books;
  }

  @Override
  public Optional<Doing> read(ReceivedText text) {
    boolean said =
        !text.participants().isGroup() && WrongNumber.isSaidIn(text.words()) && rows.isByItself();
    return said ? Optional.of(new Stopping()) : Optional.empty();
  }

  private final class Stopping implements Doing {
    @Override
    public boolean isSettled() {
      return false;
    }

    @Override
    public List<Long> act(ConversationId id) {
      Conversation row = books.row(id);
      return row.customerId() == null || !rows.hasOut(row.id())
          ? List.of()
          : wrong.stop(row, new CustomerId(row.customerId()), null);
    }
  }
}
