package fabulum.core.phone;

import java.util.Optional;
import java.util.regex.Pattern;

/**
 * A phone number in the international form of ITU-T E.164: a plus sign and 7 to 15 digits, the
 * first not zero.
 *
 * @param e164 the number, for example {@code +13125550123}
 */
public record PhoneNumber(String e164) implements Sender {
  private static final Pattern FORM = Pattern.compile("\\+[1-9]\\d{6,14}");

  public PhoneNumber {
    if (!isE164(e164)) {
      throw new IllegalArgumentException("Not a number in E.164: " + mask(e164));
    }
  }

  /** Whether a text is a number in E.164: a plus sign and 7 to 15 digits. */
  public static boolean isE164(String text) {
    return FORM.matcher(text).matches();
  }

  @Override
  public String address() {
    return e164;
  }

  @Override
  public Optional<PhoneNumber> answerable() {
    return Optional.of(this);
  }

  /** Masked: a log shows the last two digits only. */
  @Override
  public String toString() {
    return mask(e164);
  }

  private static String mask(String number) {
    int shown = Math.min(2, number.length());
    return "…" + number.substring(number.length() - shown);
  }
}
