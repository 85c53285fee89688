package fabulum.core.identify;

import fabulum.core.identify.NameFinder.Found;
import fabulum.core.identify.NameFinder.Match;
import fabulum.core.reading.CommonWords;
import fabulum.core.reading.Nicknames;
import fabulum.core.reading.PersonName;
import fabulum.core.reading.Rarity;
import fabulum.core.reading.Reading;
import fabulum.core.reading.Word;
import fabulum.core.reading.Wording;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Evidence from names in the text. */
final class NameClues {

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
  private final NameFinder names;

  NameClues(Reading reading, Rarity rarity) {
    this.reading = reading;
    this.rarity = rarity;
    names = new NameFinder(reading, rarity);
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
        Match match = names.match(person);
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
    return TO_THE_NAMED.contains(next);
  }

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
        Found found = names.best(word.plain(), true, -1);
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
      Found found = names.best(part, false, -1);
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
        && !OnFile.has(profile, next.plain());
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
              && !OnFile.has(profile, reading.words().get(at).plain());
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
      if (special && place.stream().noneMatch(word -> OnFile.has(profile, word.plain()))) {
        found.add(
            new Evidence(
                Clue.FROM_ELSEWHERE, 1, "Says they are from somewhere that is not on file."));
      }
    }
  }

  private static String capital(String plain) {
    return Character.toUpperCase(plain.charAt(0)) + plain.substring(1);
  }
}
