package fabulum.core.phone;

import com.google.i18n.phonenumbers.NumberParseException;
import com.google.i18n.phonenumbers.PhoneNumberUtil;
import com.google.i18n.phonenumbers.PhoneNumberUtil.PhoneNumberFormat;
import com.google.i18n.phonenumbers.PhoneNumberUtil.ValidationResult;
import com.google.i18n.phonenumbers.Phonenumber;
import java.text.Normalizer;
import java.util.Optional;
import java.util.regex.Matcher;
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

  private static final Pattern HIDDEN = Pattern.compile("[\\p{Cf}\\u00ad]+");
  private static final Pattern TEL =
      Pattern.compile("^(?:tel|phone|cell|mobile|sms)\\.?:\\s*(?://)?", Pattern.CASE_INSENSITIVE);

  /** Within most countries two zeros are dialled for the plus sign. */
  private static final Pattern INTERNATIONAL = Pattern.compile("00\\s*(?=[1-9])");

  /** {@code ext 5}, {@code x5}, {@code ;ext=5} of RFC 3966. */
  private static final Pattern EXTENSION =
      Pattern.compile(
          "[\\s,;]*(?:extension|extn?|x|app(?:t|arat)?|durchwahl|poste|anexo|int)\\.?[\\s:=]*(\\d{1,6})\\s*$",
          Pattern.CASE_INSENSITIVE);

  private static final int NORTH_AMERICA = 1;

  /** Ten digits of the North American Numbering Plan: area code, exchange, line. */
  private static final Pattern NORTH_AMERICAN = Pattern.compile("[2-9]\\d{2}[2-9]\\d{6}");

  private static final int SHORTEST_NATIONAL = 8;
  private static final Pattern UNLISTED_COUNTRY = Pattern.compile("\\+[2-9]\\d{9,14}");

  private final PhoneNumberUtil numbers = PhoneNumberUtil.getInstance();

  /** What a person typed, as it was understood. */
  public sealed interface Typed {
    /**
     * A number.
     *
     * @param extension of a switchboard, which a text cannot reach; it was left out
     */
    record Understood(PhoneNumber number, Optional<String> extension) implements Typed {}

    /**
     * None there can be.
     *
     * @param why for people
     */
    record Impossible(String why) implements Typed {}
  }

  /**
   * Reads a number as a person typed or pasted it: with brackets, dots, {@code tel:}, {@code 00}
   * for the plus sign, digits of other scripts, characters that are not seen, or an extension.
   */
  public Typed readTyped(String typed, Region region) {
    String plain = TEL.matcher(plain(typed)).replaceFirst("");
    Matcher extension = EXTENSION.matcher(plain);
    boolean extended = extension.find();
    String bare = (extended ? plain.substring(0, extension.start()) : plain).strip();
    Optional<PhoneNumber> number = readNumber(bare, region);
    if (number.isEmpty() && INTERNATIONAL.matcher(bare).lookingAt()) {
      number = readNumber("+" + INTERNATIONAL.matcher(bare).replaceFirst(""), region);
    }
    return number
        .<Typed>map(read ->
            new Typed.Understood(
                read, extended ? Optional.of(extension.group(1)) : Optional.empty()))
        .orElseGet(() -> new Typed.Impossible(why(bare, region)));
  }

  /** Without what is not seen, and with the digits and spaces of ASCII. */
  private static String plain(String written) {
    String folded =
        Normalizer.normalize(HIDDEN.matcher(written).replaceAll(""), Normalizer.Form.NFKC);
    StringBuilder plain = new StringBuilder();
    folded
        .codePoints()
        .forEach(each -> {
          int digit = Character.digit(each, 10);
          if (digit >= 0) {
            plain.append(digit);
          } else {
            plain.appendCodePoint(Character.isSpaceChar(each) ? ' ' : each);
          }
        });
    return plain.toString().strip();
  }

  private String why(String bare, Region region) {
    String digits = bare.replaceAll("\\D", "");
    if (digits.isEmpty()) {
      return "Not a valid phone number: it has no digits.";
    }
    if (bare.codePoints().anyMatch(Character::isLetter)) {
      return "Not a valid phone number: it has letters in it.";
    }
    try {
      Phonenumber.PhoneNumber parsed = numbers.parse(bare, region.code());
      return switch (numbers.isPossibleNumberWithReason(parsed)) {
        case TOO_SHORT, IS_POSSIBLE_LOCAL_ONLY -> "Not a valid phone number: digits are missing.";
        case TOO_LONG -> "Not a valid phone number: it has too many digits.";
        case INVALID_COUNTRY_CODE -> "Not a valid phone number: there is no such country code.";
        default -> "Not a valid phone number: no number begins like this.";
      };
    } catch (NumberParseException notANumber) {
      return switch (notANumber.getErrorType()) {
        case INVALID_COUNTRY_CODE -> "Not a valid phone number: there is no such country code.";
        case TOO_LONG -> "Not a valid phone number: it has too many digits.";
        default -> "Not a valid phone number: digits are missing.";
      };
    }
  }

  /**
   * Reads a number.
   *
   * @param written as a person or a network wrote it, for example {@code (312) 555-0123}
   * @param region where it was texted; decides what a number without country code means
   * @return the number in E.164, or empty when there can be no such number there; one that is built
   *     like a number and not listed yet is a number
   */
  public Optional<PhoneNumber> readNumber(String written, Region region) {
    String trimmed = plain(written);
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

  /** How people abroad write it. */
  public String international(Sender sender) {
    return sender instanceof PhoneNumber number
        ? format(number, PhoneNumberFormat.INTERNATIONAL)
        : sender.address();
  }

  private String format(PhoneNumber number, PhoneNumberFormat form) {
    try {
      return numbers.format(numbers.parse(number.e164(), null), form);
    } catch (NumberParseException unreadable) {
      return number.e164();
    }
  }
}
