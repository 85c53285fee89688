package fabulum.core.wrongnumber;

import fabulum.core.text.Tokens;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Short codes by which a customer shows from which phone they want to be texted. Letters and digits
 * that are taken for each other (I, L, O, U, 0, 1) are left out.
 */
public final class RightNumberCode {
  /** How long a code works. */
  public static final Duration WORKS = Duration.ofDays(14);

  /** For how long tries are counted together. */
  public static final Duration COUNTED = Duration.ofHours(24);

  /** More tries than this of one number within {@link #COUNTED}, and its texts prove nothing. */
  public static final int TRIES_OF_ONE = 5;

  /** More tries than this of all numbers within {@link #COUNTED}, and no text proves anything. */
  public static final int TRIES_OF_ALL = 100;

  private static final String LETTERS = "23456789ABCDEFGHJKMNPQRSTVWXYZ";
  private static final int LENGTH = 4;

  /** How many codes there are. */
  public static final int MANY = (int) Math.pow(LETTERS.length(), LENGTH);

  private RightNumberCode() {}

  /**
   * The code of a number.
   *
   * @param number from 0 to less than {@link #MANY}
   */
  public static String of(int number) {
    StringBuilder code = new StringBuilder();
    int rest = number;
    for (int i = 0; i < LENGTH; i++) {
      code.append(LETTERS.charAt(rest % LETTERS.length()));
      rest /= LETTERS.length();
    }
    return code.toString();
  }

  /**
   * The code that a text is: nothing but a code, however it is written, perhaps after a word such
   * as "code" or "text".
   */
  public static Optional<String> read(String text) {
    List<String> words = Tokens.of(text);
    List<String> bare =
        words.size() > 1 && LEADS.contains(words.get(0)) ? words.subList(1, words.size()) : words;
    String code = String.join("", bare).toUpperCase(Locale.ROOT);
    boolean whole = code.length() == LENGTH && bare.size() <= 2;
    // Words of four letters are no tries: every code has a digit.
    return whole && code.chars().allMatch(c -> LETTERS.indexOf(c) >= 0) && hasDigit(code)
        ? Optional.of(code)
        : Optional.empty();
  }

  private static final List<String> LEADS = List.of("code", "text", "the", "its");

  /** Whether a code can be given: letters alone are taken for a word. */
  public static boolean isGiven(String code) {
    return hasDigit(code) && !code.chars().allMatch(Character::isDigit);
  }

  private static boolean hasDigit(String code) {
    return code.chars().anyMatch(Character::isDigit);
  }

  /**
   * Whether a text still proves anything after that many failed tries.
   *
   * @param ofOne by its number lately
   * @param ofAll by all numbers lately
   */
  public static boolean counts(int ofOne, int ofAll) {
    return ofOne < TRIES_OF_ONE && ofAll < TRIES_OF_ALL;
  }
}
