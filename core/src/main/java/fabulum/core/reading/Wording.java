package fabulum.core.reading;

import fabulum.core.text.Latin;
import fabulum.core.text.Tokens;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Takes texts apart into words. */
public final class Wording {
  private static final Pattern WORD =
      Pattern.compile("[\\p{L}\\p{N}\\p{M}]+(?:['\u2019\u02bc][\\p{L}\\p{M}]+)*");
  private static final Pattern POSSESSIVE = Pattern.compile("['\u2019\u02bc]s$");

  /** What follows the owner in {@code the Wexlers' boat}. */
  private static final Pattern POSSESSIVE_PLURAL = Pattern.compile("^['\u2019\u02bc]");

  /** Where one script follows the other without a space: Chinese characters and kana. */
  private static final Pattern SCRIPT_CHANGE =
      Pattern.compile("(?<=\\p{IsHan})(?=\\p{IsHiragana})|(?<=\\p{IsHiragana})(?=\\p{IsHan})");

  /** Hangul and kana endings of "I am …". */
  private static final Pattern I_AM_ENDING = Pattern.compile("(?:입니다|이에요|예요|이다|です|と申します|の|は)$");

  private static final Pattern HANGUL_NAME = Pattern.compile("[\\p{IsHangul}]{2,4}");

  /** How Korean family names are mostly written in Latin letters. */
  private static final Map<String, String> FAMILY_NAMES =
      Map.of(
          "박", "park", "김", "kim", "이", "lee", "최", "choi", "정", "jung", "강", "kang", "조", "cho",
          "윤", "yoon", "임", "lim", "신", "shin");

  /** In scripts of India a word that ends with a bare consonant has a vowel that is not spoken. */
  private static final Pattern SILENT_A =
      Pattern.compile(
          "[\\p{Lo}&&[\\p{IsDevanagari}\\p{IsBengali}\\p{IsGujarati}\\p{IsGurmukhi}]]$");

  private Wording() {}

  /** The words of a text, in their order. */
  public static List<Word> words(String text) {
    List<Word> words = new ArrayList<>();
    Matcher found = WORD.matcher(text);
    boolean first = true;
    while (found.find()) {
      int next = found.end();
      while (next < text.length() && !isWordChar(text.charAt(next))) {
        next++;
      }
      String after = text.substring(found.end(), next).replaceAll("[ \\t\\u00a0]+", "");
      boolean plural = found.group().endsWith("s") && POSSESSIVE_PLURAL.matcher(after).find();
      add(words, found.group(), first, plural, plural ? after.substring(1) : after);
      first =
          after.contains(".") || after.contains("!") || after.contains("?") || after.contains("\n");
    }
    return List.copyOf(words);
  }

  private static boolean isWordChar(char each) {
    return Character.isLetterOrDigit(each)
        || Character.getType(each) == Character.NON_SPACING_MARK
        || Character.getType(each) == Character.COMBINING_SPACING_MARK;
  }

  private static void add(
      List<Word> words, String written, boolean first, boolean plural, String after) {
    if (Latin.isNeeded(written)) {
      addForeign(words, written, first, after);
      return;
    }
    boolean possessive = plural || POSSESSIVE.matcher(written).find();
    String bare = written.replaceFirst("['\u2019\u02bc](?:s|ll|ve|re|d|m)$", "");
    boolean capital = Character.isUpperCase(written.codePointAt(0));
    List<String> plain = Tokens.of(bare);
    for (int i = 0; i < plain.size(); i++) {
      boolean last = i == plain.size() - 1;
      words.add(
          new Word(plain.get(i), capital, first && i == 0, possessive, false, last ? after : ""));
    }
  }

  private static void addForeign(List<Word> words, String written, boolean first, String after) {
    List<String> pieces = new ArrayList<>();
    for (String piece : SCRIPT_CHANGE.split(written)) {
      String bare = I_AM_ENDING.matcher(piece).replaceFirst("");
      if (HANGUL_NAME.matcher(bare).matches()) {
        // The family name is the first syllable.
        pieces.add(FAMILY_NAMES.getOrDefault(bare.substring(0, 1), bare.substring(0, 1)));
        pieces.add(bare.substring(1));
      } else if (!bare.isEmpty()) {
        pieces.add(bare);
      }
    }
    for (int i = 0; i < pieces.size(); i++) {
      String latin = Latin.of(pieces.get(i));
      String spoken =
          SILENT_A.matcher(pieces.get(i)).find() ? latin.replaceFirst("(?<=.{3})a$", "") : latin;
      for (String plain : Tokens.of(spoken)) {
        words.add(
            new Word(
                plain,
                true,
                first && words.isEmpty(),
                false,
                true,
                i == pieces.size() - 1 ? after : ""));
      }
    }
  }
}
