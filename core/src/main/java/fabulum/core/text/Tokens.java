package fabulum.core.text;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/** The words of a text without what people write in many ways: case, accents, punctuation. */
public final class Tokens {
  private static final Pattern HIDDEN = Pattern.compile("\\p{Cf}+");
  private static final Pattern MARKS = Pattern.compile("\\p{Mn}+");
  private static final Pattern APOSTROPHES =
      Pattern.compile("(?<=\\p{L})['\u2018\u2019\u02bc\u00b4`](?=\\p{L})");
  private static final Pattern BETWEEN = Pattern.compile("[^\\p{L}\\p{N}]+");

  private Tokens() {}

  /**
   * The words of a text in order, in lower case and without accents; {@code Don’t “STOP”, señor!}
   * gives {@code dont stop senor}. Compatibility forms (full-width letters) are folded by Unicode's
   * NFKC, invisible characters left out.
   */
  public static List<String> of(String text) {
    if (isPlainWord(text)) {
      return List.of(text.toLowerCase(Locale.ROOT));
    }
    String folded = Normalizer.normalize(HIDDEN.matcher(text).replaceAll(""), Normalizer.Form.NFKC);
    String plain =
        Normalizer.normalize(folded.toLowerCase(Locale.ROOT), Normalizer.Form.NFD)
            .replace('ł', 'l')
            .replace('ø', 'o')
            .replace("ß", "ss");
    String bare = MARKS.matcher(plain).replaceAll("");
    return BETWEEN
        .splitAsStream(APOSTROPHES.matcher(bare).replaceAll(""))
        .filter(word -> !word.isEmpty())
        .toList();
  }

  /** Most texts by far are words of ASCII letters; nothing of them is to be folded. */
  private static boolean isPlainWord(String text) {
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      boolean plain = c >= 'a' && c <= 'z' || c >= 'A' && c <= 'Z' || c >= '0' && c <= '9';
      if (!plain) {
        return false;
      }
    }
    return !text.isEmpty();
  }
}
