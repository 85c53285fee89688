package fabulum.server.conversations;

import fabulum.server.conversations.store.ConversationRow;
import fabulum.server.conversations.store.EntryMapper;
import fabulum.server.conversations.store.EntryRow;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.people.People;
import fabulum.server.people.StaffId;
import fabulum.server.topics.Topics;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Works out what whoever was handed a conversation needs to know; nobody has to type it. */
@Component
class Summaries {
  private final EntryMapper entries;
  private final EntryViews views;
  private final Bookkeeping books;
  private final People people;
  private final Lines lines;
  private final Topics topics;

  Summaries(
      EntryMapper entries,
      EntryViews views,
      Bookkeeping books,
      People people,
      Lines lines,
      Topics topics) {
    this.entries = entries;
    this.views = views;
    this.books = books;
    this.people = people;
    this.lines = lines;
    this.topics = topics;
  }

  /** The summary, from a handing over until somebody has acted on it. */
  @Nullable SummaryView of(ConversationRow row) {
    EntryRow handed = row.handedEntry() == null ? null : entries.find(row.handedEntry());
    if (handed == null) {
      return null;
    }
    Optional<EntryRow> before = entries.findHandedBefore(row.id(), handed.id());
    Long from = handed.fromStaff();
    return new SummaryView(
        one(handed),
        from == null ? null : people.get(new StaffId(from)),
        from == null
            ? null
            : before.filter(event -> from.equals(ownerAfter(event))).map(EntryRow::at).orElse(null),
        entries.findLastOf(row.id(), EntryKind.IN).map(this::one).orElse(null),
        entries
            .findLastOf(row.id(), EntryKind.OUT)
            .filter(said -> !said.at().isBefore(row.openedAt()))
            .map(this::one)
            .orElse(null),
        row.dueAt(),
        promiseMinutes(row),
        views.of(entries.listNotesToHandOver(row.id(), handed.id(), row.openedAt())),
        views.of(entries.listWaiting(row.id())));
  }

  private long promiseMinutes(ConversationRow row) {
    return topics
        .shortest(books.topicsOf(row.id()))
        .orElse(lines.promise(new LineId(row.lineId())).promise())
        .within()
        .toMinutes();
  }

  /** Whose it was after a change of owner. */
  private static @Nullable Long ownerAfter(EntryRow event) {
    return event.event() == EventKind.TAKEN ? event.speakerId() : event.aboutStaff();
  }

  private EntryView one(EntryRow row) {
    return views.of(new ArrayList<>(List.of(row))).get(0);
  }
}
