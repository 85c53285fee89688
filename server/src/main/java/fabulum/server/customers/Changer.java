package fabulum.server.customers;

import fabulum.server.access.StaffId;
import org.jspecify.annotations.Nullable;

/**
 * Who changes something on file: a person, another program, or Fabulum itself when neither.
 *
 * @param staff a person's id; null for none
 * @param program a program's id; null for none
 */
public record Changer(@Nullable Long staff, @Nullable Long program) {
  /** Fabulum itself. */
  public static final Changer ITSELF = new Changer(null, null);

  /** A person. */
  public static Changer person(StaffId id) {
    return new Changer(id.value(), null);
  }

  /** Another program. */
  public static Changer program(long id) {
    return new Changer(null, id);
  }
}
