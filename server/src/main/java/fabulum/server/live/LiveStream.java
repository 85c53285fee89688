package fabulum.server.live;

import fabulum.core.access.Sight;
import fabulum.core.access.Spot;
import fabulum.server.access.StaffId;
import fabulum.server.accounts.SignIns;
import fabulum.server.accounts.SignedIn;
import fabulum.server.feed.Position;
import fabulum.server.feed.Positions;
import fabulum.server.lines.Sights;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;

/**
 * Tells open browsers what changed, in the order it was committed, and each only of what its owner
 * sees. The last messages are remembered, so that one who was away briefly is told what they
 * missed; one who was away longer is told to read again. A browser that stalls fills its own queue
 * and delays nobody.
 */
@Service
public class LiveStream implements SmartLifecycle {
  private final Sights sights;
  private final SignIns signIns;
  private final Positions positions;
  private final MissedChanges missedChanges;
  private final Set<Subscription> subscriptions = ConcurrentHashMap.newKeySet();
  private final Recent recent = new Recent();
  private volatile boolean open = true;

  LiveStream(Sights sights, SignIns signIns, Positions positions, MissedChanges missedChanges) {
    this.sights = sights;
    this.signIns = signIns;
    this.positions = positions;
    this.missedChanges = missedChanges;
  }

  private static Told told(Position position, LiveMessage message, Audience audience) {
    return new Told(position.text(), position.number(), message, audience);
  }

  /** Who is signed out hears nothing more, at once. */
  @EventListener
  void ended(SignIns.Ended ended) {
    subscriptions.stream().filter(one -> one.signIn() == ended.id()).forEach(Subscription::close);
  }

  /** Tells every open browser whose owner is meant, and remembers it for those who are away. */
  synchronized void broadcast(LiveMessage message, Audience audience) {
    Told told = told(positions.next(), message, audience);
    recent.add(told);
    Map<Long, Sight> seen = new HashMap<>();
    for (Subscription subscription : subscriptions) {
      offer(subscription, told, seen);
    }
  }

  private void offer(Subscription subscription, Told told, Map<Long, Sight> seen) {
    if (!signIns.isLive(subscription.signIn())) {
      subscription.close();
      return;
    }
    Sight sight = seen.computeIfAbsent(subscription.who(), who -> sights.of(new StaffId(who)));
    if (told.audience().has(sight)) {
      subscription.offer(told);
    }
  }

  /**
   * Begins to listen.
   *
   * @param after the position last heard, or asked for before anything was read; null for a browser
   *     that reads everything once it listens
   */
  public Subscription listen(SignedIn who, Listener listener, @Nullable String after) {
    Subscription subscription = new Subscription(who, listener, subscriptions::remove);
    Optional<Position> heard = Position.read(after);
    boolean ofThisRun = heard.filter(positions::has).isPresent();
    if (after == null || ofThisRun) {
      goOn(subscription, heard.map(Position::number).orElse(null));
      return subscription;
    }
    // From here on it hears what happens; what happened before comes from the feed. A browser never
    // lets an older row stand over a newer one.
    join(subscription);
    List<LiveMessage> missed =
        heard.flatMap(position -> missedChanges.since(position.settled())).orElse(null);
    if (missed == null) {
      subscription.offer(now(LiveMessage.readAgain()));
      return subscription;
    }
    Map<Long, Sight> seen = new HashMap<>();
    for (LiveMessage message : missed) {
      Spot spot = Objects.requireNonNull(message.conversation()).spot();
      offer(subscription, new Told(after, 0, message, Audience.seeing(spot)), seen);
    }
    subscription.offer(now(LiveMessage.beat()));
    return subscription;
  }

  private synchronized void join(Subscription subscription) {
    subscriptions.add(subscription);
  }

  private synchronized void goOn(Subscription subscription, @Nullable Long heard) {
    subscriptions.add(subscription);
    long last = positions.now().number();
    Optional<List<Told>> missed =
        heard == null ? Optional.of(List.of()) : recent.after(heard, last);
    if (missed.isEmpty()) {
      subscription.offer(now(LiveMessage.readAgain()));
      return;
    }
    List<Told> unheard = missed.get();
    // A browser that breaks off again right after this has heard nothing of what they missed.
    long before = unheard.isEmpty() ? last : unheard.get(0).number() - 1;
    subscription.offer(told(positions.at(before), LiveMessage.beat(), Audience.everybody()));
    Map<Long, Sight> seen = new HashMap<>();
    unheard.forEach(told -> offer(subscription, told, seen));
  }

  private synchronized Told now(LiveMessage message) {
    return told(positions.now(), message, Audience.everybody());
  }

  /** How many browsers listen. */
  public int listeners() {
    return subscriptions.size();
  }

  @Scheduled(fixedRate = 15, timeUnit = TimeUnit.SECONDS)
  synchronized void beat() {
    Map<Long, Sight> seen = new HashMap<>();
    subscriptions.forEach(one -> offer(one, now(LiveMessage.beat()), seen));
  }

  @Override
  public void start() {}

  /** Streams are closed before the web server waits for open requests. */
  @Override
  public void stop() {
    subscriptions.forEach(Subscription::close);
    open = false;
  }

  @Override
  public boolean isRunning() {
    return open;
  }

  @Override
  public int getPhase() {
    return Integer.MAX_VALUE;
  }
}
