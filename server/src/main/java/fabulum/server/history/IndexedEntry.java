package fabulum.server.history;

import fabulum.server.history.store.SaidRow;
import java.util.List;

/**
 * An entry with the words by which it is found.
 *
 * @param attached names and descriptions of what goes or came with it
 */
record IndexedEntry(SaidRow row, List<String> attached) {
  IndexedEntry {
    attached = List.copyOf(attached);
  }

  String words() {
    return Searched.words(row.kind(), row.event(), row.words(), attached);
  }
}
