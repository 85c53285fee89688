package fabulum.core.identify;

import fabulum.core.reading.Likeness;
import fabulum.core.reading.Nicknames;
import fabulum.core.reading.PersonName;
import fabulum.core.reading.Rarity;
import fabulum.core.reading.Reading;
import fabulum.core.reading.Reading.Window;
import fabulum.core.reading.Word;

/** Finds names in a text, however they are written. */
final class NameFinder {
  private static final double NICKNAME = 0.9;
  private static final double COMMON_WORD = 0.35;
  private static final int LONGEST_NAME_WINDOW = 3;
  private static final int NEAR = 3;

  private final Reading reading;
  private final Rarity rarity;

  NameFinder(Reading reading, Rarity rarity) {
    this.reading = reading;
    this.rarity = rarity;
  }

  /** Where a part of a name was found. */
  record Found(double quality, double letters, int from, int to) {
    static final Found NOTHING = new Found(0, 0, -1, -1);

    boolean isThere() {
      return quality > 0;
    }
  }

  /** How a name stands in the text. */
  record Match(
      PersonName name,
      Found first,
      Found last,
      boolean initial,
      boolean introduced,
      boolean related) {
    boolean isFull() {
      return first.isThere()
          && last.isThere()
          && !name.isSingle()
          && Math.min(Math.abs(last.from() - first.to()), Math.abs(first.from() - last.to()))
              < NEAR;
    }
  }

  /** Finds the parts of a name in the text. */
  Match match(PersonName name) {
    Found last = name.isSingle() ? Found.NOTHING : best(name.last(), false, -1);
    Found first = best(name.first(), true, last.from());
    if (first.isThere() && last.isThere() && first.from() == last.from()) {
      if (first.quality() >= last.quality()) {
        last = Found.NOTHING;
      } else {
        first = Found.NOTHING;
      }
    }
    boolean initial =
        first.isThere() && !last.isThere() && initialFollows(name, first)
            || last.isThere() && !first.isThere() && initialOfFirst(name, last);
    int at = first.isThere() ? first.from() : last.from();
    int to = first.isThere() ? first.to() : last.to();
    boolean related = at >= 0 && reading.isRelated(at, to);
    boolean introduced =
        at >= 0
            && (reading.isIntroduced(at) || last.isThere() && reading.isIntroduced(last.from()));
    return new Match(name, first, last, initial, introduced, related);
  }

  /** The best likeness of one part of a name. */
  Found best(String part, boolean given, int near) {
    Found best = Found.NOTHING;
    double most = 0;
    for (Window window : reading.windows()) {
      if (window.length() > LONGEST_NAME_WINDOW) {
        continue;
      }
      double quality = likeness(window, part, given);
      if (quality == 0) {
        continue;
      }
      double placed =
          quality
              + (reading.isIntroduced(window.from()) ? 0.05 : 0)
              + (near >= 0 && near == window.to() ? 0.04 : 0);
      if (placed > most) {
        most = placed;
        best = new Found(quality, letters(window, part, given), window.from(), window.to());
      }
    }
    return best;
  }

  /** How alike the letters are, less where the word is an everyday one. */
  private double likeness(Window window, String part, boolean given) {
    double letters = letters(window, part, given);
    boolean plainWord =
        window.common()
            && !(window.capital() && !reading.words().get(window.from()).first())
            && !reading.isIntroduced(window.from());
    return plainWord ? letters * COMMON_WORD : letters;
  }

  private double letters(Window window, String part, boolean given) {
    if (part.length() < 2) {
      return 0;
    }
    String text = window.compact();
    if (text.equals(part)) {
      return 1;
    }
    if (given && window.length() == 1 && Nicknames.areOneName(text, part)) {
      return NICKNAME;
    }
    if (window.common() || window.length() > 1 && text.length() < 6) {
      return 0;
    }
    double quality = Likeness.of(text, part);
    // A word that is itself another name is that name, not a slip.
    return window.length() == 1 && isOtherName(text, part) ? quality * 0.3 : quality;
  }

  private boolean isOtherName(String text, String part) {
    return rarity.named(text) > 0 || Nicknames.isListed(text) && Nicknames.isListed(part);
  }

  private boolean initialFollows(PersonName name, Found first) {
    return first.to() < reading.words().size()
        && !name.isSingle()
        && isInitial(reading.words().get(first.to()), name.last())
        && !reading.words().get(first.to() - 1).endsClause();
  }

  private boolean initialOfFirst(PersonName name, Found last) {
    boolean after =
        last.to() < reading.words().size()
            && isInitial(reading.words().get(last.to()), name.first());
    boolean before =
        last.from() > 0 && isInitial(reading.words().get(last.from() - 1), name.first());
    return after || before;
  }

  private static boolean isInitial(Word word, String part) {
    return word.plain().length() == 1 && part.startsWith(word.plain());
  }
}
