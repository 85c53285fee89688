package fabulum.core.identify;

import fabulum.core.phone.PhoneNumber;
import fabulum.core.reading.Likeness;
import fabulum.core.reading.Nicknames;
import fabulum.core.reading.PersonName;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;

/** Two customers on file who may be one. A person decides; this says why it is asked. */
public final class Twins {
  /** How alike two parts of a name must be. */
  private static final double ALIKE = 0.8;

  /** Shorter words that differ in a letter are other names. */
  private static final int SHORTEST_SLIP = 5;

  private Twins() {}

  /** Why they may be one. */
  public enum Reason {
    SAME_NAME("The same name"),
    NEAR_NAME("Nearly the same name"),
    SAME_NUMBER("The same number"),
    SAME_MAIL("The same e-mail address"),
    SAME_DETAIL("The same details");

    private final String words;

    Reason(String words) {
      this.words = words;
    }

    /** In a few words. */
    public String words() {
      return words;
    }
  }

  /**
   * Why two may be one; empty when nothing says so. Who shares a number or an address but has
   * another name is of the same household or firm, and not asked about.
   */
  public static List<Reason> of(Profile one, Profile other, Instant now) {
    List<Reason> reasons = new ArrayList<>();
    String name = plain(one.name());
    if (name.equals(plain(other.name()))) {
      reasons.add(Reason.SAME_NAME);
    } else if (areNear(one.name(), other.name())) {
      reasons.add(Reason.NEAR_NAME);
    } else {
      return List.of();
    }
    if (!shared(numbers(one, now), numbers(other, now)).isEmpty()) {
      reasons.add(Reason.SAME_NUMBER);
    }
    if (mail(one).filter(address -> mail(other).filter(address::equals).isPresent()).isPresent()) {
      reasons.add(Reason.SAME_MAIL);
    }
    if (!shared(Set.copyOf(one.details()), Set.copyOf(other.details())).isEmpty()) {
      reasons.add(Reason.SAME_DETAIL);
    }
    return reasons;
  }

  private static <T> Set<T> shared(Set<T> one, Set<T> other) {
    return one.stream().filter(other::contains).collect(Collectors.toSet());
  }

  private static Set<PhoneNumber> numbers(Profile profile, Instant now) {
    return profile.numbers().stream()
        .filter(held -> held.at(now))
        .map(Profile.Held::number)
        .collect(Collectors.toSet());
  }

  private static Optional<String> mail(Profile profile) {
    return profile.email().map(address -> address.strip().toLowerCase(Locale.ROOT));
  }

  private static String plain(String name) {
    return String.join(" ", PersonName.of(name).parts());
  }

  /**
   * Whether two names can be one person's: each part of the shorter name has its own in the longer
   * one, the same, a short form of it, its initial, or as good as the same when spoken; at least
   * one part of three letters or more is whole in both.
   */
  public static boolean areNear(String one, String other) {
    return areNear(Name.of(one), Name.of(other));
  }

  /** The same, of names that were taken apart. */
  public static boolean areNear(Name one, Name other) {
    if (one.parts().size() > other.parts().size()) {
      return areNear(other, one);
    }
    if (one.parts().size() < 2) {
      return false;
    }
    List<String> left = new ArrayList<>(other.parts());
    boolean whole = false;
    for (String part : one.parts()) {
      Optional<String> fits = left.stream().filter(each -> fit(part, each)).findFirst();
      if (fits.isEmpty()) {
        return false;
      }
      whole |= part.length() > 2 && fits.get().length() > 2;
      left.remove(fits.get());
    }
    return whole;
  }

  private static boolean fit(String one, String other) {
    if (one.equals(other)) {
      return true;
    }
    if (one.length() == 1 || other.length() == 1) {
      return one.charAt(0) == other.charAt(0);
    }
    boolean slip =
        Math.min(one.length(), other.length()) >= SHORTEST_SLIP && Likeness.of(one, other) >= ALIKE;
    return slip || Nicknames.areOneName(one, other);
  }

  /**
   * A name taken apart, so that it can be compared with many.
   *
   * @param parts in the order written, in lower case Latin letters
   */
  public record Name(List<String> parts) {
    /** Further parts of a name are not looked at. */
    private static final int MOST = 3;

    /** Takes a name apart. */
    public static Name of(String name) {
      return new Name(PersonName.of(name).parts());
    }

    /** Words under which it is kept, so that near names find it. */
    public Set<String> keys() {
      Set<String> keys = new HashSet<>();
      forPairs((one, other, initial) -> {
        keys.add(pair(one, other));
        keys.add("f " + one + " " + initial);
      });
      forInitials((one, initial) -> keys.add("i " + one + " " + initial));
      return keys;
    }

    /**
     * Words under which near names are kept.
     *
     * @param wide also those with a slip that changes how a part sounds
     */
    public Set<String> sought(boolean wide) {
      Set<String> keys = new HashSet<>();
      forPairs((one, other, initial) -> {
        keys.add(pair(one, other));
        keys.add("i " + one + " " + initial);
        if (wide) {
          keys.add("f " + one + " " + initial);
        }
      });
      forInitials((one, initial) -> {
        keys.add("f " + one + " " + initial);
        keys.add("i " + one + " " + initial);
      });
      return keys;
    }

    private static String pair(String one, String other) {
      return one.compareTo(other) <= 0 ? "p " + one + " " + other : "p " + other + " " + one;
    }

    /** Every two whole parts, as they sound or as the names they are short for. */
    private void forPairs(Pairs told) {
      List<String> whole = parts.stream().filter(part -> part.length() > 1).limit(MOST).toList();
      List<Set<String>> forms = whole.stream().map(Name::forms).toList();
      for (int i = 0; i < whole.size(); i++) {
        for (int j = 0; j < whole.size(); j++) {
          if (i != j) {
            char initial = whole.get(j).charAt(0);
            for (String one : forms.get(i)) {
              forms.get(j).forEach(other -> told.accept(one, other, initial));
            }
          }
        }
      }
    }

    private void forInitials(BiConsumer<String, Character> told) {
      for (String initial : parts) {
        if (initial.length() == 1) {
          parts.stream()
              .filter(part -> part.length() > 1)
              .flatMap(part -> forms(part).stream())
              .forEach(one -> told.accept(one, initial.charAt(0)));
        }
      }
    }

    /** The names that a part is short for, or how it sounds where it is not listed. */
    private static Set<String> forms(String part) {
      Set<Integer> rows = Nicknames.rows(part);
      if (!rows.isEmpty()) {
        return rows.stream().sorted().limit(2).map(row -> "#" + row).collect(Collectors.toSet());
      }
      String sound = Likeness.sound(part);
      return Set.of(sound.isEmpty() ? part : sound);
    }

    /** Two whole parts, and the first letter of the second. */
    private interface Pairs {
      void accept(String one, String other, char initial);
    }
  }
}
