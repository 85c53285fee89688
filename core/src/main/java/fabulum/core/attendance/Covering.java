package fabulum.core.attendance;

import java.util.ArrayList;
import java.util.List;
import java.util.function.LongFunction;
import java.util.function.LongPredicate;

/** Who receives what comes for someone: they themselves while they are in, else their cover. */
public final class Covering {
  private Covering() {}

  /**
   * Where it ends.
   *
   * @param way everybody asked, the one it came for first
   */
  public record Found(End end, List<Long> way) {
    public Found {
      way = List.copyOf(way);
    }

    /** The one who receives it; only for {@link End#SOMEBODY}. */
    public long who() {
      return way.get(way.size() - 1);
    }
  }

  /** How the search ends. */
  public enum End {
    SOMEBODY,
    /** The last one is away and nobody covers for them. */
    NO_COVER,
    /** The covers lead in a circle. */
    LOOP,
    /** The last one may not see it. */
    MAY_NOT
  }

  /**
   * Follows the chain of covers.
   *
   * @param start for whom it came
   * @param presence of anybody
   * @param may whether someone may see and work on it
   */
  public static Found follow(long start, LongFunction<Presence> presence, LongPredicate may) {
    List<Long> way = new ArrayList<>();
    long who = start;
    while (true) {
      if (way.contains(who)) {
        way.add(who);
        return new Found(End.LOOP, way);
      }
      way.add(who);
      if (way.size() > 1 && !may.test(who)) {
        return new Found(End.MAY_NOT, way);
      }
      Presence now = presence.apply(who);
      if (now.in()) {
        return new Found(End.SOMEBODY, way);
      }
      if (now.cover().isEmpty()) {
        return new Found(End.NO_COVER, way);
      }
      who = now.cover().getAsLong();
    }
  }
}
