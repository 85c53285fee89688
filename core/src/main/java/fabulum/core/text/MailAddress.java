package fabulum.core.text;

import java.util.regex.Pattern;

/** E-mail addresses as people type them. */
public final class MailAddress {
  private static final Pattern FORM = Pattern.compile("[^\\s@]+@[^\\s@]+\\.[^\\s@]+");

  private MailAddress() {}

  /** Whether words have the form of an address; whether it exists only a mail shows. */
  public static boolean is(String words) {
    return FORM.matcher(words).matches();
  }
}
