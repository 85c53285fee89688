package fabulum.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Words without the endings that change with grammar, roughly; for comparing what texts speak of.
 */
public final class Stems {
  private Stems() {}

  /** The words that say something, by their stems. */
  public static List<String> of(List<Word> words) {
    List<String> stems = new ArrayList<>();
    for (Word word : words) {
      String plain = word.plain();
      if (!CommonWords.isSmall(plain)
          && (plain.length() >= 3 || word.hasDigit() && plain.length() >= 2)) {
        stems.add(stem(plain));
      }
    }
    return stems;
  }

  /** How much a stem says of what is spoken of: everyday words little. */
  public static double weight(String stem) {
    return CommonWords.contains(stem) || COMMON.contains(stem) ? 0.3 : 1;
  }

  private static final Set<String> COMMON =
      CommonWords.all().stream().map(Stems::stem).collect(Collectors.toUnmodifiableSet());

  /** The stem of a word in lower case Latin letters: {@code engines} gives {@code engin}. */
  public static String stem(String plain) {
    if (plain.length() < 4 || plain.chars().anyMatch(Character::isDigit)) {
      return plain;
    }
    String s = plain;
    if (s.endsWith("ies") && s.length() > 4) {
      s = s.substring(0, s.length() - 3) + "y";
    } else if (s.endsWith("s") && !s.endsWith("ss") && !s.endsWith("us")) {
      s = s.substring(0, s.length() - 1);
    }
    for (String ending : new String[] {"ing", "ed", "er", "en"}) {
      if (s.endsWith(ending) && s.length() - ending.length() >= 4) {
        s = s.substring(0, s.length() - ending.length());
        break;
      }
    }
    if (s.length() > 4 && s.charAt(s.length() - 1) == s.charAt(s.length() - 2)) {
      s = s.substring(0, s.length() - 1);
    }
    return s.endsWith("e") && s.length() > 4 ? s.substring(0, s.length() - 1) : s;
  }
}
