package fabulum.server.inbox.store;

import fabulum.core.conversation.Group;
import fabulum.server.platform.store.Shaped;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A stretch of a list.
 *
 * @param box the group
 * @param afterAt where the conversation before it stands in the order; null from the beginning
 * @param afterId that conversation; null from the beginning
 * @param limit how many there are at most
 * @param depth how many are read of each line at most: the limit, or fewer where no line has as
 *     many of them
 */
public record Stretch(
    Group box,
    SortRow order,
    @Nullable Instant afterAt,
    @Nullable Long afterId,
    int limit,
    int depth)
    implements Shaped {

  /** The first of a group. */
  public static Stretch first(Group box, SortRow order, int limit) {
    return new Stretch(box, order, null, null, limit, limit);
  }

  /** Those that follow one. */
  public Stretch after(Instant at, long id) {
    return new Stretch(box, order, at, id, limit, depth);
  }

  /** The same, read no deeper than this. */
  public Stretch to(int depth) {
    return new Stretch(box, order, afterAt, afterId, limit, depth);
  }

  private record Shape(SortRow order, boolean later) {}

  @Override
  public Object shape() {
    return new Shape(order, afterAt != null);
  }
}
