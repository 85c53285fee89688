package fabulum.server.messaging;

import fabulum.server.messaging.store.OutboxMapper;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.stereotype.Service;

/** How the outbox stands. */
@Service
public class OutboxState {
  private final OutboxMapper outbox;
  private final Clock clock;

  OutboxState(OutboxMapper outbox, Clock clock) {
    this.outbox = outbox;
    this.clock = clock;
  }

  /**
   * How the outbox stands.
   *
   * @param waiting texts that wait to go to the network
   * @param oldest how long the first of them has been due; zero for none
   */
  public record Outbox(int waiting, Duration oldest) {}

  /** How the outbox stands now. */
  public Outbox now() {
    Instant first = outbox.findFirstDue();
    Instant now = clock.instant();
    boolean late = first != null && first.isBefore(now);
    return new Outbox(outbox.count(), late ? Duration.between(first, now) : Duration.ZERO);
  }
}
