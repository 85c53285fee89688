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
import java.util.function.Function;

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

  /**
   * All that belongs to a stretch. Where conditions narrow it, nothing is remembered of it.
   *
   * @param read reads a stretch to its depth
   */
  List<InboxRow> read(ChoiceRow choice, Stretch whole, Function<Stretch, List<InboxRow>> read) {
    if (choice.narrows()) {
      return read.apply(whole);
    }
    Walk walk = walk(choice, whole);
    Integer last = needed.getIfPresent(walk);
    if (last != null && last + MORE < whole.limit()) {
      List<InboxRow> rows = read.apply(whole.to(last + MORE));
      int most = most(choice, rows);
      // Of no line there can be more than were read.
      if (most < last + MORE) {
        needed.put(walk, most);
        return rows;
      }
    }
    List<InboxRow> all = read.apply(whole);
    needed.put(walk, most(choice, all));
    return all;
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
