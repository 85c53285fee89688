package fabulum.core.phone;

import com.google.i18n.phonenumbers.NumberParseException;
import com.google.i18n.phonenumbers.PhoneNumberUtil;
import com.google.i18n.phonenumbers.PhoneNumberUtil.PhoneNumberFormat;
import com.google.i18n.phonenumbers.PhoneNumberUtil.ValidationResult;
import com.google.i18n.phonenumbers.Phonenumber;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Reads numbers as people and networks write them, and writes them as people read them, by
 * libphonenumber's tables.
 */
public final class NumberReader {
  /**
   * Digits and the punctuation of numbers; letters are left alone, or LAKEWATCH would be dialled as
   * a number.
   */
  private static final Pattern DIALLED = Pattern.compile("[+\\d\\s().\\-/\\u00a0\\u2010-\\u2015]+");

  private static final int NORTH_AMERICA = 1;

  /** Ten digits of the North American Numbering Plan: area code, exchange, line. */
  private static final Pattern NORTH_AMERICAN = Pattern.compile("[2-9]\\d{2}[2-9]\\d{6}");

  private static final int SHORTEST_NATIONAL = 8;
  private static final Pattern UNLISTED_COUNTRY = Pattern.compile("\\+[2-9]\\d{9,14}");

  private final PhoneNumberUtil numbers = PhoneNumberUtil.getInstance();

  /**
   * Reads a number.
   *
   * @param written as a person or a network wrote it, for example {@code (312) 555-0123}
   * @param region where it was texted; decides what a number without country code means
   * @return the number in E.164, or empty when there can be no such number there; one that is built
   *     like a number and not listed yet is a number
   */
  public Optional<PhoneNumber> readNumber(String written, Region region) {
    String trimmed = written.strip();
    if (!DIALLED.matcher(trimmed).matches()) {
      return Optional.empty();
    }
    try {
      Phonenumber.PhoneNumber parsed = numbers.parse(trimmed, region.code());
      if (!numbers.isValidNumber(parsed) && !mayBeNew(parsed, trimmed)) {
        return Optional.empty();
      }
      String e164 = numbers.format(parsed, PhoneNumberFormat.E164);
      return PhoneNumber.isE164(e164) ? Optional.of(new PhoneNumber(e164)) : Optional.empty();
    } catch (NumberParseException notANumber) {
      return newCountry(trimmed);
    }
  }

  /**
   * Whether it is built like a number although the tables do not list it: a newly opened area code,
   * say. In the North American plan an area code and an exchange begin with 2 to 9; elsewhere the
   * length decides, and without a country code it must be long, or a short code would pass.
   */
  private boolean mayBeNew(Phonenumber.PhoneNumber parsed, String written) {
    String national = numbers.getNationalSignificantNumber(parsed);
    boolean built =
        parsed.getCountryCode() == NORTH_AMERICA
            ? NORTH_AMERICAN.matcher(national).matches()
            : national.length() >= SHORTEST_NATIONAL || written.startsWith("+");
    return built && numbers.isPossibleNumberWithReason(parsed) == ValidationResult.IS_POSSIBLE;
  }

  /** A number in E.164 whose country code the tables do not list. */
  private static Optional<PhoneNumber> newCountry(String written) {
    String bare = "+" + written.replaceAll("\\D", "");
    return written.startsWith("+") && UNLISTED_COUNTRY.matcher(bare).matches()
        ? Optional.of(new PhoneNumber(bare))
        : Optional.empty();
  }

  /**
   * Reads the sender of a text: a phone number where it is one, else the name or short code as it
   * stands.
   *
   * @throws IllegalArgumentException when it is blank or longer than {@link NamedSender#LONGEST}
   */
  public Sender readSender(String written, Region region) {
    Optional<PhoneNumber> number = readNumber(written, region);
    return number.isPresent() ? number.get() : new NamedSender(written.strip());
  }

  /**
   * How people at home in {@code region} write it: nationally within the country, else
   * internationally.
   */
  public String forPeople(Sender sender, Region region) {
    if (!(sender instanceof PhoneNumber number)) {
      return sender.address();
    }
    try {
      Phonenumber.PhoneNumber parsed = numbers.parse(number.e164(), null);
      boolean home = numbers.getCountryCodeForRegion(region.code()) == parsed.getCountryCode();
      return numbers.format(
          parsed, home ? PhoneNumberFormat.NATIONAL : PhoneNumberFormat.INTERNATIONAL);
    } catch (NumberParseException unreadable) {
      return number.e164();
    }
  }
}
