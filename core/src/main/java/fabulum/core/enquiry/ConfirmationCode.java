package fabulum.core.enquiry;

import java.time.Duration;
import java.time.Instant;
import java.util.Locale;

/**
 * A code that is texted to a number, so that who types it in again shows that the number is theirs.
 * Six digits and five tries: a guess succeeds once in 200,000.
 */
public final class ConfirmationCode {
  /** How many there are. */
  public static final int MANY = 1_000_000;

  /** How long one works. */
  public static final Duration WORKS = Duration.ofMinutes(15);

  /** How often one may be typed in. */
  public static final int TRIES = 5;

  /** How many go to one number within {@link #DAY}, no matter who asks for them. */
  public static final int MOST_A_DAY = 3;

  /** The span in which codes to one number are counted. */
  public static final Duration DAY = Duration.ofDays(1);

  private ConfirmationCode() {}

  /** What comes of a code that was typed in. */
  public enum Outcome {
    RIGHT,
    WRONG,
    /** It works no more. */
    TOO_LATE,
    /** It was typed in wrongly too often, so not even the right one works. */
    TOO_MANY_TRIES
  }

  /**
   * The code with a number.
   *
   * @param number from 0 to one below {@link #MANY}
   */
  public static String of(int number) {
    if (number < 0 || number >= MANY) {
      throw new IllegalArgumentException("There is no code number " + number);
    }
    return String.format(Locale.ROOT, "%06d", number);
  }

  /**
   * Looks at a code that was typed in; spaces and hyphens in it do not matter.
   *
   * @param until when the one that was sent stops working; not included
   * @param tries how often a wrong one was typed in before
   */
  public static Outcome check(String typed, String sent, Instant until, int tries, Instant now) {
    if (tries >= TRIES) {
      return Outcome.TOO_MANY_TRIES;
    }
    if (!now.isBefore(until)) {
      return Outcome.TOO_LATE;
    }
    return typed.replaceAll("[\\s-]", "").equals(sent) ? Outcome.RIGHT : Outcome.WRONG;
  }
}
