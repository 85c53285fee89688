package fabulum.core.text;

import java.util.Optional;

/** Names and other words that stand on one line: nothing in them breaks it, hides or turns it. */
public final class OneLine {
  /** U+202A to U+202E and U+2066 to U+2069 change the direction of what follows (UAX #9). */
  private static final String TURNING = "\u202a\u202b\u202c\u202d\u202e\u2066\u2067\u2068\u2069";

  private OneLine() {}

  /** Why words cannot be a name; empty when they can. */
  public static Optional<String> objection(String words) {
    return is(words) ? Optional.empty() : Optional.of("Use one line, without control characters.");
  }

  /** Whether the words have no control characters, line breaks or marks that turn the direction. */
  public static boolean is(String words) {
    return words.codePoints().noneMatch(OneLine::breaks);
  }

  private static boolean breaks(int codePoint) {
    return switch (Character.getType(codePoint)) {
      case Character.CONTROL, Character.LINE_SEPARATOR, Character.PARAGRAPH_SEPARATOR -> true;
      default -> TURNING.indexOf(codePoint) >= 0;
    };
  }
}
