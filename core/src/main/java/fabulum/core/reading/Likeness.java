package fabulum.core.reading;

import java.util.regex.Pattern;

/** How alike two words are, as people write names. Words are in lower case Latin letters. */
public final class Likeness {
  private static final double SAME_SOUND = 0.8;
  private static final double ONE_SLIP = 0.8;
  private static final double TWO_SLIPS = 0.65;
  private static final double SAME_CONSONANTS = 0.6;
  private static final Pattern VOWELS = Pattern.compile("[aeiouyh]+");

  private Likeness() {}

  /** 1 for the same word, 0 for words that have nothing to do with each other. */
  public static double of(String text, String name) {
    if (text.equals(name)) {
      return 1;
    }
    int shorter = Math.min(text.length(), name.length());
    if (shorter < 3 || Math.abs(text.length() - name.length()) > 4) {
      return 0;
    }
    String sound = sound(text);
    if (sound.length() >= 3 && sound.equals(sound(name))) {
      return SAME_SOUND;
    }
    boolean sameStart = sameStart(text, name);
    int allowed = shorter < 4 ? 0 : shorter < 7 ? 1 : 2;
    if (allowed > 0 && mayBeWithin(text, name, allowed)) {
      int slips = distance(text, name, allowed);
      if (slips == 1 && (sameStart || shorter >= 6)) {
        return ONE_SLIP;
      }
      if (slips == 2 && sameStart) {
        return TWO_SLIPS;
      }
    }
    String consonants = consonants(text);
    return sameStart && consonants.length() >= 3 && consonants.equals(consonants(name))
        ? SAME_CONSONANTS
        : 0;
  }

  /** Which letters a word has: two words that differ by n slips differ in at most 2 n of them. */
  public static int letters(String word) {
    int set = 0;
    for (int i = 0; i < word.length(); i++) {
      set |= 1 << (word.charAt(i) % 31);
    }
    return set;
  }

  private static boolean mayBeWithin(String a, String b, int slips) {
    return Math.abs(a.length() - b.length()) <= slips
        && Integer.bitCount(letters(a) ^ letters(b)) <= 2 * slips;
  }

  private static boolean sameStart(String a, String b) {
    return onset(a.charAt(0)) == onset(b.charAt(0));
  }

  private static char onset(char letter) {
    return switch (letter) {
      case 'c', 'k', 'q' -> 'k';
      case 'f', 'p', 'v', 'w' -> 'f';
      case 'j', 'g', 'y' -> 'j';
      case 's', 'z', 'x' -> 's';
      case 'i', 'e', 'a', 'o', 'u' -> 'a';
      default -> letter;
    };
  }

  /**
   * How a word sounds, roughly, whichever way it was brought into Latin letters: {@code hyunwoo}
   * and {@code hyeonu} are one, {@code philip} and {@code filip} too.
   */
  public static String sound(String word) {
    String s =
        spelled(
            word.replace("eo", "u")
                .replace("oo", "u")
                .replace("ou", "u")
                .replace("ee", "i")
                .replace("ie", "i"));
    StringBuilder sound = new StringBuilder();
    for (int i = 0; i < s.length(); i++) {
      char letter = sounded(s, i);
      if (letter != 0 && (sound.isEmpty() || sound.charAt(sound.length() - 1) != letter)) {
        sound.append(letter);
      }
    }
    return sound.toString();
  }

  /** Consonants that are written in several ways. */
  private static String spelled(String word) {
    return word.replace("ph", "f")
        .replace("ck", "k")
        .replace("sch", "s")
        .replace("sh", "s")
        .replace("cz", "c")
        .replace("ch", "c")
        .replace("th", "t")
        .replace("kh", "h")
        .replace("x", "ks")
        .replace("w", "v");
  }

  private static char sounded(String word, int at) {
    char letter = word.charAt(at);
    boolean front = at + 1 < word.length() && "eiy".indexOf(word.charAt(at + 1)) >= 0;
    return switch (letter) {
      case 'y' -> at == 0 || at == word.length() - 1 ? 'i' : 0;
      case 'v' -> at > 0 && "aeiou".indexOf(word.charAt(at - 1)) < 0 ? 0 : 'v';
      case 'h' -> at == 0 ? 'h' : 0;
      case 'c' -> front ? 's' : 'k';
      case 'q' -> 'k';
      case 'z' -> 's';
      case 'e' -> at == word.length() - 1 && at > 2 ? 0 : 'e';
      default -> letter;
    };
  }

  /** Consonants without doubles; scripts that leave vowels out keep these. */
  public static String consonants(String word) {
    String bare =
        VOWELS
            .matcher(spelled(word).replace('c', 'k').replace('q', 'k').replace('z', 's'))
            .replaceAll("");
    StringBuilder kept = new StringBuilder();
    for (int i = 0; i < bare.length(); i++) {
      if (kept.isEmpty() || kept.charAt(kept.length() - 1) != bare.charAt(i)) {
        kept.append(bare.charAt(i));
      }
    }
    return kept.toString();
  }

  /**
   * Letters put in, left out, changed, or two neighbours swapped (optimal string alignment).
   *
   * @return at most {@code limit + 1}
   */
  public static int distance(String a, String b, int limit) {
    int[] before = new int[b.length() + 1];
    int[] last = new int[b.length() + 1];
    int[] now = new int[b.length() + 1];
    for (int j = 0; j <= b.length(); j++) {
      last[j] = j;
    }
    for (int i = 1; i <= a.length(); i++) {
      now[0] = i;
      int least = i;
      for (int j = 1; j <= b.length(); j++) {
        int change = a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1;
        now[j] = Math.min(Math.min(now[j - 1], last[j]) + 1, last[j - 1] + change);
        if (i > 1
            && j > 1
            && a.charAt(i - 1) == b.charAt(j - 2)
            && a.charAt(i - 2) == b.charAt(j - 1)) {
          now[j] = Math.min(now[j], before[j - 2] + 1);
        }
        least = Math.min(least, now[j]);
      }
      if (least > limit) {
        return limit + 1;
      }
      int[] free = before;
      before = last;
      last = now;
      now = free;
    }
    return Math.min(last[b.length()], limit + 1);
  }
}
