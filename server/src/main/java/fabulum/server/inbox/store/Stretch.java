package fabulum.server.inbox.store;

import fabulum.core.conversation.Group;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A stretch of a list.
 *
 * @param box the group
 * @param afterAt where the conversation before it stands in the order; null from the beginning
 * @param afterId that conversation; null from the beginning
 * @param limit how many there are at most
 */
public record Stretch(
    Group box, SortRow order, @Nullable Instant afterAt, @Nullable Long afterId, int limit) {

  /** The first of a group. */
  public static Stretch first(Group box, SortRow order, int limit) {
    return new Stretch(box, order, null, null, limit);
  }

  /** Those that follow one. */
  public Stretch after(Instant at, long id) {
    return new Stretch(box, order, at, id, limit);
  }
}
