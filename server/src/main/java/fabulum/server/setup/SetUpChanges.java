package fabulum.server.setup;

import fabulum.core.access.Act;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Reckoning;
import fabulum.server.feed.Change;
import fabulum.server.feed.ChangeFeed;
import fabulum.server.feed.ChangeFound;
import fabulum.server.lines.LineId;
import fabulum.server.ownership.OwnedWork;
import fabulum.server.platform.CachedSetUp;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Carries out what leads change in the set-up while everybody works: in one transaction with its
 * place in the feed; what waits is reckoned again at once, and every open browser is told.
 */
@Component
class SetUpChanges {
  /** How often what waits is reckoned again after a change, in case a text came in just then. */
  private static final int AGAIN = 2;

  private final List<CachedSetUp> cached;
  private final Reckoning reckoning;
  private final OwnedWork work;
  private final Permits permits;
  private final TransactionTemplate transactions;
  private final ChangeFeed feed;
  private final ApplicationEventPublisher events;
  private final AtomicInteger owed = new AtomicInteger();

  /** Held from a change to its own reckoning, so that no other reckoning comes between. */
  private final ReentrantLock turn = new ReentrantLock();

  SetUpChanges(
      List<CachedSetUp> cached,
      Reckoning reckoning,
      OwnedWork work,
      Permits permits,
      TransactionTemplate transactions,
      ChangeFeed feed,
      ApplicationEventPublisher events) {
    this.cached = List.copyOf(cached);
    this.reckoning = reckoning;
    this.work = work;
    this.permits = permits;
    this.transactions = transactions;
    this.feed = feed;
    this.events = events;
  }

  /** The change first, then the reckoning: others go on meanwhile. */
  Outcome carryOut(StaffId by, Supplier<Long> change) {
    return carryOut(by, change, id -> Optional.empty());
  }

  /** The same with a line that is new, which only those who see it have to be told of. */
  Outcome carryOutForNewLine(StaffId by, Supplier<Long> change) {
    return carryOut(by, change, id -> Optional.of(new LineId(id)));
  }

  private Outcome carryOut(
      StaffId by, Supplier<Long> change, Function<Long, Optional<LineId>> added) {
    permits.require(by, Act.LEAD);
    turn.lock();
    try {
      Outcome outcome = changeAndReckon(change);
      events.publishEvent(new SetUpChanged(added.apply(outcome.id())));
      return outcome;
    } finally {
      turn.unlock();
    }
  }

  private Outcome changeAndReckon(Supplier<Long> change) {
    long id =
        transactions.execute(status -> {
          long changed = change.get();
          feed.append(Change.Kind.SET_UP, changed, 0, null);
          return changed;
        });
    cached.forEach(CachedSetUp::forget);
    int reckoned = reckoning.reckonDue();
    work.letGoUnseen();
    owed.set(AGAIN);
    return new Outcome(id, reckoned);
  }

  /**
   * A text that was coming in while the change was made may have been reckoned by what was before.
   */
  @Scheduled(fixedDelay = 2, timeUnit = TimeUnit.SECONDS)
  void reckonAgain() {
    if (owed.get() == 0) {
      return;
    }
    turn.lock();
    try {
      owed.decrementAndGet();
      reckoning.reckonDue();
    } finally {
      turn.unlock();
    }
  }

  @EventListener
  void found(ChangeFound found) {
    if (found.change().kind() == Change.Kind.SET_UP) {
      cached.forEach(CachedSetUp::forget);
      events.publishEvent(new SetUpChanged(Optional.empty()));
    }
  }
}
