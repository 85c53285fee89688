package fabulum.core.imports;

import fabulum.core.imports.RowReader.Refused;
import fabulum.core.imports.RowReader.Row;
import fabulum.core.imports.Target.What;
import fabulum.core.phone.NumberReader;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.phone.Sender;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Reads texts of the time before out of rows. */
public final class PastTextReader {
  /** The longest text a network carries, in UTF-16 units. */
  private static final int LONGEST_TEXT = 40_000;

  private static final int LONGEST_AUTHOR = 160;
  private static final int LONGEST_ID = 255;

  private static final Map<String, Boolean> DIRECTIONS =
      Map.ofEntries(
          Map.entry("in", true),
          Map.entry("incoming", true),
          Map.entry("inbound", true),
          Map.entry("received", true),
          Map.entry("customer", true),
          Map.entry("out", false),
          Map.entry("outgoing", false),
          Map.entry("outbound", false),
          Map.entry("sent", false),
          Map.entry("us", false));

  private final Terms terms;
  private final NumberReader numbers = new NumberReader();

  /** Begins. */
  public PastTextReader(Terms terms) {
    this.terms = terms;
  }

  /**
   * What the business knows.
   *
   * @param lines by name in lower case
   * @param numbers our lines by number
   * @param zone by whose clocks times without one are told
   * @param region in whose habits numbers and dates are written
   */
  public record Terms(
      Map<String, Long> lines,
      Map<PhoneNumber, Long> numbers,
      ZoneId zone,
      Region region,
      Instant now) {}

  /**
   * A text.
   *
   * @param line its id
   * @param in whether it was received
   * @param author who wrote it, of a text of ours; blank where the file does not say
   * @param outsideId how the other program names it
   */
  public record PastText(
      long line,
      Sender other,
      Instant at,
      boolean in,
      String words,
      String author,
      Optional<String> outsideId)
      implements Row {
    @Override
    public String toString() {
      return "PastText[line=" + line + ", at=" + at + "]";
    }
  }

  /** Reads a text. */
  public Row read(List<Target> targets, List<String> values) {
    Cells cells = new Cells(targets, values);
    Optional<Long> line = line(cells);
    Optional<Sender> other = other(cells);
    Optional<Instant> at = at(cells);
    Optional<Boolean> in = in(cells);
    Optional<String> words = cells.find(What.WORDS);
    if (words.isEmpty()) {
      cells.refuse("There are no words.");
    } else if (words.get().length() > LONGEST_TEXT) {
      cells.refuse("Words: at most 40,000 characters.");
    }
    if (cells.get(What.AUTHOR).length() > LONGEST_AUTHOR) {
      cells.refuse("By: at most " + LONGEST_AUTHOR + " characters.");
    }
    if (cells.get(What.OUTSIDE_ID).length() > LONGEST_ID) {
      cells.refuse("Id: at most " + LONGEST_ID + " characters.");
    }
    if (!cells.problems().isEmpty()
        || line.isEmpty()
        || other.isEmpty()
        || at.isEmpty()
        || in.isEmpty()
        || words.isEmpty()) {
      return new Refused(cells.problems());
    }
    return new PastText(
        line.get(),
        other.get(),
        at.get(),
        in.get(),
        words.get(),
        in.get() ? "" : cells.get(What.AUTHOR),
        cells.find(What.OUTSIDE_ID));
  }

  private Optional<Long> line(Cells cells) {
    String named = cells.get(What.LINE);
    if (named.isEmpty()) {
      Optional<Long> only = terms.numbers().values().stream().findFirst();
      if (terms.numbers().size() != 1) {
        cells.refuse("On which of our lines? Its name or number is needed.");
        return Optional.empty();
      }
      return only;
    }
    Optional<Long> line =
        Optional.ofNullable(terms.lines().get(named.toLowerCase(Locale.ROOT)))
            .or(() -> numbers.readNumber(named, terms.region()).map(terms.numbers()::get));
    if (line.isEmpty()) {
      cells.refuse("Line: we have no line “" + Cells.beginning(named) + "”.");
    }
    return line;
  }

  private Optional<Sender> other(Cells cells) {
    String typed = cells.get(What.NUMBER);
    if (typed.isEmpty()) {
      cells.refuse("The customer's number is missing.");
      return Optional.empty();
    }
    try {
      Sender other = numbers.readSender(typed, terms.region());
      if (other instanceof PhoneNumber number && terms.numbers().containsKey(number)) {
        cells.refuse("Number “" + Cells.beginning(typed) + "” is one of our own lines.");
        return Optional.empty();
      }
      return Optional.of(other);
    } catch (IllegalArgumentException notASender) {
      cells.refuse("Number “" + Cells.beginning(typed) + "”: " + notASender.getMessage());
      return Optional.empty();
    }
  }

  private Optional<Instant> at(Cells cells) {
    Optional<Instant> at = cells.time(What.AT, "Time", terms.zone(), terms.region());
    if (cells.find(What.AT).isEmpty()) {
      cells.refuse("When was it sent?");
    } else if (at.filter(time -> time.isAfter(terms.now())).isPresent()) {
      cells.refuse("Time: it lies in the future.");
    }
    return at;
  }

  private static Optional<Boolean> in(Cells cells) {
    String words = cells.get(What.DIRECTION);
    Optional<Boolean> in = Optional.ofNullable(DIRECTIONS.get(words.toLowerCase(Locale.ROOT)));
    if (in.isEmpty()) {
      cells.refuse(
          words.isEmpty()
              ? "Was it received or sent? The direction is missing."
              : "Direction: “" + Cells.beginning(words) + "” is neither received nor sent.");
    }
    return in;
  }
}
