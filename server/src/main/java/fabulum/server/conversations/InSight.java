package fabulum.server.conversations;

import fabulum.core.access.Act;
import fabulum.server.conversations.store.ConversationRow;
import fabulum.server.lines.Sights;
import fabulum.server.people.Permits;
import fabulum.server.people.StaffId;
import fabulum.server.platform.Problem;
import org.springframework.stereotype.Component;

/**
 * Conversations as far as somebody sees them: what they do not see is not there for them. Whether
 * they may act is asked only of what they see.
 */
@Component
class InSight {
  private final Bookkeeping books;
  private final Sights sights;
  private final Permits permits;

  InSight(Bookkeeping books, Sights sights, Permits permits) {
    this.books = books;
    this.sights = sights;
    this.permits = permits;
  }

  ConversationRow row(ConversationId id, StaffId asking) {
    return seen(books.row(id), asking);
  }

  /** Holds the row for an act of somebody who may work. */
  ConversationRow lock(ConversationId id, StaffId by) {
    ConversationRow row = seen(books.lock(id), by);
    permits.require(by, Act.WORK);
    return row;
  }

  /**
   * Holds the row for somebody who takes back what they did to it; they may not see it any more.
   */
  ConversationRow lockForUndo(ConversationId id, StaffId by) {
    permits.require(by, Act.WORK);
    return books.lock(id);
  }

  private ConversationRow seen(ConversationRow row, StaffId asking) {
    if (!sights.of(asking).sees(row.spot())) {
      throw Problem.notFound("conversation");
    }
    return row;
  }
}
