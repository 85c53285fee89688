package fabulum.core.delivery;

import java.time.Instant;
import java.util.Optional;

/**
 * A text of ours that was not delivered.
 *
 * @param sending as what it was sent
 * @param answered since when the customer had waited for it; empty when it answered nobody
 * @param failedAt when that became known
 */
public record Failure(Sending sending, Optional<Instant> answered, Instant failedAt) {

  /** As what a text was sent. */
  public enum Sending {
    /** Written by one person for one conversation. */
    ANSWER,
    /** One of many that one act sent; that act shows which of them did not arrive. */
    ONE_OF_MANY
  }

  /**
   * Whether the conversation is our turn because of it. What was meant for one customer always is.
   * One of many is where someone waited for it; the others are shown with the act that sent them.
   */
  public boolean needsAHand() {
    return sending == Sending.ANSWER || answered.isPresent();
  }

  /** Since when the customer waits: since the text it was to answer, else since it failed. */
  public Instant waiting() {
    return answered.orElse(failedAt);
  }
}
