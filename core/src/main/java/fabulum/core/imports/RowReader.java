package fabulum.core.imports;

import fabulum.core.customer.DetailType;
import fabulum.core.imports.Target.What;
import fabulum.core.phone.NumberReader;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.text.Language;
import fabulum.core.text.MailAddress;
import fabulum.core.text.OneLine;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/** Reads the rows of a file as customers, and says of each cell that cannot be read why. */
public final class RowReader {
  private static final int LONGEST_NAME = 160;
  private static final int LONGEST_MAIL = 200;
  private static final int LONGEST_KIND = 40;
  private static final int LONGEST_ID = 80;
  private static final int LONGEST_NOTE = 4_000;
  private static final int MOST_NUMBERS = 20;

  /** Several numbers in one cell. */
  private static final Pattern BETWEEN_NUMBERS =
      Pattern.compile("\\s*(?:[;|\\n]|, (?=[+(\\d]))\\s*");

  private final Terms terms;
  private final NumberReader numbers = new NumberReader();

  /** Begins. */
  public RowReader(Terms terms) {
    this.terms = terms;
  }

  /**
   * What the business knows.
   *
   * @param sites by name in lower case
   * @param details extra fields by id
   * @param own numbers of our own lines
   * @param region in whose habits numbers are written
   */
  public record Terms(
      Map<String, Long> sites, Map<Long, DetailOf> details, Set<PhoneNumber> own, Region region) {}

  /** An extra field. */
  public record DetailOf(String name, DetailType type, List<String> choices) {}

  /** What a row came to. */
  public sealed interface Row
      permits Customer,
          Refused,
          WorkReader.AppointmentRow,
          WorkReader.JobRow,
          PastTextReader.PastText {}

  /**
   * A customer.
   *
   * @param name blank where the file does not say
   * @param language its code by ISO 639-1
   * @param numbers with what the column calls them, blank for unknown
   * @param details by id, in the form that is kept
   */
  public record Customer(
      String name,
      Optional<String> email,
      Optional<Long> site,
      Optional<String> kind,
      Optional<String> outsideId,
      Optional<String> language,
      Map<PhoneNumber, String> numbers,
      List<String> contacts,
      List<String> notes,
      Map<Long, String> details)
      implements Row {}

  /** It cannot be taken: all that is wrong with it. */
  public record Refused(List<String> why) implements Row {}

  /** Reads a row. Columns beyond its cells are empty. */
  public Row read(List<String> titles, List<Target> targets, List<String> cells) {
    Draft draft = new Draft();
    for (int i = 0; i < targets.size() && i < cells.size(); i++) {
      String cell = Cells.bare(cells.get(i));
      if (!cell.isEmpty()) {
        draft.add(targets.get(i), i < titles.size() ? titles.get(i) : "", cell);
      }
    }
    return draft.row();
  }

  /** A customer as the cells say it. */
  private final class Draft {
    private final Map<What, String> words = new EnumMap<>(What.class);
    private final Map<PhoneNumber, String> held = new LinkedHashMap<>();
    private final List<String> contacts = new ArrayList<>();
    private final List<String> notes = new ArrayList<>();
    private final Map<Long, String> details = new LinkedHashMap<>();
    private final List<String> bad = new ArrayList<>();

    void add(Target target, String title, String cell) {
      switch (target.what()) {
        case NOTHING -> {}
        case NAME, FIRST_NAME, LAST_NAME -> line(target.what(), "Name", cell, LONGEST_NAME);
        case KIND -> line(What.KIND, "Kind", cell, LONGEST_KIND);
        case OUTSIDE_ID -> line(What.OUTSIDE_ID, "Outside id", cell, LONGEST_ID);
        case EMAIL -> mail(cell);
        case SITE -> site(cell);
        case LANGUAGE -> language(cell);
        case NUMBER -> BETWEEN_NUMBERS.splitAsStream(cell).forEach(one -> number(title, one));
        case CONTACT -> {
          if (fits("Contact", cell, LONGEST_NAME)) {
            contacts.add(cell);
          }
        }
        case NOTE -> {
          if (cell.length() > LONGEST_NOTE) {
            bad.add("Note: at most 4,000 characters.");
          } else {
            notes.add(cell);
          }
        }
        case DETAIL -> detail(target.detail(), cell);
      }
    }

    private void line(What what, String name, String cell, int longest) {
      if (fits(name, cell, longest)) {
        words.put(what, cell);
      }
    }

    private boolean fits(String name, String cell, int longest) {
      String why =
          cell.length() > longest
              ? "at most " + longest + " characters."
              : OneLine.is(cell) ? "" : "one line only, without control characters.";
      if (!why.isEmpty()) {
        bad.add(name + ": " + why);
      }
      return why.isEmpty();
    }

    private void mail(String cell) {
      if (MailAddress.is(cell)) {
        line(What.EMAIL, "E-mail", cell, LONGEST_MAIL);
      } else {
        bad.add("E-mail: “" + Cells.beginning(cell) + "” is not a valid address.");
      }
    }

    private void site(String cell) {
      Long id = terms.sites().get(cell.toLowerCase(java.util.Locale.ROOT));
      if (id == null) {
        bad.add("Site: there is no site “" + Cells.beginning(cell) + "”.");
      } else {
        words.put(What.SITE, String.valueOf(id));
      }
    }

    private void language(String cell) {
      Language.read(cell)
          .ifPresentOrElse(
              known -> words.put(What.LANGUAGE, known.code()),
              () ->
                  bad.add(
                      "Language: “"
                          + Cells.beginning(cell)
                          + "” is none that Fabulum knows. It knows "
                          + Language.codes()
                          + "."));
    }

    private void number(String title, String typed) {
      NumberReader.Typed read = numbers.readTyped(typed, terms.region());
      if (read instanceof NumberReader.Typed.Impossible impossible) {
        bad.add("Number “" + Cells.beginning(typed) + "”: " + impossible.why());
        return;
      }
      PhoneNumber number = ((NumberReader.Typed.Understood) read).number();
      if (terms.own().contains(number)) {
        bad.add("Number “" + Cells.beginning(typed) + "” is one of our own lines.");
      } else if (held.size() == MOST_NUMBERS) {
        bad.add("At most " + MOST_NUMBERS + " numbers.");
      } else {
        held.putIfAbsent(number, kind(title));
      }
    }

    private void detail(long id, String cell) {
      DetailOf detail = terms.details().get(id);
      if (detail == null) {
        return;
      }
      DetailType.Read read = detail.type().read(cell, detail.choices());
      if (read instanceof DetailType.Understood understood) {
        details.put(id, understood.words());
      } else {
        bad.add(detail.name() + ": " + ((DetailType.Refused) read).why());
      }
    }

    Row row() {
      String name =
          words.getOrDefault(
              What.NAME,
              (words.getOrDefault(What.FIRST_NAME, "")
                      + " "
                      + words.getOrDefault(What.LAST_NAME, ""))
                  .strip());
      if (name.isEmpty()
          && held.isEmpty()
          && !words.containsKey(What.OUTSIDE_ID)
          && bad.isEmpty()) {
        bad.add("Neither a name nor a number.");
      }
      if (!bad.isEmpty()) {
        return new Refused(List.copyOf(bad));
      }
      return new Customer(
          name,
          Optional.ofNullable(words.get(What.EMAIL)),
          Optional.ofNullable(words.get(What.SITE)).map(Long::valueOf),
          Optional.ofNullable(words.get(What.KIND)),
          Optional.ofNullable(words.get(What.OUTSIDE_ID)),
          Optional.ofNullable(words.get(What.LANGUAGE)),
          held,
          contacts,
          notes,
          details);
    }
  }

  /** What a column of numbers says of them. */
  private static String kind(String title) {
    String plain = ColumnGuess.plain(title);
    if (plain.contains("mobil") || plain.contains("cell") || plain.contains("handy")) {
      return "mobile";
    }
    if (plain.contains("home") || plain.contains("privat")) {
      return "home";
    }
    return plain.contains("work") || plain.contains("business") || plain.contains("office")
        ? "work"
        : "";
  }
}
