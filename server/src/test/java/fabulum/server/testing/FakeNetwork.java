package fabulum.server.testing;

import fabulum.core.delivery.ClientReference;
import fabulum.core.delivery.DeliveryState;
import fabulum.core.delivery.Gateway;
import fabulum.core.delivery.SendOutcome;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.function.Predicate;

/** A network inside the test: it does as it is told, and takes everything otherwise. */
public final class FakeNetwork implements Gateway {
  private static final long PATIENCE_NANOS = 180_000_000_000L;
  private static final long LOOK_AGAIN_MILLIS = 50;

  /** Every text that was handed over, also those that were refused. */
  public final List<OutgoingText> handed = new CopyOnWriteArrayList<>();

  /** What to answer next; when empty, texts are accepted. */
  public final Queue<SendOutcome> script = new ConcurrentLinkedQueue<>();

  /** References the network has although it never said so. */
  public final Map<String, String> secretlyTaken = new ConcurrentHashMap<>();

  /** How far the texts have come that it is asked about; others are sent. */
  public final Map<String, DeliveryState> states = new ConcurrentHashMap<>();

  /** What it received for us. */
  public final List<IncomingText> received = new ArrayList<>();

  /** While there is one, this is the answer to everything. */
  public volatile Optional<SendOutcome.Closed> closed = Optional.empty();

  /** Texts that hang in the network until {@link #letGo}. */
  public volatile Predicate<OutgoingText> held = text -> false;

  private final CountDownLatch free = new CountDownLatch(1);

  /** References that were asked about. */
  public final List<String> asked = new CopyOnWriteArrayList<>();

  @Override
  public SendOutcome send(OutgoingText text) {
    SendOutcome outcome = take(text);
    if (held.test(text)) {
      try {
        free.await();
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IllegalStateException(e);
      }
    }
    return outcome;
  }

  /** What hung goes on. */
  public void letGo() {
    free.countDown();
  }

  /** As at the start, but for what still hangs. */
  public void forget() {
    List.of(handed, script, received, asked).forEach(Collection::clear);
    List.of(secretlyTaken, states).forEach(Map::clear);
    closed = Optional.empty();
    held = text -> false;
  }

  private synchronized SendOutcome take(OutgoingText text) {
    handed.add(text);
    notifyAll();
    if (closed.isPresent()) {
      return closed.get();
    }
    SendOutcome scripted = script.poll();
    return scripted != null ? scripted : new SendOutcome.Accepted("n-" + text.reference().value());
  }

  @Override
  public LookUp find(ClientReference reference) {
    asked.add(reference.value());
    String id = secretlyTaken.get(reference.value());
    return id == null
        ? new LookUp.NotKnown()
        : new LookUp.Known(
            id, states.getOrDefault(reference.value(), DeliveryState.SENT), null, null, List.of());
  }

  @Override
  public Listing listReceived(Instant from, Instant to) {
    return Listing.of(
        received.stream()
            .filter(text -> !text.receivedAt().isBefore(from) && text.receivedAt().isBefore(to))
            .toList());
  }

  /** How often a text with these words was handed over. */
  public long timesHanded(String words) {
    return handed.stream().filter(text -> text.words().equals(words)).count();
  }

  /**
   * Waits until the words were handed over this often; {@code meanwhile} is done again and again,
   * to move the clock.
   */
  public synchronized void awaitHanded(String words, int times, Runnable meanwhile) {
    long deadline = System.nanoTime() + PATIENCE_NANOS;
    while (timesHanded(words) < times) {
      if (System.nanoTime() > deadline) {
        throw new AssertionError("Handed over " + timesHanded(words) + " times: " + words);
      }
      meanwhile.run();
      try {
        wait(LOOK_AGAIN_MILLIS);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IllegalStateException(e);
      }
    }
  }
}
