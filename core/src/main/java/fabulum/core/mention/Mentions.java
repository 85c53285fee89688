package fabulum.core.mention;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/**
 * Finds colleagues who are named with an at sign in a note: by full name, or by a first name that
 * only one of them has.
 */
public final class Mentions {
  private Mentions() {}

  /** A colleague who can be named. */
  public record Name(long who, String fullName) {}

  /**
   * One naming.
   *
   * @param from where the at sign stands, in UTF-16 units
   * @param to where the name ends
   */
  public record Mention(long who, int from, int to) {}

  /**
   * All namings, in order. The longest name that fits counts; an at sign within a word, as in an
   * address, names nobody.
   */
  public static List<Mention> find(String words, List<Name> names) {
    List<Name> known = callable(names);
    String lower = words.toLowerCase(Locale.ROOT);
    List<Mention> found = new ArrayList<>();
    for (int at = words.indexOf('@'); at >= 0; at = words.indexOf('@', at + 1)) {
      if (at > 0 && Character.isLetterOrDigit(words.charAt(at - 1))) {
        continue;
      }
      int start = at;
      known.stream()
          .filter(name -> stands(lower, start + 1, name.fullName()))
          .findFirst()
          .ifPresent(name ->
              found.add(new Mention(name.who(), start, start + 1 + name.fullName().length())));
    }
    return List.copyOf(found);
  }

  /** Everything someone can be called by, in lower case, the longest first. */
  private static List<Name> callable(List<Name> names) {
    List<Name> all = new ArrayList<>();
    for (Name name : names) {
      all.add(new Name(name.who(), name.fullName().toLowerCase(Locale.ROOT)));
      String first = firstName(name);
      boolean only = names.stream().filter(other -> firstName(other).equals(first)).count() == 1;
      if (only && !first.isEmpty()) {
        all.add(new Name(name.who(), first));
      }
    }
    all.sort(Comparator.comparingInt((Name name) -> name.fullName().length()).reversed());
    return all;
  }

  private static String firstName(Name name) {
    String lower = name.fullName().toLowerCase(Locale.ROOT);
    int space = lower.indexOf(' ');
    return space < 0 ? lower : lower.substring(0, space);
  }

  private static boolean stands(String lower, int from, String name) {
    int end = from + name.length();
    return lower.startsWith(name, from)
        && (end == lower.length() || !Character.isLetterOrDigit(lower.charAt(end)));
  }
}
