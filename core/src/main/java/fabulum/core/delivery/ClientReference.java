package fabulum.core.delivery;

import java.util.regex.Pattern;

/**
 * Our own name for one text to send, made once. A network that gets it twice sends once.
 *
 * @param value 8 to 64 letters, digits and hyphens
 */
public record ClientReference(String value) {
  private static final Pattern FORM = Pattern.compile("[A-Za-z0-9-]{8,64}");

  public ClientReference {
    if (!isWellFormed(value)) {
      throw new IllegalArgumentException("A reference has 8 to 64 letters, digits and hyphens");
    }
  }

  /** Whether {@code value} would do as a reference. */
  public static boolean isWellFormed(String value) {
    return FORM.matcher(value).matches();
  }
}
