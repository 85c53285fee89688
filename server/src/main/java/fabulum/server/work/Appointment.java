package fabulum.server.work;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Something agreed with a customer for a time.
 *
 * @param endsAt null where nobody said
 * @param conversationId the conversation in which it was agreed; null for none
 * @param outsideId how another program names it
 * @param version grows with each change
 */
public record Appointment(
    long id,
    long customerId,
    String what,
    Instant startsAt,
    @Nullable Instant endsAt,
    @Nullable String place,
    State state,
    @Nullable Long conversationId,
    @Nullable String outsideId,
    long version) {

  /** How it stands. */
  public enum State {
    /** It is agreed. */
    AGREED,
    /** It took place. */
    KEPT,
    /** The customer did not come. */
    MISSED,
    /** It does not take place. */
    CANCELLED
  }

  /** As it is, to be wanted otherwise. */
  public Wanted wanted() {
    return new Wanted(what, startsAt, endsAt, place == null ? "" : place, state, conversationId);
  }

  /**
   * What a person says of an appointment.
   *
   * @param what 1 to 160 characters
   * @param place at most 160 characters; blank for none
   * @param conversationId the conversation in which it is agreed; null for none
   */
  public record Wanted(
      String what,
      Instant startsAt,
      @Nullable Instant endsAt,
      String place,
      State state,
      @Nullable Long conversationId) {
    public Wanted {
      what = what.strip();
      place = place.strip();
    }
  }
}
