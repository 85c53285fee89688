package fabulum.core.template;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What a placeholder takes its value from. */
public enum ValueFrom {
  CUSTOMER,
  /** The person who writes. */
  STAFF,
  LINE,
  SITE,
  /** The customer's next appointment. */
  APPOINTMENT,
  /** The customer's open job. */
  JOB,
  /** Opening hours of the line, today. */
  HOURS,
  /** A saved link of the business. */
  LINK;

  /** As it is written in a placeholder. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** Reads a word, in any case. */
  public static Optional<ValueFrom> read(String word) {
    return Arrays.stream(values()).filter(one -> one.word().equalsIgnoreCase(word)).findFirst();
  }
}
