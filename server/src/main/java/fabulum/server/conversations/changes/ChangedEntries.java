package fabulum.server.conversations.changes;

import fabulum.server.feed.Change;
import fabulum.server.feed.ChangeFeed;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;

/**
 * What changed and is still to be followed by a part of the program that keeps something made from
 * entries. Heard of in one thread and followed in another; what fails to be followed stays.
 */
public final class ChangedEntries {
  private static final int FEED_CHUNK = 2_000;

  private final Set<Long> entries = new HashSet<>();
  private final Set<Long> scripts = new HashSet<>();

  /** How many were taken off these lists and are not followed yet. */
  private int taken;

  /**
   * Some of what changed.
   *
   * @param entries that were added, changed or removed
   * @param scripts conversations in which all may have changed
   */
  public record Some(List<Long> entries, List<Long> scripts) {}

  /** What is done with some changes; they stay to be followed when it throws. */
  @FunctionalInterface
  public interface Following<E extends Exception> {
    /** Follows some changes. */
    void follow(Some some) throws E;
  }

  /** Hears of a change. */
  public synchronized void add(ConversationChanged change) {
    change.entries().forEach(id -> entries.add(id.value()));
    if (change.wholeScript()) {
      scripts.add(change.id().value());
    }
  }

  /** Puts entries on the list, as if each had changed. */
  public synchronized void addAll(List<Long> ids) {
    entries.addAll(ids);
  }

  /**
   * Hears of all that changed while nobody listened.
   *
   * @param number of the last change that was followed
   * @param others what is done with changes of anything but conversations
   */
  public void addSince(ChangeFeed feed, long number, Consumer<Change> others) {
    List<Change> changes = feed.listAfter(number, FEED_CHUNK);
    while (!changes.isEmpty()) {
      for (Change change : changes) {
        if (change.kind() == Change.Kind.CONVERSATION) {
          add(ConversationChanged.read(change.subject(), change.detail()));
        } else {
          others.accept(change);
        }
      }
      changes = feed.listAfter(changes.get(changes.size() - 1).number(), FEED_CHUNK);
    }
  }

  /** How much is still to be followed, with what is being followed at this moment. */
  public synchronized int size() {
    return entries.size() + scripts.size() + taken;
  }

  /**
   * Follows what changed until now, in one thread at a time.
   *
   * @param most this number of entries at most; the others stay
   */
  public <E extends Exception> void follow(int most, Following<E> following) throws E {
    Some some = take(most);
    boolean followed = false;
    try {
      following.follow(some);
      followed = true;
    } finally {
      end(some, followed);
    }
  }

  private synchronized Some take(int most) {
    Some some = new Some(entries.stream().limit(most).toList(), List.copyOf(scripts));
    some.entries().forEach(entries::remove);
    scripts.clear();
    taken = some.entries().size() + some.scripts().size();
    return some;
  }

  private synchronized void end(Some some, boolean followed) {
    taken = 0;
    if (!followed) {
      entries.addAll(some.entries());
      scripts.addAll(some.scripts());
    }
  }
}
