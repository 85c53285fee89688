package fabulum.core.text;

import com.ibm.icu.text.Transliterator;
import java.util.regex.Pattern;

/** Words of other scripts in Latin letters, by ICU's transforms (CLDR). */
public final class Latin {
  private static final Pattern OTHER_LETTERS = Pattern.compile("[\\p{L}&&[^\\p{IsLatin}]]");

  private Latin() {}

  /** Whether a text has a letter that is not Latin. */
  public static boolean isNeeded(String text) {
    return OTHER_LETTERS.matcher(text).find();
  }

  /**
   * The text in Latin letters without accents, as far as there is a transform; {@code Волков} gives
   * {@code Volkov}. The reading of Chinese characters is the Mandarin one.
   */
  public static String of(String text) {
    return isNeeded(text) ? Transform.ANY.transliterate(text) : text;
  }

  /** Loaded when it is needed the first time: the tables take a while. */
  private static final class Transform {
    private static final Transliterator ANY = Transliterator.getInstance("Any-Latin; Latin-ASCII");
  }
}
