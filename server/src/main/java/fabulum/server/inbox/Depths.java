package fabulum.server.inbox;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fabulum.core.conversation.Group;
import fabulum.server.inbox.store.ChoiceRow;
import fabulum.server.inbox.store.InboxRow;
import fabulum.server.inbox.store.SortRow;
import fabulum.server.inbox.store.Stretch;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How far each line is walked for a stretch of a list. A page of 50 of five lines has some ten of
 * each, so that walking all five for 50 reads five times too much. A stretch is walked a little
 * deeper than the last one like it needed; where a line turns out to have as many in it as were
 * read of it, it may have more, and the stretch has to be walked whole.
 */
final class Depths {
  private static final int REMEMBERED = 2_000;

  /** Lists change by a few rows from one reading to the next. */
  private static final int MORE = 8;

  private final Cache<Walk, Integer> needed = Caffeine.newBuilder().maximumSize(REMEMBERED).build();

  private record Walk(Group box, SortRow order, List<Long> lines, int limit, boolean later) {}

  private static Walk walk(ChoiceRow choice, Stretch stretch) {
    return new Walk(
        stretch.box(),
        stretch.order(),
        choice.walked(),
        stretch.limit(),
        stretch.afterAt() != null);
  }

  /** The stretch, no deeper than it probably has to be. Of conditions nothing is remembered. */
  Stretch shallow(ChoiceRow choice, Stretch whole) {
    if (choice.narrows()) {
      return whole;
    }
    Integer last = needed.getIfPresent(walk(choice, whole));
    return last == null ? whole : whole.to(Math.min(whole.limit(), last + MORE));
  }

  /** Whether what was read is all there is to it: of no line there can be more than were read. */
  static boolean suffices(ChoiceRow choice, Stretch read, List<InboxRow> rows) {
    return read.depth() >= read.limit() || most(choice, rows) < read.depth();
  }

  /** Remembers how deep a stretch had to be walked. */
  void learn(ChoiceRow choice, Stretch read, List<InboxRow> all) {
    if (!choice.narrows()) {
      needed.put(walk(choice, read), most(choice, all));
    }
  }

  /** How many of one line there are at most. */
  private static int most(ChoiceRow choice, List<InboxRow> rows) {
    Map<Long, Integer> ofLines = new HashMap<>();
    for (InboxRow row : rows) {
      ofLines.merge(row.conversation().lineId(), 1, Integer::sum);
    }
    return choice.walked().stream().mapToInt(line -> ofLines.getOrDefault(line, 0)).max().orElse(0);
  }
}
