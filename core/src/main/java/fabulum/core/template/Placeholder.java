package fabulum.core.template;

import java.util.Optional;
import java.util.regex.Pattern;

/**
 * Stands for a value that is known when a text is written. Stored as {@code {customer: first name |
 * there}}: whose value, its name, and after a bar the words used when no value is known.
 *
 * @param name of the value, such as "first name" or the name of a detail; 1 to {@value
 *     #LONGEST_NAME} characters
 * @param fallback what is written when there is no value; without one the text has a gap
 */
public record Placeholder(ValueFrom whose, String name, Optional<String> fallback)
    implements Piece {
  /** The most characters of a name. */
  public static final int LONGEST_NAME = 60;

  /** The most characters of a fallback. */
  public static final int LONGEST_FALLBACK = 160;

  private static final Pattern GAP = Pattern.compile("\\{\\p{L}[^{}\\n]{0,79}\\}");

  public Placeholder {
    if (!isName(name)) {
      throw new IllegalArgumentException("Not a name of a value");
    }
    fallback.ifPresent(words -> {
      if (words.isEmpty() || words.length() > LONGEST_FALLBACK || !isPlain(words)) {
        throw new IllegalArgumentException("Not a fallback");
      }
    });
  }

  /** Whether a value with this name can stand in a template. */
  public static boolean isName(String name) {
    return !name.isEmpty()
        && name.length() <= LONGEST_NAME
        && isPlain(name)
        && name.strip().equals(name);
  }

  private static boolean isPlain(String words) {
    return words.chars().noneMatch(sign -> "{}|\n\r".indexOf(sign) >= 0);
  }

  @Override
  public String written() {
    return "{" + whose.word() + ": " + name + fallback.map(words -> " | " + words).orElse("") + "}";
  }

  /** The same with another fallback; empty for none. */
  Placeholder with(String words) {
    return new Placeholder(whose, name, words.isEmpty() ? Optional.empty() : Optional.of(words));
  }

  /** Shown where there is no value and no fallback: the writer fills it in or cuts it. */
  public String gap() {
    boolean letter = Character.isLetter(name.codePointAt(0));
    return "{" + (letter ? name : whose.word() + ": " + name) + "}";
  }

  /** The first gap in a text, whether typed or filled from a template. */
  public static Optional<String> firstGap(String words) {
    var gap = GAP.matcher(words);
    return gap.find() ? Optional.of(gap.group()) : Optional.empty();
  }
}
