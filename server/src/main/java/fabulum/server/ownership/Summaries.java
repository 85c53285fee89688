package fabulum.server.ownership;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.script.EntryView;
import fabulum.server.conversations.script.EntryViews;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.ownership.store.OwnershipMapper;
import fabulum.server.people.People;
import fabulum.server.topics.Topics;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Works out what the person who was handed a conversation needs to know; nobody has to type it. */
@Component
public class Summaries {
  private final OwnershipMapper entries;
  private final EntryViews views;
  private final Bookkeeping books;
  private final People people;
  private final Lines lines;
  private final Topics topics;

  Summaries(
      OwnershipMapper entries,
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

  /** The summary, from a handing over until someone has acted on it. */
  public @Nullable SummaryView of(Conversation row) {
    Entry handed =
        row.handedEntry() == null ? null : books.findEntry(row.handedEntry()).orElse(null);
    if (handed == null) {
      return null;
    }
    Optional<Entry> before = entries.findHandedBefore(row.id(), handed.id());
    Long from = handed.fromStaff();
    return new SummaryView(
        one(handed),
        from == null ? null : people.get(new StaffId(from)),
        from == null
            ? null
            : before.filter(event -> from.equals(ownerAfter(event))).map(Entry::at).orElse(null),
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

  private long promiseMinutes(Conversation row) {
    return topics
        .shortest(books.topicsOf(row.id()))
        .orElse(lines.promise(new LineId(row.lineId())).promise())
        .within()
        .toMinutes();
  }

  /** Whose it was after a change of owner. */
  private static @Nullable Long ownerAfter(Entry event) {
    return event.event() == EventKind.TAKEN ? event.speakerId() : event.aboutStaff();
  }

  private EntryView one(Entry row) {
    return views.of(new ArrayList<>(List.of(row))).get(0);
  }
}
