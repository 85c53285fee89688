package fabulum.core.identify;

import fabulum.core.identify.Reading.Window;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Evidence from names in the text. */
final class NameClues {
  private static final double NICKNAME = 0.9;
  private static final double COMMON_WORD = 0.35;
  private static final int LONGEST_NAME_WINDOW = 3;
  private static final int NEAR = 3;

  /** A first name that many strangers have says less. */
  private static final double FREQUENT = 0.8;

  private static final double FIRM_WORDS = 1.6;

  /** Words after a name at the beginning that show it is the one who is spoken to. */
  private static final Set<String> TO_THE_NAMED =
      Set.of(
          "your",
          "youre",
          "you",
          "u",
          "ur",
          "can",
          "could",
          "please",
          "pls",
          "bring",
          "dont",
          "are",
          "we",
          "poker",
          "call",
          "is",
          "tell",
          "remember",
          "thanks",
          "thank");

  private final Reading reading;
  private final Rarity rarity;

  NameClues(Reading reading, Rarity rarity) {
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

  List<Evidence> of(Profile profile) {
    List<Evidence> found = new ArrayList<>();
    Set<Integer> explained = new HashSet<>();
    List<PersonName> persons = new ArrayList<>();
    if (profile.contacts().isEmpty()) {
      persons.add(PersonName.of(profile.name()));
    }
    profile.contacts().forEach(contact -> persons.add(PersonName.of(contact)));
    boolean lastNameDiffers = false;
    for (PersonName person : persons) {
      if (!person.isEmpty()) {
        Match match = match(person);
        explain(match, explained);
        weigh(match, found);
        lastNameDiffers |= otherLastName(match, profile);
      }
    }
    notedNames(profile, persons, explained).ifPresent(found::add);
    firm(profile).ifPresent(found::add);
    againstName(profile, explained, found, lastNameDiffers);
    return strongest(found);
  }

  private static List<Evidence> strongest(List<Evidence> all) {
    List<Evidence> kept = new ArrayList<>();
    for (Clue clue : Clue.values()) {
      all.stream()
          .filter(one -> one.clue() == clue)
          .max((a, b) -> Double.compare(a.strength(), b.strength()))
          .ifPresent(kept::add);
    }
    return kept;
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

  private Found best(String part, boolean given, int near) {
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

  private static void explain(Match match, Set<Integer> explained) {
    for (Found part : List.of(match.first(), match.last())) {
      for (int i = part.from(); part.isThere() && i < part.to(); i++) {
        explained.add(i);
      }
    }
  }

  private void weigh(Match match, List<Evidence> found) {
    String name = match.name().shown();
    double rareFirst = Rarity.of(rarity.named(match.name().first()));
    double rareLast = Rarity.of(rarity.named(match.name().last()));
    if (match.isFull()) {
      double quality = Math.sqrt(match.first().letters() * match.last().letters());
      found.add(new Evidence(Clue.FULL_NAME, quality, said(name)));
    } else if (match.first().isThere()) {
      double strength =
          match.first().quality()
              * rareFirst
              * (Nicknames.isFrequent(match.name().first()) ? FREQUENT : 1);
      boolean own = match.introduced() && !match.related();
      found.add(
          new Evidence(
              own ? Clue.FIRST_NAME : Clue.MENTIONED, strength, said(match.name().shownFirst())));
    } else if (match.last().isThere()) {
      found.add(
          new Evidence(
              Clue.LAST_NAME, match.last().quality() * rareLast, said(match.name().shownLast())));
    }
    if (match.initial()) {
      found.add(new Evidence(Clue.INITIAL, 1, said(name)));
    }
    if (match.related() && (match.first().isThere() || match.last().isThere())) {
      double quality = Math.max(match.first().quality(), match.last().quality());
      found.add(new Evidence(Clue.RELATIVE, quality, "Speaks of " + name + " as of someone else."));
    }
    if (isAddressed(match)) {
      found.add(
          new Evidence(
              Clue.ADDRESSED,
              match.first().quality(),
              "The text is addressed to " + match.name().shownFirst() + "."));
    }
  }

  private static String said(String name) {
    return "Says “" + name + "”.";
  }

  /** {@code Bob, poker at 8}, {@code Patricia your appointment}, {@code Is this Kenny?}. */
  private boolean isAddressed(Match match) {
    Found first = match.first();
    if (!first.isThere() || match.isFull()) {
      return false;
    }
    List<Word> words = reading.words();
    boolean asked =
        first.from() >= 2
            && words.get(first.from() - 1).plain().equals("this")
            && words.get(first.from() - 2).plain().equals("is")
            && words.get(first.to() - 1).after().contains("?");
    boolean questioned = first.from() == 0 && words.get(first.to() - 1).after().contains("?");
    if (asked || questioned) {
      return true;
    }
    if (first.from() > 1
        || first.to() >= words.size()
        || first.from() == 1 && !isGreeting(words.get(0))) {
      return false;
    }
    String next = words.get(first.to()).plain();
    return TO_THE_NAMED.contains(next) && !AFFIRMS.contains(next);
  }

  private static final Set<String> AFFIRMS = Set.of("here");

  private static boolean isGreeting(Word word) {
    return Set.of("hi", "hey", "hello", "dear", "yo", "tell", "hola").contains(word.plain());
  }

  /** A name in the notes that the writer introduces themselves by. */
  private Optional<Evidence> notedNames(
      Profile profile, List<PersonName> persons, Set<Integer> explained) {
    Evidence best = null;
    for (String note : profile.notes()) {
      for (Word word : Wording.words(note)) {
        boolean name =
            word.capital()
                && word.plain().length() > 2
                && !CommonWords.contains(word.plain())
                && persons.stream().noneMatch(person -> person.parts().contains(word.plain()));
        if (!name) {
          continue;
        }
        Found found = best(word.plain(), true, -1);
        if (found.isThere()) {
          explain(
              new Match(
                  new PersonName(List.of(word.plain()), word.plain()),
                  found,
                  Found.NOTHING,
                  false,
                  false,
                  false),
              explained);
          double strength = found.quality() * (reading.isIntroduced(found.from()) ? 1 : 0.6);
          if (best == null || strength > best.strength()) {
            best =
                new Evidence(
                    Clue.NOTED_NAME, strength, "The notes name “" + capital(word.plain()) + "”.");
          }
        }
      }
    }
    return Optional.ofNullable(best);
  }

  private Optional<Evidence> firm(Profile profile) {
    if (profile.contacts().isEmpty() && !looksLikeFirm(profile.name())) {
      return Optional.empty();
    }
    PersonName name = PersonName.of(profile.name());
    double all = 0;
    double said = 0;
    for (String part : name.parts()) {
      double weight = (CommonWords.contains(part) ? 0.3 : 1) * Rarity.of(rarity.named(part));
      all += weight;
      Found found = best(part, false, -1);
      if (found.letters() >= 0.6) {
        said += weight * found.letters();
      }
    }
    double strength = all == 0 ? 0 : Math.min(1, said / Math.min(all, FIRM_WORDS));
    return strength < 0.2
        ? Optional.empty()
        : Optional.of(new Evidence(Clue.FIRM, strength, said(profile.name())));
  }

  private static boolean looksLikeFirm(String name) {
    return name.matches(
        "(?i).*\\b(inc|llc|ltd|gmbh|co|corp|company|school|club|services?|group|partners|& sons)\\b.*");
  }

  private boolean otherLastName(Match match, Profile profile) {
    Found first = match.first();
    if (!first.isThere()
        || match.last().isThere()
        || first.to() >= reading.words().size()
        || match.name().isSingle()) {
      return false;
    }
    Word next = reading.words().get(first.to());
    return !reading.words().get(first.to() - 1).endsClause()
        && !reading.words().get(first.to() - 1).possessive()
        && next.plain().length() > 2
        && next.capital()
        && !next.foreign()
        && !CommonWords.contains(next.plain())
        && !standsIn(profile, next.plain());
  }

  private void againstName(
      Profile profile, Set<Integer> explained, List<Evidence> found, boolean lastNameDiffers) {
    if (lastNameDiffers) {
      found.add(new Evidence(Clue.OTHER_LAST_NAME, 1, "The last name is a different one."));
    }
    for (int at : reading.introductions()) {
      boolean other =
          !explained.contains(at)
              && !reading.words().get(at).foreign()
              && reading.isNameLike(at, rarity)
              && !standsIn(profile, reading.words().get(at).plain());
      if (other) {
        found.add(
            new Evidence(
                Clue.OTHER_NAME,
                1,
                "Gives the name “" + capital(reading.words().get(at).plain()) + "”."));
      }
      int after = at + 1;
      while (after < reading.words().size()
          && after < at + 3
          && reading.belongsTo(after).isEmpty()) {
        after++;
      }
      List<Word> place = reading.isNameLike(at, rarity) ? reading.belongsTo(after) : List.of();
      boolean special = place.stream().anyMatch(word -> !CommonWords.contains(word.plain()));
      if (special && place.stream().noneMatch(word -> standsIn(profile, word.plain()))) {
        found.add(
            new Evidence(
                Clue.FROM_ELSEWHERE, 1, "Says they are from somewhere that is not on file."));
      }
    }
  }

  /** Whether a word stands anywhere in what is on file. */
  private static boolean standsIn(Profile profile, String plain) {
    if (CommonWords.contains(plain)) {
      return false;
    }
    List<String> all = new ArrayList<>(profile.contacts());
    all.add(profile.name());
    profile.site().ifPresent(all::add);
    profile.details().forEach(detail -> all.add(detail.value()));
    all.addAll(profile.notes());
    profile.email().ifPresent(all::add);
    for (String each : all) {
      for (Word word : Wording.words(each)) {
        if (word.plain().equals(plain)
            || plain.length() > 4 && Likeness.of(plain, word.plain()) >= 0.6) {
          return true;
        }
      }
      if (plain.length() > 4
          && String.join("", fabulum.core.text.Tokens.of(each)).contains(plain)) {
        return true;
      }
    }
    return false;
  }

  private static String capital(String plain) {
    return Character.toUpperCase(plain.charAt(0)) + plain.substring(1);
  }
}
