package fabulum.server.work;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Work that goes on for a customer.
 *
 * @param number by which people name it
 * @param standing how far it is, in a few words
 * @param conversationId the conversation it is about; null for none
 * @param outsideId how another program names it
 * @param version grows with each change
 */
public record Job(
    long id,
    long customerId,
    @Nullable String number,
    String what,
    String standing,
    State state,
    @Nullable String place,
    @Nullable Instant openedAt,
    @Nullable Instant closedAt,
    @Nullable Long conversationId,
    @Nullable String outsideId,
    long version) {

  /** Whether it goes on. */
  public enum State {
    OPEN,
    CLOSED
  }

  /** As it is, to be wanted otherwise. */
  public Wanted wanted() {
    return new Wanted(
        number == null ? "" : number,
        what,
        standing,
        state,
        place == null ? "" : place,
        conversationId);
  }

  /**
   * What a person says of a job.
   *
   * @param number at most 40 characters; blank for none
   * @param what 1 to 200 characters
   * @param standing at most 120 characters
   * @param place at most 160 characters; blank for none
   * @param conversationId the conversation it is about; null for none
   */
  public record Wanted(
      String number,
      String what,
      String standing,
      State state,
      String place,
      @Nullable Long conversationId) {
    public Wanted {
      number = number.strip();
      what = what.strip();
      standing = standing.strip();
      place = place.strip();
    }
  }
}
