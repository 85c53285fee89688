package fabulum.server.messaging;

import fabulum.server.messaging.store.OutboxMapper;
import fabulum.server.messaging.store.OutboxRow;
import java.time.Clock;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ThreadFactory;
import java.util.concurrent.TimeUnit;
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
 * conversation strictly in order, so that a customer reads our texts as we wrote them.
 */
@Component
class Dispatcher implements SmartLifecycle {
  private static final Logger log = LoggerFactory.getLogger(Dispatcher.class);
  private static final int AT_ONCE = 100;
  private static final long SECONDS_TO_FINISH = 12;

  private final OutboxMapper outbox;
  private final Attempt attempt;
  private final Clock clock;
  private final ExecutorService senders;
  private final Set<Long> busyConversations = ConcurrentHashMap.newKeySet();
  private final ExecutorService rounds = Executors.newSingleThreadExecutor(named("outbox-rounds"));
  private volatile boolean open;

  Dispatcher(OutboxMapper outbox, Attempt attempt, Clock clock, NetworkSettings settings) {
    this.outbox = outbox;
    this.attempt = attempt;
    this.clock = clock;
    this.senders = Executors.newFixedThreadPool(settings.senders(), named("outbox-sender"));
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
    int left = outbox.askFirstForAll();
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
    if (open) {
      rounds.execute(this::handOut);
    }
  }

  private void handOut() {
    try {
      for (OutboxRow row : outbox.listDue(clock.instant(), AT_ONCE)) {
        if (open && busyConversations.add(row.conversationId())) {
          senders.execute(() -> carry(row));
        }
      }
    } catch (RuntimeException e) {
      log.warn("The outbox could not be read; trying again", e);
    }
  }

  private void carry(OutboxRow row) {
    boolean sent = false;
    try {
      sent = attempt.at(row.id());
    } catch (RuntimeException e) {
      log.warn("Text {} stays in the outbox", row.entryId(), e);
    } finally {
      busyConversations.remove(row.conversationId());
    }
    if (sent) {
      round();
    }
  }

  @Override
  public void start() {}

  @Override
  public void stop() {
    open = false;
    rounds.shutdown();
    senders.shutdown();
    try {
      if (!senders.awaitTermination(SECONDS_TO_FINISH, TimeUnit.SECONDS)) {
        log.warn("Some texts were still on their way; they will be looked up at the next start");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  @Override
  public boolean isRunning() {
    return !senders.isShutdown();
  }
}
