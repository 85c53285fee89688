package fabulum.demo;

import fabulum.core.delivery.ClientReference;
import fabulum.core.sending.Author;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Said;
import fabulum.server.ownership.BroughtIn;
import fabulum.server.ownership.HandTo;
import fabulum.server.ownership.Ownership;
import fabulum.server.writing.Notes;
import fabulum.server.writing.SecondLooks;
import fabulum.server.writing.ToDo;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * What colleagues did with each other just before the lead comes in: they handed over, named each
 * other in notes, and brought one in from another team. Done as they do it, so that there are
 * summaries and notices.
 */
final class ThisMorning {
  private static final long MAREN = 1;
  private static final long TOBIAS = 2;
  private static final long PRIYA = 3;
  private static final long ELI = 4;
  private static final long WEN = 5;
  private static final long NOOR = 8;

  private final Ownership owning;
  private final Notes notes;
  private final SecondLooks looks;
  private final BroughtIn brought;
  private final JdbcTemplate tables;

  ThisMorning(
      Ownership owning, Notes notes, SecondLooks looks, BroughtIn brought, JdbcTemplate tables) {
    this.brought = brought;
    this.owning = owning;
    this.notes = notes;
    this.looks = looks;
    this.tables = tables;
  }

  void happen(Instant now) {
    find("She only has her student card")
        .ifPresent(id ->
            owning.handOver(
                id,
                HandTo.person(new StaffId(MAREN)),
                "I am on the pontoon until four; the key is in the top drawer of my desk.",
                new StaffId(PRIYA)));
    find("The weed between")
        .ifPresent(id ->
            notes.add(
                id,
                "@Maren Oduya is the weed boat booked for this week? They ask for a day.",
                null,
                "demo-mention-" + id.value(),
                new StaffId(TOBIAS)));
    find("Two coats.")
        .ifPresent(id ->
            notes.add(
                id,
                "Call the paint shop for the price of two coats, then ring them back.",
                new ToDo.Wanted(MAREN, now.plus(Duration.ofHours(20))),
                "demo-to-do-" + id.value(),
                new StaffId(MAREN)));
    find("Someone bumped us")
        .ifPresent(id -> {
          brought.bringIn(id, new StaffId(WEN), true, new StaffId(ELI));
          notes.add(
              id,
              "@Eli Castellanos their insurance wants photos and our estimate on one page. Send me both and I write it.",
              null,
              "demo-guest-" + id.value(),
              new StaffId(WEN));
        });
    // Noor is new here, so a colleague looks at what she writes.
    tables.update("update staff set second_look = true where id = ?", NOOR);
    find("Just so you know a cleat")
        .ifPresent(id ->
            looks.ask(
                id,
                Said.by(
                    new Author.Person(NOOR),
                    "Thank you for telling us! We will walk over and screw it down this afternoon.",
                    new ClientReference("demo-look-" + id.value())),
                new StaffId(NOOR)));
  }

  /** The conversation in which something was said last; none when it does not fit the season. */
  private Optional<ConversationId> find(String beginning) {
    return tables
        .queryForList(
            "select id from conversation where box = 'OUR_TURN' and last_words like ?",
            Long.class,
            beginning + "%")
        .stream()
        .findFirst()
        .map(ConversationId::new);
  }
}
