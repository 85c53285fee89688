package fabulum.core.delivery;

import java.util.regex.Pattern;

/**
 * Our own name for one text to send, made once. A network that gets it twice sends once.
 *
 * @param value 8 to 64 letters, digits and hyphens
 */
public record ClientReference(String value) {
  /** The form, as a regular expression. */
  public static final String FORM = "[A-Za-z0-9-]{8,64}";

  /** The form, in words. */
  public static final String SAID = "A reference has 8 to 64 letters, digits and hyphens.";

  private static final Pattern PATTERN = Pattern.compile(FORM);

  public ClientReference {
    if (!isWellFormed(value)) {
      throw new IllegalArgumentException(SAID);
    }
  }

  /** Whether {@code value} would do as a reference. */
  public static boolean isWellFormed(String value) {
    return PATTERN.matcher(value).matches();
  }
}
