package fabulum.core.suggest;

import fabulum.core.text.Tokens;
import java.util.List;
import java.util.Set;

/** Whether a text asks something. */
public final class Asking {
  private static final Set<String> FIRST =
      Set.of(
          "what", "when", "where", "who", "which", "why", "how", "can", "could", "do", "does",
          "did", "is", "are", "will", "would", "may", "should", "whats", "wheres", "hows");

  private Asking() {}

  /** A question mark says so, or how it begins. */
  public static boolean asks(String words) {
    if (words.indexOf('?') >= 0 || words.indexOf('¿') >= 0) {
      return true;
    }
    List<String> tokens = Tokens.of(words);
    return tokens.size() > 2 && FIRST.contains(tokens.get(0));
  }
}
