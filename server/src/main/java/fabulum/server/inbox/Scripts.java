package fabulum.server.inbox;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.script.EntryView;
import fabulum.server.conversations.script.EntryViews;
import fabulum.server.platform.Problem;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Reading one conversation's script. */
@Service
public class Scripts {
  /** Lines shown above the one that was asked for. */
  private static final int BEFORE = 25;

  private static final int MOST = 5_000;

  private final Bookkeeping books;
  private final EntryViews views;
  private final InSight inSight;

  Scripts(Bookkeeping books, EntryViews views, InSight inSight) {
    this.books = books;
    this.views = views;
    this.inSight = inSight;
  }

  /** The entries with these ids; for the program itself, which tells only those who see them. */
  public List<EntryView> entries(List<EntryId> ids) {
    return views.of(books.listEntries(ids));
  }

  /**
   * The newest entries down to one of them and a little before it; from one that is very far back,
   * as many as are told at once.
   */
  public ScriptPage pageTo(ConversationId id, EntryId entry, StaffId asking) {
    inSight.row(id, asking);
    Entry found =
        books
            .findEntry(entry.value())
            .filter(one -> one.conversationId() == id.value())
            .orElseThrow(() -> Problem.notFound("text"));
    int since = books.countSince(id, found.at(), found.id());
    return page(id, null, Math.min(since + BEFORE, MOST), asking);
  }

  /** A stretch of the script that ends before {@code before}, or at the newest entry. */
  public ScriptPage page(ConversationId id, @Nullable String before, int limit, StaffId asking) {
    inSight.row(id, asking);
    Place place = before == null ? null : Place.read(before);
    List<Entry> rows =
        books.listNewest(
            id, place == null ? null : place.at(), place == null ? null : place.id(), limit + 1);
    boolean more = rows.size() > limit;
    List<Entry> shown = new ArrayList<>(more ? rows.subList(0, limit) : rows);
    Collections.reverse(shown);
    String earlier = more ? new Place(shown.get(0).at(), shown.get(0).id()).text() : null;
    return new ScriptPage(views.of(shown), earlier);
  }
}
