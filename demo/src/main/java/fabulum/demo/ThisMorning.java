package fabulum.demo;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.ownership.HandTo;
import fabulum.server.ownership.Ownership;
import fabulum.server.writing.Notes;
import java.util.List;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * What colleagues did with each other just before one comes in: they handed over, and named each
 * other in notes. Done as they do it, so that there are summaries and notices.
 */
final class ThisMorning {
  private static final long MAREN = 1;
  private static final long TOBIAS = 2;
  private static final long PRIYA = 3;

  private final Ownership owning;
  private final Notes notes;
  private final JdbcTemplate tables;

  ThisMorning(Ownership owning, Notes notes, JdbcTemplate tables) {
    this.owning = owning;
    this.notes = notes;
    this.tables = tables;
  }

  void happen() {
    for (long id : ourTurnOf(PRIYA, 1)) {
      String why = "I am on the pontoon until four; the berth plan is on my desk.";
      owning.handOver(
          new ConversationId(id), HandTo.person(new StaffId(MAREN)), why, new StaffId(PRIYA));
    }
    for (long id : ourTurnOf(TOBIAS, 1)) {
      notes.add(
          new ConversationId(id),
          "@Maren Oduya can we hold the berth for them until Friday?",
          "demo-mention-" + id,
          new StaffId(TOBIAS));
    }
  }

  private List<Long> ourTurnOf(long owner, int howMany) {
    return tables.queryForList(
        "select id from conversation where owner_id = ? and box = 'OUR_TURN' and line_id = 1"
            + " and customer_id is not null order by since desc fetch first "
            + howMany
            + " rows only",
        Long.class,
        owner);
  }
}
