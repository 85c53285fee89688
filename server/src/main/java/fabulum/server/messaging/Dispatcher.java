package fabulum.server.messaging;

import fabulum.core.delivery.NextStep.WaitForNetwork;
import fabulum.core.sending.Author.Lane;
import fabulum.server.messaging.Attempt.Result;
import fabulum.server.messaging.store.OutboxMapper;
import fabulum.server.messaging.store.OutboxRow;
import fabulum.server.platform.DatabaseSettings;
import fabulum.server.platform.DiskReserve;
import fabulum.server.platform.NetworkSettings;
import fabulum.server.platform.Steadily;
import fabulum.server.platform.Troubles;
import java.time.Clock;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Semaphore;
import java.util.concurrent.ThreadFactory;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Takes what waits in the outbox to the network. Several conversations at once, but within one
 * conversation strictly in order, so that a customer reads our texts as we wrote them. Each lane
 * has senders of its own, so that the texts of an act on many never stand before a single one.
 */
@Component
class Dispatcher implements SmartLifecycle {
  private static final Logger log = LoggerFactory.getLogger(Dispatcher.class);
  private static final long SECONDS_TO_FINISH = 12;

  private final OutboxMapper outbox;
  private final Attempt attempt;
  private final Clock clock;
  private final Map<Lane, ExecutorService> senders = new EnumMap<>(Lane.class);

  /** Nothing is handed out before there is a sender for it: meanwhile it may move up a lane. */
  private final Map<Lane, Semaphore> idle = new EnumMap<>(Lane.class);

  private final String node;
  private final Set<Long> busyConversations = ConcurrentHashMap.newKeySet();
  private final ExecutorService rounds = Executors.newSingleThreadExecutor(named("outbox-rounds"));
  private final Steadily<Long> conversations = new Steadily<>("A text stays in the outbox");
  private final DiskReserve disk;
  private final Troubles troubles;
  private volatile boolean open;

  /**
   * Until when the network is left alone, because it does not deal with us; and since how often.
   */
  private volatile @Nullable Instant closedUntil;

  private final AtomicBoolean roundAsked = new AtomicBoolean();
  private final AtomicInteger closedTries = new AtomicInteger();

  Dispatcher(
      OutboxMapper outbox,
      Attempt attempt,
      Clock clock,
      NetworkSettings settings,
      DatabaseSettings database,
      DiskReserve disk,
      Troubles troubles) {
    this.outbox = outbox;
    this.attempt = attempt;
    this.clock = clock;
    this.disk = disk;
    this.troubles = troubles;
    this.node = database.node();
    for (Lane lane : Lane.values()) {
      int threads =
          switch (lane) {
            case SINGLE -> settings.senders();
            case MANY -> Math.max(1, settings.senders() / 2);
          };
      senders.put(lane, Executors.newFixedThreadPool(threads, named("outbox-" + lane)));
      idle.put(lane, new Semaphore(threads));
    }
  }

  private static ThreadFactory named(String name) {
    return work -> {
      Thread thread = new Thread(work, name);
      thread.setDaemon(true);
      return thread;
    };
  }

  /**
   * Whatever was on its way when the last run ended may have arrived: ask before sending it again.
   */
  @EventListener(ApplicationReadyEvent.class)
  @Order(10)
  void open() {
    int left = outbox.takeBackAll(node);
    if (left > 0) {
      log.info("{} texts were waiting in the outbox", left);
    }
    open = true;
    round();
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void filled(OutboxFilled event) {
    round();
  }

  @Scheduled(fixedDelay = 500, timeUnit = TimeUnit.MILLISECONDS)
  void round() {
    if (open && roundAsked.compareAndSet(false, true)) {
      rounds.execute(this::handOut);
    }
  }

  private void handOut() {
    roundAsked.set(false);
    try {
      Instant now = clock.instant();
      Instant closed = closedUntil;
      if (disk.isStopped() || (closed != null && now.isBefore(closed))) {
        return;
      }
      for (Lane lane : Lane.values()) {
        int free = Objects.requireNonNull(idle.get(lane)).availablePermits();
        if (free == 0) {
          continue;
        }
        // A network that does not deal with us is tried with one text, not with all of them.
        int most = closed == null ? free + busyConversations.size() + conversations.failing() : 1;
        List<OutboxRow> due = outbox.listDue(lane, now, most);
        due.forEach(row -> handOut(row, lane));
        if (closed != null && !due.isEmpty()) {
          return;
        }
      }
    } catch (RuntimeException e) {
      log.warn("The outbox could not be read; trying again", e);
    }
  }

  private void handOut(OutboxRow row, Lane lane) {
    if (!open
        || !conversations.isReady(row.conversationId())
        || !busyConversations.add(row.conversationId())) {
      return;
    }
    Semaphore senderOfLane = Objects.requireNonNull(idle.get(lane));
    if (!senderOfLane.tryAcquire()) {
      busyConversations.remove(row.conversationId());
      return;
    }
    Objects.requireNonNull(senders.get(lane)).execute(() -> carry(row, senderOfLane));
  }

  private void carry(OutboxRow row, Semaphore senderOfLane) {
    AtomicBoolean goOn = new AtomicBoolean();
    try {
      conversations.attempt(row.conversationId(), any -> goOn.set(carryOut(row)));
    } finally {
      busyConversations.remove(row.conversationId());
      senderOfLane.release();
    }
    if (goOn.get()) {
      round();
    }
  }

  private boolean carryOut(OutboxRow row) {
    Result result;
    try {
      result = attempt.at(row.id(), closedTries.get());
    } catch (RuntimeException e) {
      log.warn("What came of text {} could not be kept; it is asked about later", row.entryId(), e);
      attempt.broke(row.id());
      return false;
    }
    if (result instanceof Result.Closed closed) {
      closed(closed.until());
      return false;
    }
    boolean wasClosed = closedUntil != null;
    opened();
    return wasClosed || result instanceof Result.Left;
  }

  private void closed(WaitForNetwork until) {
    closedTries.incrementAndGet();
    closedUntil = until.at();
    troubles.report(
        Troubles.Kind.NETWORK,
        "The phone network does not take texts from us: "
            + until.why()
            + " Texts wait in the outbox and go out as soon as it does. Check the address and key of"
            + " the network in the configuration.");
  }

  private void opened() {
    if (closedUntil != null) {
      closedUntil = null;
      closedTries.set(0);
      troubles.over(Troubles.Kind.NETWORK);
    }
  }

  @Override
  public void start() {}

  @Override
  public void stop() {
    open = false;
    rounds.shutdown();
    senders.values().forEach(ExecutorService::shutdown);
    long deadline = System.nanoTime() + TimeUnit.SECONDS.toNanos(SECONDS_TO_FINISH);
    try {
      boolean finished = true;
      for (ExecutorService lane : senders.values()) {
        finished &= lane.awaitTermination(deadline - System.nanoTime(), TimeUnit.NANOSECONDS);
      }
      if (!finished) {
        log.warn("Some texts were still on their way; they will be looked up at the next start");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  @Override
  public boolean isRunning() {
    return !rounds.isShutdown();
  }
}
