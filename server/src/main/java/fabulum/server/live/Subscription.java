package fabulum.server.live;

import fabulum.server.accounts.SignedIn;
import java.io.IOException;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;

/** One listening browser: a bounded queue, and a thread that empties it. */
public final class Subscription {
  private static final int ROOM = 256;

  private final SignedIn signedIn;
  private final Listener listener;
  private final Consumer<Subscription> onEnd;
  private final BlockingQueue<Told> queue = new ArrayBlockingQueue<>(ROOM);
  private final AtomicBoolean closed = new AtomicBoolean();
  private final Thread thread;

  Subscription(SignedIn signedIn, Listener listener, Consumer<Subscription> onEnd) {
    this.signedIn = signedIn;
    this.listener = listener;
    this.onEnd = onEnd;
    this.thread = new Thread(this::tellOn, "live-listener");
    thread.setDaemon(true);
    thread.start();
  }

  /** Who listens. */
  long who() {
    return signedIn.staffId();
  }

  /** The sign-in by which they do. */
  long signIn() {
    return signedIn.signInId();
  }

  /**
   * Queues a message; a browser so slow that its queue is full is told to read again instead of
   * what it missed.
   */
  void offer(Told told) {
    if (!queue.offer(told)) {
      queue.clear();
      queue.add(
          new Told(told.position(), told.number(), LiveMessage.readAgain(), Audience.everybody()));
    }
  }

  private void tellOn() {
    try {
      while (true) {
        Told told = queue.take();
        listener.tell(told.position(), told.message());
      }
    } catch (InterruptedException | IOException | IllegalStateException gone) {
      close();
    }
  }

  /** Ends it. */
  public void close() {
    if (closed.compareAndSet(false, true)) {
      onEnd.accept(this);
      thread.interrupt();
      try {
        listener.ended();
      } catch (IllegalStateException alreadyOver) {
        // The browser hung up at the same moment; there is nothing left to end.
      }
    }
  }
}
