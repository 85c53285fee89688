package fabulum.core.enquiry;

import fabulum.core.text.OneLine;
import java.util.EnumMap;
import java.util.Map;

/**
 * A form as somebody filled it in.
 *
 * @param number as it was typed; whether there can be such a number is asked elsewhere
 * @param agreed whether they ticked that we may text them
 */
public record FilledForm(String name, String number, String words, boolean agreed) {
  /** In characters of UTF-16. */
  public static final int LONGEST_NAME = 80;

  /** In characters of UTF-16. */
  public static final int LONGEST_WORDS = 1_000;

  private static final int LONGEST_NUMBER = 40;

  /** The same without spaces around and with plain line ends. */
  public FilledForm {
    name = name.strip().replaceAll("\\s+", " ");
    number = number.strip();
    words = words.strip().replace("\r\n", "\n").replace('\r', '\n');
  }

  /** A field of the form. */
  public enum Field {
    NAME,
    NUMBER,
    WORDS,
    AGREED
  }

  /** Everything that is wrong with it, each with a sentence; nothing where it can be handed in. */
  public Map<Field, String> problems(FormPurpose asks) {
    Map<Field, String> wrong = new EnumMap<>(Field.class);
    if (name.isEmpty()) {
      wrong.put(Field.NAME, "Please enter your name.");
    } else if (name.length() > LONGEST_NAME) {
      wrong.put(Field.NAME, "Use at most " + LONGEST_NAME + " characters.");
    } else if (!OneLine.is(name)) {
      wrong.put(Field.NAME, "Please use letters and spaces only.");
    }
    if (number.isEmpty()) {
      wrong.put(Field.NUMBER, "Please enter your mobile number.");
    } else if (number.length() > LONGEST_NUMBER) {
      wrong.put(Field.NUMBER, "Not a valid phone number.");
    }
    if (asks == FormPurpose.ENQUIRY) {
      if (words.isEmpty()) {
        wrong.put(Field.WORDS, "Please write what it is about.");
      } else if (words.length() > LONGEST_WORDS) {
        wrong.put(
            Field.WORDS,
            "Use at most 1,000 characters; these are "
                + String.format("%,d", words.length())
                + ".");
      } else if (isControlled(words.replace("\n", "").replace("\t", ""))) {
        wrong.put(Field.WORDS, "There are characters in it that cannot be sent.");
      }
    }
    if (!agreed) {
      wrong.put(Field.AGREED, "We can answer by text only if you agree.");
    }
    return wrong;
  }

  private static boolean isControlled(String words) {
    return words.chars().anyMatch(Character::isISOControl);
  }

  /** The words as the customer's line in the script: below them stands who they say they are. */
  public String line() {
    return words + "\n" + name;
  }
}
