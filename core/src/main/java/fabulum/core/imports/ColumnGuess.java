package fabulum.core.imports;

import fabulum.core.imports.Target.What;
import fabulum.core.phone.NumberReader;
import fabulum.core.phone.Region;
import fabulum.core.text.MailAddress;
import fabulum.core.text.Tokens;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/** What the columns of a file are about, from their titles and from what stands in them. */
public final class ColumnGuess {
  /** Such a part of what is filled in must look like it. */
  private static final double MOSTLY = 0.7;

  private final Subject subject;
  private final Map<String, Long> details;
  private final Map<String, Target> remembered;
  private final Region region;
  private final NumberReader numbers = new NumberReader();

  /**
   * Begins.
   *
   * @param subject what the rows are about
   * @param details extra fields by name
   * @param remembered what titles were matched with before
   * @param region in whose habits numbers are written
   */
  public ColumnGuess(
      Subject subject, Map<String, Long> details, Map<String, Target> remembered, Region region) {
    this.subject = subject;
    this.details = new LinkedHashMap<>();
    details.forEach((name, id) -> this.details.put(plain(name), id));
    this.remembered = new LinkedHashMap<>();
    remembered.forEach((title, target) -> this.remembered.put(plain(title), target));
    this.region = region;
  }

  /** A title without case, accents, spaces and signs. */
  public static String plain(String title) {
    return String.join("", Tokens.of(title));
  }

  /**
   * What each column is about. Only numbers, contacts and notes may have several columns.
   *
   * @param titles as they stand in the file, empty where there is none
   * @param columns some of what stands in each column
   */
  public List<Target> of(List<String> titles, List<List<String>> columns) {
    List<Target> targets = new ArrayList<>();
    for (int i = 0; i < columns.size(); i++) {
      String title = i < titles.size() ? titles.get(i) : "";
      List<String> filled = columns.get(i).stream().filter(cell -> !cell.isBlank()).toList();
      Target guess = byTitle(title).or(() -> byContent(filled)).orElse(Target.NOTHING);
      targets.add(MANY.contains(guess.what()) || !targets.contains(guess) ? guess : Target.NOTHING);
    }
    nameAmong(targets, columns);
    return withoutHalves(targets);
  }

  /** Where no title speaks of a name, the first column of different names has them. */
  private void nameAmong(List<Target> targets, List<List<String>> columns) {
    if (subject != Subject.CUSTOMERS
        || targets.stream().anyMatch(one -> NAMES.contains(one.what()))) {
      return;
    }
    for (int i = 0; i < columns.size(); i++) {
      List<String> filled = columns.get(i).stream().filter(cell -> !cell.isBlank()).toList();
      boolean different = Set.copyOf(filled).size() >= MOSTLY * filled.size();
      boolean free = targets.get(i).equals(Target.NOTHING) && !filled.isEmpty();
      if (free && different && share(filled, cell -> NAME.matcher(cell.strip()).matches())) {
        targets.set(i, Target.of(What.NAME));
        return;
      }
    }
  }

  private static final Set<What> NAMES = Set.of(What.NAME, What.FIRST_NAME, What.LAST_NAME);

  /** Two to four words of letters, the first with a capital; the last name may stand first. */
  private static final Pattern NAME =
      Pattern.compile("\\p{Lu}[\\p{L}\\p{M}'’.-]*,?( [\\p{L}\\p{M}'’.-]+){1,3}");

  private static final Set<What> MANY = Set.of(What.NUMBER, What.CONTACT, What.NOTE, What.NOTHING);

  /** A first name is one only beside a last name; alone it is the name. */
  private static List<Target> withoutHalves(List<Target> targets) {
    boolean first = targets.contains(Target.of(What.FIRST_NAME));
    boolean last = targets.contains(Target.of(What.LAST_NAME));
    boolean whole = targets.contains(Target.of(What.NAME));
    if (whole || first == last) {
      return List.copyOf(targets);
    }
    What half = first ? What.FIRST_NAME : What.LAST_NAME;
    return targets.stream()
        .map(target -> target.what() == half ? Target.of(What.NAME) : target)
        .toList();
  }

  private Optional<Target> byTitle(String title) {
    String plain = plain(title);
    if (plain.isEmpty()) {
      return Optional.empty();
    }
    if (remembered.containsKey(plain)) {
      return Optional.of(remembered.get(plain));
    }
    if (subject == Subject.CUSTOMERS && details.containsKey(plain)) {
      return Optional.of(Target.detail(details.get(plain)));
    }
    return subject.byTitle(plain).map(Target::of);
  }

  private Optional<Target> byContent(List<String> filled) {
    if (filled.isEmpty()) {
      return Optional.empty();
    }
    if (share(filled, cell -> MailAddress.is(cell.strip()))) {
      return Optional.of(Target.of(What.EMAIL));
    }
    if (share(
        filled,
        cell ->
            cell.chars().filter(Character::isDigit).count() >= 7
                && numbers.readTyped(cell, region) instanceof NumberReader.Typed.Understood)) {
      return Optional.of(Target.of(What.NUMBER));
    }
    return Optional.empty();
  }

  private static boolean share(List<String> filled, java.util.function.Predicate<String> fits) {
    return filled.stream().filter(fits).count() >= MOSTLY * filled.size();
  }

  /**
   * Whether the first row has titles: one of them is a title that is known, or none of its cells
   * looks like what stands below it.
   */
  public boolean hasTitles(List<String> first, List<List<String>> columns) {
    if (first.stream().anyMatch(cell -> byTitle(cell).isPresent())) {
      return true;
    }
    for (int i = 0; i < columns.size() && i < first.size(); i++) {
      List<String> filled = columns.get(i).stream().filter(cell -> !cell.isBlank()).toList();
      Optional<Target> below = byContent(filled);
      if (below.isPresent() && byContent(List.of(first.get(i))).equals(below)) {
        return false;
      }
    }
    return columns.stream().anyMatch(column -> byContent(column).isPresent());
  }
}
