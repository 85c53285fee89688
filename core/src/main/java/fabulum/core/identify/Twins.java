package fabulum.core.identify;

import fabulum.core.phone.PhoneNumber;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
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
    List<String> a = PersonName.of(one).parts();
    List<String> b = new ArrayList<>(PersonName.of(other).parts());
    if (a.size() > b.size()) {
      return areNear(other, one);
    }
    if (a.size() < 2) {
      return false;
    }
    boolean whole = false;
    for (String part : a) {
      Optional<String> fits = b.stream().filter(each -> fit(part, each)).findFirst();
      if (fits.isEmpty()) {
        return false;
      }
      whole |= part.length() > 2 && fits.get().length() > 2;
      b.remove(fits.get());
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
   * Words under which those with a near name are found: two near names have one in common, but for
   * a slip that changes how every part sounds.
   */
  public static Set<String> keys(String name) {
    return PersonName.of(name).parts().stream()
        .filter(part -> part.length() > 2)
        .map(Likeness::sound)
        .collect(Collectors.toCollection(TreeSet::new));
  }
}
