package fabulum.server.customers.store;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A row of customer with the name of their site; and rows of what belongs to customers. */
public record ProfileRow(long id, String name, @Nullable String email, @Nullable String site) {

  /** Words that belong to a customer: a contact's name, a note. */
  public record WordsRow(long customerId, String words) {}

  /** A number a customer holds or held. */
  public record HeldRow(
      long customerId, String address, @Nullable Instant heldFrom, @Nullable Instant heldUntil) {}

  /** A named extra field. */
  public record DetailRow(long customerId, String name, String detail) {}

  /** An appointment. */
  public record AppointmentRow(long customerId, String what, Instant startsAt) {}

  /** A job. */
  public record JobRow(long customerId, @Nullable String number, String what) {}
}
