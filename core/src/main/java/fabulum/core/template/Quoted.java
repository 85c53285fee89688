package fabulum.core.template;

import java.util.Map;
import java.util.Optional;

/** Quotation marks that came along when a text was copied from a document. */
public final class Quoted {
  private static final Map<Character, String> ENDS =
      Map.of('"', "\"", '“', "”“", '„', "“”", '«', "»", '»', "«", '‘', "’", '‚', "‘’", '\'', "'");

  private Quoted() {}

  /**
   * The text without the marks around it; empty when there are none. Marks within it are its own:
   * “Yes” or “no” begins and ends with marks that do not belong together.
   */
  public static Optional<String> within(String words) {
    String text = words.strip();
    if (text.length() < 3) {
      return Optional.empty();
    }
    char first = text.charAt(0);
    char last = text.charAt(text.length() - 1);
    String inside = text.substring(1, text.length() - 1);
    boolean around =
        ENDS.getOrDefault(first, "").indexOf(last) >= 0
            && inside.indexOf(last) < 0
            && inside.indexOf(first) < 0;
    return around ? Optional.of(inside.strip()) : Optional.empty();
  }
}
