package fabulum.server.inbox;

import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.EntryId;
import fabulum.server.conversations.EntryView;
import fabulum.server.conversations.EntryViews;
import fabulum.server.conversations.InSight;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Reading one conversation's script. */
@Service
public class Scripts {
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
