package fabulum.server.feed;

import java.util.UUID;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.stereotype.Component;

/**
 * Where the stream of messages to open browsers stands. What is read after the position was asked
 * for, and what is told after it, together miss nothing: a message is numbered after the commit it
 * tells of.
 */
@Component
public class Positions {
  private final String run = UUID.randomUUID().toString().substring(0, 8);
  private final AtomicLong last = new AtomicLong();
  private final ChangeFeed feed;

  Positions(ChangeFeed feed) {
    this.feed = feed;
  }

  /** That of the last message of this run, or of its beginning. */
  public Position now() {
    return at(last.get());
  }

  /** That of a new message. */
  public Position next() {
    return at(last.incrementAndGet());
  }

  /** That of the message of this run with a number. */
  public Position at(long number) {
    return new Position(run, number, feed.settled());
  }

  /** Whether a position is one of this run. */
  public boolean has(Position position) {
    return position.run().equals(run);
  }
}
