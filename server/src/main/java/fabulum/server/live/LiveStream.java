package fabulum.server.live;

import fabulum.server.conversations.ConversationChanged;
import fabulum.server.conversations.EntryView;
import fabulum.server.conversations.Inbox;
import fabulum.server.setup.SetUpChanged;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Tells open browsers what changed, in the order it was committed. The last messages are
 * remembered, so that one who was away briefly is told what they missed; one who was away longer is
 * told to read again. A browser that stalls fills its own queue and delays nobody.
 */
@Service
public class LiveStream implements SmartLifecycle {
  private static final Logger log = LoggerFactory.getLogger(LiveStream.class);
  private static final int REMEMBERED = 2_000;

  private final Inbox inbox;
  private final String run = UUID.randomUUID().toString().substring(0, 8);
  private final ExecutorService teller = Executors.newSingleThreadExecutor(LiveStream::daemon);
  private final Set<Subscription> subscriptions = ConcurrentHashMap.newKeySet();
  private final Deque<Told> remembered = new ArrayDeque<>();
  private long last;

  LiveStream(Inbox inbox) {
    this.inbox = inbox;
  }

  record Told(long number, LiveMessage message) {}

  private static Thread daemon(Runnable work) {
    Thread thread = new Thread(work, "live-teller");
    thread.setDaemon(true);
    return thread;
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void changed(ConversationChanged change) {
    tellLater(() -> tell(change));
  }

  /** Lines, topics and promises show everywhere, so everyone reads again. */
  @EventListener
  void changed(SetUpChanged change) {
    tellLater(() -> broadcast(LiveMessage.readAgain()));
  }

  /** While the program ends nobody listens any more. */
  private void tellLater(Runnable telling) {
    if (!teller.isShutdown()) {
      teller.execute(telling);
    }
  }

  private void tell(ConversationChanged change) {
    try {
      // Entries first: the row is then at least as new as they are, and never contradicts them.
      List<EntryView> entries = inbox.entries(change.entries());
      inbox
          .find(change.id())
          .map(row -> new LiveMessage(LiveMessage.Type.CONVERSATION, row, entries))
          .ifPresent(this::broadcast);
    } catch (RuntimeException e) {
      log.warn("A change could not be told; everyone reads again", e);
      broadcast(LiveMessage.readAgain());
    }
  }

  private synchronized void broadcast(LiveMessage message) {
    Told told = new Told(++last, message);
    remembered.addLast(told);
    if (remembered.size() > REMEMBERED) {
      remembered.removeFirst();
    }
    subscriptions.forEach(subscription -> subscription.offer(told));
  }

  /**
   * Begins to listen.
   *
   * @param after the position last heard; null for whoever has only just read everything
   */
  public synchronized Subscription listen(Listener listener, @Nullable String after) {
    Subscription subscription = new Subscription(listener, run, subscriptions::remove);
    List<Told> missed = missed(after);
    subscriptions.add(subscription);
    subscription.offer(
        new Told(last, missed == null ? LiveMessage.readAgain() : LiveMessage.beat()));
    if (missed != null) {
      missed.forEach(subscription::offer);
    }
    return subscription;
  }

  private @Nullable List<Told> missed(@Nullable String after) {
    if (after == null) {
      return List.of();
    }
    int seam = after.indexOf('-');
    if (seam < 0
        || !after.substring(0, seam).equals(run)
        || !after.substring(seam + 1).matches("\\d{1,18}")) {
      return null;
    }
    long heard = Long.parseLong(after.substring(seam + 1));
    long oldest = remembered.isEmpty() ? last + 1 : remembered.getFirst().number();
    if (heard > last || heard < oldest - 1) {
      return null;
    }
    List<Told> missed = new ArrayList<>(remembered);
    missed.removeIf(told -> told.number() <= heard);
    return missed;
  }

  @Scheduled(fixedRate = 15, timeUnit = TimeUnit.SECONDS)
  synchronized void beat() {
    subscriptions.forEach(subscription -> subscription.offer(new Told(last, LiveMessage.beat())));
  }

  @Override
  public void start() {}

  /** Streams are closed before the web server waits for open requests. */
  @Override
  public void stop() {
    subscriptions.forEach(Subscription::close);
    teller.shutdown();
  }

  @Override
  public boolean isRunning() {
    return !teller.isShutdown();
  }

  @Override
  public int getPhase() {
    return Integer.MAX_VALUE;
  }
}
