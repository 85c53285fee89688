package fabulum.core.identify;

import fabulum.core.phone.PhoneNumber;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;

/**
 * Texts of a number whose writer is sought.
 *
 * @param number empty for a sender that is no phone number
 * @param texts what the number and we said to each other, oldest first; at least one of theirs
 * @param zone where the business is: decides which day it is
 * @param registeredTo the name the number is registered under; empty when that is not known
 */
public record Inquiry(
    Optional<PhoneNumber> number, List<Spoken> texts, ZoneId zone, Optional<String> registeredTo) {
  public Inquiry {
    texts = List.copyOf(texts);
    if (texts.stream().allMatch(Spoken::ours)) {
      throw new IllegalArgumentException("Nobody wrote");
    }
  }

  /** Of a number of which nobody knows to whom it is registered. */
  public Inquiry(Optional<PhoneNumber> number, List<Spoken> texts, ZoneId zone) {
    this(number, texts, zone, Optional.empty());
  }

  /** When the last of their texts came. */
  public Instant asOf() {
    return texts.stream()
        .filter(text -> !text.ours())
        .map(Spoken::at)
        .max(Instant::compareTo)
        .orElseThrow();
  }
}
