package fabulum.core.phone;

import java.util.Optional;

/**
 * The sender of a text: a phone number that can be answered, or a name or short code that can only
 * be read.
 */
public sealed interface Sender permits PhoneNumber, NamedSender {

  /**
   * The one spelling under which this sender is stored and compared. Never blank, at most 40
   * characters.
   */
  String address();

  /** The number to answer to; empty when the sender cannot be answered. */
  Optional<PhoneNumber> answerable();

  /** Reads a stored {@link #address()} back. */
  static Sender ofAddress(String address) {
    return PhoneNumber.isE164(address) ? new PhoneNumber(address) : new NamedSender(address);
  }
}
