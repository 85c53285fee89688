package fabulum.core.access;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What a new password must be: long enough, and not one that everybody tries first. */
public final class PasswordRules {
  /** Shortest password, in characters. */
  public static final int SHORTEST = 10;

  /** Longest password, in octets of UTF-8: BCrypt reads no further. */
  public static final int LONGEST_OCTETS = 72;

  private PasswordRules() {}

  /**
   * What speaks against a password.
   *
   * @param wanted the new password
   * @param signInName whose it would be
   * @return sentences, empty when it will do
   */
  public static List<String> objections(String wanted, String signInName) {
    List<String> objections = new ArrayList<>();
    if (wanted.codePointCount(0, wanted.length()) < SHORTEST) {
      objections.add("Use at least " + SHORTEST + " characters. A few words in a row work well.");
    }
    if (octets(wanted) > LONGEST_OCTETS) {
      objections.add("Use at most " + LONGEST_OCTETS + " characters.");
    }
    String lower = wanted.toLowerCase(Locale.ROOT);
    if (!signInName.isBlank() && lower.contains(signInName.toLowerCase(Locale.ROOT))) {
      objections.add("Leave your own name out of it.");
    }
    if (lower.chars().distinct().count() < 5 && !wanted.isEmpty()) {
      objections.add("Use more than a few different characters.");
    }
    return List.copyOf(objections);
  }

  private static int octets(String text) {
    return text.codePoints().map(c -> c < 0x80 ? 1 : c < 0x800 ? 2 : c < 0x10000 ? 3 : 4).sum();
  }
}
