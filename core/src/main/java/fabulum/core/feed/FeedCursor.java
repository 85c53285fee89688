package fabulum.core.feed;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * How far a reader has come in a feed. A number is given when a change is written, and becomes
 * visible when its transaction commits, so a lower number may become visible after a higher one. A
 * reader therefore goes on from the last number before which nothing can still become visible, and
 * remembers which later numbers it has had.
 *
 * @param settled every number up to this one has been read, or will never be visible
 * @param had the numbers after that which have been read
 */
public record FeedCursor(long settled, Set<Long> had) {
  /** A change is visible at the latest this long after it was written. */
  public static final Duration LONGEST_COMMIT = Duration.ofSeconds(60);

  public FeedCursor {
    had = Set.copyOf(had);
  }

  /** A reader that wants everything after a settled number. */
  public static FeedCursor after(long settled) {
    return new FeedCursor(settled, Set.of());
  }

  /**
   * A change in the feed.
   *
   * @param number unique, and higher the later it was written
   * @param at when it was written
   */
  public record Item(long number, Instant at) {}

  /**
   * What reading comes to.
   *
   * @param fresh the numbers that were not read before, ascending
   * @param next where to go on
   */
  public record Reading(List<Long> fresh, FeedCursor next) {
    public Reading {
      fresh = List.copyOf(fresh);
    }
  }

  /**
   * Takes what is visible now.
   *
   * @param visible all visible changes after {@link #settled()}, or the first of them, ascending
   */
  public Reading read(List<Item> visible, Instant now) {
    List<Long> fresh = new ArrayList<>();
    Set<Long> later = new TreeSet<>(had);
    long reached = settled;
    Instant sure = now.minus(LONGEST_COMMIT);
    boolean settling = true;
    for (Item item : visible) {
      if (later.add(item.number())) {
        fresh.add(item.number());
      }
      // Behind the first that is too new, lower numbers may still become visible.
      settling = settling && item.at().isBefore(sure);
      if (settling) {
        reached = item.number();
      }
    }
    long end = reached;
    later.removeIf(number -> number <= end);
    return new Reading(fresh, new FeedCursor(end, later));
  }
}
