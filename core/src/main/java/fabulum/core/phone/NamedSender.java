package fabulum.core.phone;

import java.util.Optional;

/**
 * A sender that is no phone number: a short code such as {@code 78777} or a name such as {@code
 * LAKEWATCH}. It can be read and not answered.
 *
 * @param address as the network gave it, trimmed; 1 to 40 characters
 */
public record NamedSender(String address) implements Sender {
  /** The longest sender kept, in UTF-16 units. */
  public static final int LONGEST = 40;

  public NamedSender {
    if (address.isBlank() || address.length() > LONGEST || !address.equals(address.strip())) {
      throw new IllegalArgumentException(
          "A sender has 1 to " + LONGEST + " characters without space around them");
    }
  }

  @Override
  public Optional<PhoneNumber> answerable() {
    return Optional.empty();
  }
}
