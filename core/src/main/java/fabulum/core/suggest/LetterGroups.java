package fabulum.core.suggest;

import fabulum.core.text.Tokens;
import java.util.HashMap;
import java.util.Map;

/**
 * The words of a text and the groups of 3 to 5 letters in them, with how often each stands there.
 * Works in any language, and whatever is misspelled shares most of its groups with what is meant.
 */
final class LetterGroups {
  private static final int SHORTEST = 3;
  private static final int LONGEST = 5;

  private LetterGroups() {}

  /** Groups by their hash; two groups with one hash are counted as one, which is rare. */
  static Map<Integer, Integer> of(String words) {
    Map<Integer, Integer> groups = new HashMap<>();
    for (String word : Tokens.of(words)) {
      String edged = " " + word + " ";
      groups.merge(("#" + word).hashCode(), 1, Integer::sum);
      for (int length = SHORTEST; length <= LONGEST; length++) {
        for (int at = 0; at + length <= edged.length(); at++) {
          groups.merge(edged.substring(at, at + length).hashCode(), 1, Integer::sum);
        }
      }
    }
    return groups;
  }
}
