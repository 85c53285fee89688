package fabulum.core.imports;

import fabulum.core.phone.PhoneNumber;
import java.util.Optional;

/**
 * How a row names the customer it is about.
 *
 * @param outsideId how another program names them
 * @param name blank where the file does not say
 */
public record CustomerRef(
    Optional<String> outsideId, Optional<PhoneNumber> number, Optional<String> email, String name) {

  /** Whether it names nobody. */
  public boolean isEmpty() {
    return outsideId.isEmpty() && number.isEmpty() && email.isEmpty() && name.isEmpty();
  }

  @Override
  public String toString() {
    return "CustomerRef[…]";
  }
}
