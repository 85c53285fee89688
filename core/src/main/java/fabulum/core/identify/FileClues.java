package fabulum.core.identify;

import fabulum.core.reading.CommonWords;
import fabulum.core.reading.Likeness;
import fabulum.core.reading.Rarity;
import fabulum.core.reading.Reading;
import fabulum.core.reading.Reading.Window;
import fabulum.core.text.Tokens;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Evidence from what is on file besides the name: details, numbers of jobs and invoices, mail. */
final class FileClues {
  private static final double COMMON_WORD = 0.4;
  private static final double BARE_NUMBER = 0.3;
  private static final double ANY_OF_ITS_KIND = 0.35;
  private static final double TWO_WORDS = 0.75;
  private static final Set<String> PLACES =
      Set.of(
          "unit",
          "apt",
          "apartment",
          "number",
          "no",
          "berth",
          "slip",
          "room",
          "suite",
          "in",
          "lot",
          "space",
          "box",
          "house",
          "from",
          "at",
          "bay",
          "stall",
          "nr");
  private static final Pattern REFERENCE =
      Pattern.compile("\\b(?:[A-Za-z]{1,4}[ -]?\\d[\\d-]*\\d|\\d[\\d-]{2,}\\d)\\b");

  private final Reading reading;
  private final Rarity rarity;
  private final Set<String> said;

  FileClues(Reading reading, Rarity rarity) {
    this.reading = reading;
    this.rarity = rarity;
    said = references(reading.written());
  }

  List<Evidence> of(Profile profile) {
    List<Evidence> found = new ArrayList<>();
    details(profile, found);
    reference(profile).ifPresent(found::add);
    profile.email().flatMap(this::mail).ifPresent(found::add);
    return found;
  }

  private void details(Profile profile, List<Evidence> found) {
    Evidence whole = null;
    Evidence part = null;
    for (Profile.Detail detail : profile.details()) {
      List<String> tokens = Tokens.of(detail.value());
      String compact = String.join("", tokens);
      double strength = whole(compact, detail) * Rarity.of(rarity.detailed(compact));
      if (strength == 0) {
        strength = twoWords(tokens) * Rarity.of(rarity.detailed(compact));
      }
      if (strength > 0 && (whole == null || strength > whole.strength())) {
        whole =
            new Evidence(
                Clue.DETAIL,
                strength,
                "Names their "
                    + detail.name().toLowerCase(Locale.ROOT)
                    + " “"
                    + detail.value()
                    + "”.");
      }
      double some = strength > 0 || tokens.size() < 2 ? 0 : part(tokens);
      if (some > 0 && (part == null || some > part.strength())) {
        part =
            new Evidence(
                Clue.PART_OF_DETAIL,
                some,
                "Names a part of their "
                    + detail.name().toLowerCase(Locale.ROOT)
                    + " “"
                    + detail.value()
                    + "”.");
      }
    }
    if (whole != null) {
      found.add(whole);
    }
    if (part != null) {
      found.add(part);
    }
  }

  /** How plainly the whole of a value stands in the text, 0 to 1. */
  private double whole(String value, Profile.Detail detail) {
    double best = 0;
    boolean digitsOnly = !value.isEmpty() && value.chars().allMatch(Character::isDigit);
    for (Window window : reading.windows()) {
      double quality;
      if (window.compact().equals(value)) {
        quality = 1;
      } else if (!digitsOnly && !window.common() && value.length() >= 5 && !hasDigit(value)) {
        double like = Likeness.of(window.compact(), value);
        quality =
            like >= 0.65 && !(window.length() == 1 && rarity.detailed(window.compact()) > 0)
                ? like
                : 0;
      } else {
        continue;
      }
      if (window.common() && !(window.capital() && !reading.words().get(window.from()).first())) {
        quality *= COMMON_WORD;
      }
      if (digitsOnly && value.length() < 5) {
        boolean placed =
            window.from() > 0
                && (PLACES.contains(reading.words().get(window.from() - 1).plain())
                    || Tokens.of(detail.name())
                        .contains(reading.words().get(window.from() - 1).plain())
                    || reading.words().get(window.from() - 1).after().contains("#"));
        quality *= placed || reading.written().contains("#" + value) ? 1 : BARE_NUMBER;
      } else if (value.length() < 2) {
        quality = 0;
      }
      best = Math.max(best, isOneOfAKind(window.from()) ? quality : quality * ANY_OF_ITS_KIND);
    }
    return best;
  }

  /** Not so in "we have a Brennwell 58": that is one of many. */
  private boolean isOneOfAKind(int at) {
    for (int i = Math.max(0, at - 3); i < at; i++) {
      String before = reading.words().get(i).plain();
      if (before.equals("a")
          || before.equals("an")
          || before.equals("your")
          || before.equals("any")) {
        return false;
      }
    }
    return true;
  }

  private static boolean hasDigit(String value) {
    return value.chars().anyMatch(Character::isDigit);
  }

  /** A house number with the street, or two words of a value that are no everyday words. */
  private double twoWords(List<String> tokens) {
    for (int i = 0; i + 1 < tokens.size() && tokens.size() > 2; i++) {
      String pair = tokens.get(i) + tokens.get(i + 1);
      boolean special =
          !CommonWords.contains(tokens.get(i)) && !CommonWords.contains(tokens.get(i + 1));
      for (Window window : reading.windows()) {
        if (special && window.length() == 2 && window.compact().equals(pair)) {
          return isOneOfAKind(window.from()) ? TWO_WORDS : TWO_WORDS * ANY_OF_ITS_KIND;
        }
      }
    }
    return 0;
  }

  private double part(List<String> tokens) {
    double sum = 0;
    for (int i = 0; i < tokens.size(); i++) {
      String token = tokens.get(i);
      String pair = i + 1 < tokens.size() ? token + tokens.get(i + 1) : token;
      if (CommonWords.contains(token) || token.length() < 3 && pair.length() < 3) {
        continue;
      }
      double best = 0;
      for (Window window : reading.windows()) {
        if (window.length() <= 2
            && !window.common()
            && (token.length() >= 3 && window.compact().equals(token)
                || pair.length() >= 3 && window.compact().equals(pair))) {
          best = 1;
        } else if (window.length() == 1 && !window.common() && token.length() >= 5) {
          best = Math.max(best, Likeness.of(window.compact(), token) >= 0.8 ? 0.7 : 0);
        }
      }
      sum += best * Rarity.of(Math.max(rarity.detailed(token), 1));
    }
    return Math.min(1, sum);
  }

  /**
   * Numbers of jobs, invoices and files, as they stand in a text: without spaces, in lower case.
   */
  static Set<String> references(String text) {
    Set<String> all = new HashSet<>();
    Matcher found = REFERENCE.matcher(text);
    while (found.find()) {
      String compact = String.join("", Tokens.of(found.group()));
      all.add(compact);
      String digits = compact.replaceAll("\\D", "");
      if (digits.length() >= 4) {
        all.add(digits);
      }
    }
    return all;
  }

  /** All references on file of a customer. */
  static Set<String> references(Profile profile) {
    Set<String> all = new HashSet<>();
    profile.jobs().forEach(job -> job.number().ifPresent(number -> all.addAll(references(number))));
    profile.notes().forEach(note -> all.addAll(references(note)));
    profile.said().forEach(text -> all.addAll(references(text.words())));
    profile.jobs().forEach(job -> all.addAll(references(job.what())));
    return all;
  }

  private Optional<Evidence> reference(Profile profile) {
    Set<String> theirs = said.isEmpty() ? Set.of() : references(profile);
    String both =
        said.stream()
            .filter(theirs::contains)
            .max((a, b) -> Integer.compare(a.length(), b.length()))
            .orElse(null);
    return both == null
        ? Optional.empty()
        : Optional.of(
            new Evidence(
                Clue.REFERENCE,
                1,
                "The number “" + both.toUpperCase(Locale.ROOT) + "” is on file for them."));
  }

  private Optional<Evidence> mail(String email) {
    return reading.written().toLowerCase(Locale.ROOT).contains(email.toLowerCase(Locale.ROOT))
        ? Optional.of(new Evidence(Clue.MAIL, 1, "Gives their e-mail address."))
        : Optional.empty();
  }
}
