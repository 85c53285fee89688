package fabulum.core.reading;

import fabulum.core.text.Latin;
import fabulum.core.text.Tokens;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * A name in its parts.
 *
 * @param parts in the order written, each without spaces and hyphens: {@code Wilhelmina de Groot}
 *     gives {@code wilhelmina, degroot}, {@code Hyun-woo Park} gives {@code hyunwoo, park}
 * @param written as on file
 */
public record PersonName(List<String> parts, String written) {
  private static final Set<String> PARTICLES =
      Set.of(
          "de", "del", "della", "der", "den", "di", "da", "dos", "du", "la", "le", "van", "von",
          "zu", "el", "al", "bin", "ibn", "mc", "mac", "o", "st", "ter", "ten", "y");
  private static final Set<String> TITLES =
      Set.of(
          "mr", "mrs", "ms", "miss", "dr", "prof", "rev", "sir", "madam", "herr", "frau", "jr",
          "sr", "ii", "iii");

  /** Keeps the parts as they are. */
  public PersonName {
    parts = List.copyOf(parts);
  }

  /** Reads a name as it stands on file; titles are left out. */
  public static PersonName of(String name) {
    List<String> parts = new ArrayList<>();
    StringBuilder particle = new StringBuilder();
    for (String written : Latin.of(name).strip().split("[\\s,;/&+]+")) {
      String plain = String.join("", Tokens.of(written));
      if (plain.isEmpty() || TITLES.contains(plain) && !parts.isEmpty()) {
        continue;
      }
      if (!parts.isEmpty() && PARTICLES.contains(plain)) {
        particle.append(plain);
      } else {
        parts.add(particle + plain);
        particle.setLength(0);
      }
    }
    if (!particle.isEmpty()) {
      parts.add(particle.toString());
    }
    return new PersonName(parts, name.strip());
  }

  /** As it is written on file. */
  public String shown() {
    return written;
  }

  /** The first word of the name as written. */
  public String shownFirst() {
    return written.split(" +")[0];
  }

  /** The last word of the name as written. */
  public String shownLast() {
    String[] words = written.split(" +");
    return words[words.length - 1];
  }

  /** Its first part; see {@link #parts}. */
  public String first() {
    return parts.get(0);
  }

  /** Its last part; see {@link #parts}. */
  public String last() {
    return parts.get(parts.size() - 1);
  }

  /** Whether it has one part only. */
  public boolean isSingle() {
    return parts.size() < 2;
  }

  /** Whether it has no part: nothing of it can be read. */
  public boolean isEmpty() {
    return parts.isEmpty();
  }
}
