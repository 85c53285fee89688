package fabulum.server.feed;

import fabulum.core.feed.FeedCursor;
import fabulum.core.feed.FeedCursor.Item;
import fabulum.core.feed.FeedCursor.Reading;
import fabulum.server.feed.store.FeedMapper;
import fabulum.server.platform.DatabaseSettings;
import fabulum.server.platform.DiskReserve;
import java.time.Clock;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The feed of everything that changes, written in the transaction of each change. In one process a
 * commit tells its listeners directly; the feed is what they catch up from: after a restart, after
 * hearing of a change failed, and when another process made it.
 */
@Service
public class ChangeFeed {
  private static final Logger log = LoggerFactory.getLogger(ChangeFeed.class);
  private static final int AT_ONCE = 2_000;

  private final FeedMapper changes;
  private final FeedSettings settings;
  private final String node;
  private final TransactionTemplate transactions;
  private final ApplicationEventPublisher events;
  private final DiskReserve reserve;
  private final Clock clock;
  private final AtomicBoolean missed = new AtomicBoolean();
  private volatile FeedCursor cursor = FeedCursor.after(0);
  private volatile boolean begun;

  ChangeFeed(
      FeedMapper changes,
      FeedSettings settings,
      DatabaseSettings database,
      TransactionTemplate transactions,
      ApplicationEventPublisher events,
      DiskReserve reserve,
      Clock clock) {
    this.changes = changes;
    this.settings = settings;
    this.node = database.node();
    this.transactions = transactions;
    this.events = events;
    this.reserve = reserve;
    this.clock = clock;
  }

  /** Writes a change. To be used in the transaction that makes it. */
  public void append(Change.Kind kind, long subject, long version, @Nullable String detail) {
    changes.insert(clock.instant(), kind, subject, version, detail, node);
  }

  /** Before anything else is loaded into memory, so that nothing falls between. */
  @EventListener(ApplicationReadyEvent.class)
  @Order(-1)
  void begin() {
    long settled = changes.getLastBefore(clock.instant().minus(FeedCursor.LONGEST_COMMIT));
    // What is visible already will be loaded with everything else.
    cursor =
        FeedCursor.after(settled)
            .read(items(changes.list(settled, AT_ONCE)), clock.instant())
            .next();
    begun = true;
  }

  private static List<Item> items(List<Change> changes) {
    return changes.stream().map(change -> new Item(change.number(), change.at())).toList();
  }

  /** The number before which no change can still become visible. */
  public long settled() {
    return cursor.settled();
  }

  /** The changes after a number, ascending; at most this number. */
  public List<Change> listAfter(long number, int limit) {
    return changes.list(number, limit);
  }

  /** Whether the feed still has everything that came after a number. */
  public boolean reaches(long number) {
    return number >= changes.getFirst() - 1 && number <= changes.getLast();
  }

  /** Hearing of a change failed: what is not settled will be told again. */
  public void missed() {
    missed.set(true);
  }

  @Scheduled(initialDelay = 1, fixedDelay = 1, timeUnit = TimeUnit.SECONDS)
  void follow() {
    if (!begun) {
      return;
    }
    boolean again = missed.getAndSet(false);
    try {
      follow(again);
    } catch (RuntimeException e) {
      missed.compareAndSet(false, again);
      log.warn("The feed of changes could not be read; trying again", e);
    }
  }

  private void follow(boolean again) {
    List<Change> visible = changes.list(cursor.settled(), AT_ONCE);
    Reading reading = cursor.read(items(visible), clock.instant());
    Set<Long> fresh = new HashSet<>(reading.fresh());
    List<Change> found =
        visible.stream()
            .filter(
                change -> again || (fresh.contains(change.number()) && !change.node().equals(node)))
            .toList();
    if (!found.isEmpty()) {
      transactions.executeWithoutResult(
          status -> found.forEach(change -> events.publishEvent(new ChangeFound(change))));
    }
    cursor = reading.next();
  }

  @Scheduled(initialDelay = 1, fixedDelay = 10, timeUnit = TimeUnit.MINUTES)
  void prune() {
    if (!reserve.isStopped()) {
      changes.deleteBefore(clock.instant().minus(settings.kept()));
    }
  }
}
