package fabulum.core.parts;

import fabulum.core.parts.PartCount.PlainOffer;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Counts the billed parts of a text. */
public final class PartCounter {

  private PartCounter() {}

  /**
   * Counts a text as the network bills it.
   *
   * @param text any text; an unpaired surrogate counts as one unit
   */
  public static PartCount count(String text) {
    PartCount bare = countAsIs(text);
    return new PartCount(
        bare.encoding(),
        bare.parts(),
        bare.units(),
        bare.unitsLeft(),
        bare.forcing(),
        plainOffer(text, bare));
  }

  private static Optional<PlainOffer> plainOffer(String text, PartCount bare) {
    if (bare.encoding() == Encoding.BASIC) {
      return Optional.empty();
    }
    String plain = PlainWording.of(text);
    if (plain.equals(text)) {
      return Optional.empty();
    }
    PartCount offered = countAsIs(plain);
    boolean worthIt =
        offered.count() < bare.count()
            || (offered.count() == bare.count() && offered.encoding() == Encoding.BASIC);
    return worthIt
        ? Optional.of(
            new PlainOffer(
                plain, offered.count(), bare.count() - offered.count(), offered.unitsLeft()))
        : Optional.empty();
  }

  private static PartCount countAsIs(String text) {
    List<String> forcing = forcing(text);
    Encoding encoding = forcing.isEmpty() ? Encoding.BASIC : Encoding.UCS2;
    int units = units(text, encoding);
    if (units <= encoding.single()) {
      List<String> parts = text.isEmpty() ? List.of() : List.of(text);
      return new PartCount(
          encoding, parts, units, encoding.single() - units, forcing, Optional.empty());
    }
    List<String> parts = split(text, encoding);
    int last = units(parts.get(parts.size() - 1), encoding);
    return new PartCount(
        encoding, parts, units, encoding.joined() - last, forcing, Optional.empty());
  }

  private static List<String> forcing(String text) {
    Set<String> found = new LinkedHashSet<>();
    text.codePoints()
        .filter(c -> BasicSet.septets(c) == 0)
        .forEach(c -> found.add(Character.toString(c)));
    return List.copyOf(found);
  }

  private static int units(String text, Encoding encoding) {
    return text.codePoints().map(c -> units(c, encoding)).sum();
  }

  private static int units(int codePoint, Encoding encoding) {
    return encoding == Encoding.BASIC
        ? BasicSet.septets(codePoint)
        : Character.charCount(codePoint);
  }

  /**
   * Fills each part with whole characters only, so neither an escape nor a surrogate pair is torn
   * apart.
   */
  private static List<String> split(String text, Encoding encoding) {
    List<String> parts = new ArrayList<>();
    int start = 0;
    int used = 0;
    for (int i = 0; i < text.length(); ) {
      int codePoint = text.codePointAt(i);
      int width = units(codePoint, encoding);
      if (used + width > encoding.joined()) {
        parts.add(text.substring(start, i));
        start = i;
        used = 0;
      }
      used += width;
      i += Character.charCount(codePoint);
    }
    parts.add(text.substring(start));
    return parts;
  }
}
