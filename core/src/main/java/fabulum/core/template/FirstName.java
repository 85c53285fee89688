package fabulum.core.template;

import fabulum.core.text.Tokens;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/** What a person on file is called by their first name. */
public final class FirstName {
  private static final Set<String> TITLES =
      Set.of(
          "mr", "mrs", "ms", "miss", "mx", "dr", "prof", "rev", "sir", "madam", "herr", "frau",
          "senor", "senora", "capt", "captain", "sgt");

  /** Words that are in names of firms and clubs, not of people. */
  private static final Set<String> FIRM =
      Set.of(
          "llc",
          "inc",
          "ltd",
          "llp",
          "lp",
          "co",
          "corp",
          "company",
          "gmbh",
          "ag",
          "kg",
          "sa",
          "bv",
          "plc",
          "pllc",
          "sons",
          "bros",
          "brothers",
          "group",
          "marine",
          "marina",
          "boats",
          "yacht",
          "yachts",
          "sailing",
          "club",
          "charters",
          "charter",
          "services",
          "service",
          "insurance",
          "surveyors",
          "survey",
          "association",
          "society",
          "school",
          "church",
          "city",
          "county",
          "department",
          "partners",
          "associates",
          "holdings",
          "family",
          "trust",
          "team",
          "office",
          "rentals",
          "supply",
          "shop",
          "store",
          "the",
          "estate");

  private static final Pattern AND = Pattern.compile("\\s+(?:&|\\+|and|und|y|et|e)\\s+");
  private static final Pattern LETTER = Pattern.compile(".*\\p{L}.*");

  private FirstName() {}

  /**
   * The first name; of two people both: {@code Ann & Tom Reed} gives {@code Ann and Tom}. Empty
   * where the name is a firm's, a number, or a single word that may as well be a last name after a
   * title.
   */
  public static Optional<String> of(String name) {
    String[] comma = name.split(",", 2);
    String plain =
        (comma.length == 2 && !comma[1].isBlank() ? comma[1].strip() + " " + comma[0] : name)
            .strip();
    if (isFirm(plain) || plain.chars().anyMatch(Character::isDigit)) {
      return Optional.empty();
    }
    List<String> people = new ArrayList<>();
    for (String person : AND.split(plain)) {
      Optional<String> first = first(person);
      if (first.isEmpty()) {
        return Optional.empty();
      }
      people.add(first.get());
    }
    return people.isEmpty() || people.size() > 2
        ? Optional.empty()
        : Optional.of(String.join(" and ", people));
  }

  private static boolean isFirm(String name) {
    return Tokens.of(name).stream().anyMatch(FIRM::contains);
  }

  private static Optional<String> first(String person) {
    boolean titled = false;
    List<String> words = new ArrayList<>();
    for (String word : person.strip().split("\\s+")) {
      if (words.isEmpty() && TITLES.contains(String.join("", Tokens.of(word)))) {
        titled = true;
      } else if (LETTER.matcher(word).matches()) {
        words.add(word);
      }
    }
    boolean lastOnly = titled && words.size() == 1;
    boolean initial = !words.isEmpty() && words.get(0).replace(".", "").length() < 2;
    return words.isEmpty() || lastOnly || initial ? Optional.empty() : Optional.of(words.get(0));
  }
}
