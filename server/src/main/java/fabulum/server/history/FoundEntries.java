package fabulum.server.history;

import fabulum.core.search.Terms;
import fabulum.core.search.WordQuery;
import fabulum.core.search.WordQuery.Hit;
import fabulum.server.access.StaffId;
import fabulum.server.attachments.AttachmentView;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.script.EntryView;
import fabulum.server.conversations.script.EntryViews;
import fabulum.server.inbox.Place;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Component;

/**
 * What the index found, as the database has it now. An entry that somebody does not see, or that
 * does not have the words any more, is left out.
 */
@Component
class FoundEntries {
  private final Bookkeeping books;
  private final EntryViews views;
  private final InSight inSight;

  FoundEntries(Bookkeeping books, EntryViews views, InSight inSight) {
    this.books = books;
    this.views = views;
    this.inSight = inSight;
  }

  /** The rows of some places, in the same order. */
  List<HistoryRowView> of(
      List<Place> places, Choice choice, WordQuery words, LanguageStemmer stems, StaffId asking) {
    List<Entry> entries =
        books.listEntries(places.stream().map(place -> new EntryId(place.id())).toList());
    Map<Long, Conversation> seen = seen(entries, asking);
    List<Entry> shown =
        entries.stream()
            .filter(entry -> !entry.withdrawn() && seen.containsKey(entry.conversationId()))
            .filter(entry -> choice.customer().map(theirs -> theirs.has(entry)).orElse(true))
            .toList();
    Map<Long, HistoryRowView> rows = new HashMap<>();
    for (EntryView view : views.of(shown)) {
      String text = text(view);
      var terms = Terms.of(text);
      if (words.fits(terms, stems)) {
        Conversation said = Objects.requireNonNull(seen.get(view.conversationId()));
        rows.put(view.id(), row(view, said, hits(view, words.hits(terms, stems))));
      }
    }
    return places.stream().map(place -> rows.get(place.id())).filter(Objects::nonNull).toList();
  }

  private Map<Long, Conversation> seen(List<Entry> entries, StaffId asking) {
    List<ConversationId> ids =
        entries.stream().map(Entry::conversationId).distinct().map(ConversationId::new).toList();
    Map<Long, Conversation> seen = new HashMap<>();
    if (!ids.isEmpty()) {
      inSight.list(ids, asking).forEach(row -> seen.put(row.id(), row));
    }
    return seen;
  }

  private static String text(EntryView view) {
    List<AttachmentView> attached = view.attachments() == null ? List.of() : view.attachments();
    return Searched.words(
        view.kind(),
        view.event(),
        view.words(),
        attached.stream().map(file -> Searched.file(file.name(), file.words())).toList());
  }

  /** Those in the words themselves; of names of files nothing is marked. */
  private static List<Hit> hits(EntryView view, List<Hit> all) {
    int length = view.words() == null ? 0 : view.words().length();
    return all.stream().filter(hit -> hit.to() <= length).toList();
  }

  private static HistoryRowView row(EntryView view, Conversation said, List<Hit> hits) {
    return new HistoryRowView(
        view,
        said.lineId(),
        said.address(),
        said.isGroup(),
        said.customerId(),
        said.customerName(),
        said.toIdentify(),
        hits);
  }
}
