package fabulum.server.imports;

import com.ibm.icu.text.CharsetDetector;
import com.ibm.icu.text.CharsetMatch;
import fabulum.core.imports.Subject;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/**
 * The rows of a file: values between separators (RFC 4180), or vCards (RFC 2426, RFC 6350), a
 * calendar (RFC 5545) or JSON objects (RFC 8259) laid out as such.
 *
 * @param encoding of the file
 * @param separator between the values; empty for vCards, calendars and JSON
 * @param rows each with the number of its line in the file, from 1
 */
public record Sheet(String encoding, String separator, List<Row> rows) {
  /** More rows than this are handed in as several files. */
  static final int MOST_ROWS = 100_000;

  private static final int LONGEST_CELL = 20_000;
  private static final int MOST_COLUMNS = 200;
  private static final List<Character> SEPARATORS = List.of(',', ';', '\t', '|');

  /** The encodings to choose from. */
  static final List<String> ENCODINGS =
      List.of(
          "UTF-8",
          "windows-1252",
          "ISO-8859-2",
          "windows-1250",
          "windows-1251",
          "UTF-16LE",
          "UTF-16BE",
          "Shift_JIS",
          "GB18030");

  /**
   * A row.
   *
   * @param line where it begins in the file; of JSON which object it is
   * @param against why it cannot be taken, as far as the form of the file says so
   */
  public record Row(long line, List<String> cells, List<String> against) {
    Row(long line, List<String> cells) {
      this(line, cells, List.of());
    }
  }

  /** Whether the columns are laid out by us, with titles. */
  boolean isLaidOut() {
    return separator.isEmpty();
  }

  /** What the file itself says that it is about; empty where a person may say. */
  Optional<Subject> subject() {
    List<String> titles = rows.get(0).cells();
    return !isLaidOut()
        ? Optional.empty()
        : titles.equals(CardRows.COLUMNS)
            ? Optional.of(Subject.CUSTOMERS)
            : titles.equals(CalendarRows.COLUMNS)
                ? Optional.of(Subject.APPOINTMENTS)
                : Optional.empty();
  }

  /**
   * Reads a file.
   *
   * @param encoding null to guess
   * @param separator null to guess
   * @param zone by whose clocks times of a calendar without one are told
   * @throws Problem when it is no such file, saying why
   */
  public static Sheet read(
      byte[] octets, @Nullable String encoding, @Nullable String separator, ZoneId zone) {
    refuseOthers(octets);
    String charset = encoding == null ? guess(octets) : known(encoding);
    String text = decoded(octets, charset);
    if (text.indexOf('\0') >= 0) {
      throw bad("This is not a text file, or it has another encoding. Nothing was imported.");
    }
    if (text.stripLeading().regionMatches(true, 0, "BEGIN:VCARD", 0, 11)) {
      return new Sheet(charset, "", CardRows.read(text));
    }
    if (text.stripLeading().regionMatches(true, 0, "BEGIN:VCALENDAR", 0, 15)) {
      return new Sheet(charset, "", CalendarRows.read(text, zone));
    }
    if (JsonRows.isJson(text)) {
      return new Sheet(charset, "", JsonRows.read(text));
    }
    char between = separator == null || separator.isEmpty() ? separator(text) : separator.charAt(0);
    return new Sheet(charset, String.valueOf(between), values(text, between));
  }

  private static void refuseOthers(byte[] octets) {
    if (octets.length == 0) {
      throw bad("The file is empty.");
    }
    if (starts(octets, 'P', 'K', 3, 4)) {
      throw bad(
          "This is a packed file or a spreadsheet (zip, xlsx), whatever its name says. Save it as CSV and hand that in.");
    }
    if (starts(octets, '%', 'P', 'D', 'F') || starts(octets, 0xD0, 0xCF, 0x11, 0xE0)) {
      throw bad(
          "This is not a CSV file, vCard, calendar or JSON file. Save it as CSV and hand that in.");
    }
  }

  private static boolean starts(byte[] octets, int... first) {
    if (octets.length < first.length) {
      return false;
    }
    for (int i = 0; i < first.length; i++) {
      if ((octets[i] & 0xFF) != first[i]) {
        return false;
      }
    }
    return true;
  }

  private static String known(String encoding) {
    return ENCODINGS.stream()
        .filter(encoding::equalsIgnoreCase)
        .findFirst()
        .orElseThrow(() -> bad("The encoding " + encoding + " is not known."));
  }

  private static String guess(byte[] octets) {
    if (starts(octets, 0xFF, 0xFE)) {
      return "UTF-16LE";
    }
    if (starts(octets, 0xFE, 0xFF)) {
      return "UTF-16BE";
    }
    if (isUtf8(octets)) {
      return "UTF-8";
    }
    CharsetMatch match = new CharsetDetector().setText(octets).detect();
    String name = match == null ? "" : match.getName();
    // It has all that ISO-8859-1 has, and the quotation marks that people mean.
    return name.equals("ISO-8859-1")
        ? "windows-1252"
        : ENCODINGS.stream().filter(name::equalsIgnoreCase).findFirst().orElse("windows-1252");
  }

  private static boolean isUtf8(byte[] octets) {
    try {
      StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(octets));
      return true;
    } catch (CharacterCodingException other) {
      return false;
    }
  }

  private static String decoded(byte[] octets, String charset) {
    String text = new String(octets, Charset.forName(charset));
    return text.startsWith("\uFEFF") ? text.substring(1) : text;
  }

  /** The one that stands equally often, and at least once, in most of the first lines. */
  private static char separator(String text) {
    List<String> lines = text.lines().filter(line -> !line.isBlank()).limit(20).toList();
    char best = ',';
    double most = 0;
    for (char one : SEPARATORS) {
      Map<Long, Long> counts =
          lines.stream()
              .map(line -> line.chars().filter(c -> c == one).count())
              .collect(Collectors.groupingBy(n -> n, Collectors.counting()));
      double score =
          counts.entrySet().stream()
              .filter(each -> each.getKey() > 0)
              .mapToDouble(each -> each.getValue() * (1 + Math.log(each.getKey())))
              .max()
              .orElse(0);
      if (score > most) {
        most = score;
        best = one;
      }
    }
    return best;
  }

  private static List<Row> values(String text, char separator) {
    CSVFormat format =
        CSVFormat.DEFAULT.builder().setDelimiter(separator).setIgnoreEmptyLines(true).get();
    List<Row> rows = new ArrayList<>();
    long line = 1;
    try (CSVParser parser = CSVParser.parse(text, format)) {
      for (CSVRecord record : parser) {
        add(rows, new Row(line, record.toList()));
        line = parser.getCurrentLineNumber() + 1;
      }
    } catch (IOException | UncheckedIOException | IllegalArgumentException broken) {
      throw bad(
          "The file cannot be read from line "
              + line
              + " on: a quotation mark may be missing, or it is not a CSV file. Nothing was imported.");
    }
    if (rows.isEmpty()) {
      throw bad("There are no rows in the file.");
    }
    return rows;
  }

  static void add(List<Row> rows, Row row) {
    long line = row.line();
    List<String> cells = row.cells();
    if (rows.size() == MOST_ROWS) {
      throw bad("The file has more than 100,000 rows. Hand it in as several files.");
    }
    if (cells.size() > MOST_COLUMNS) {
      throw bad("Line " + line + " has more than 200 columns. Is the separator right?");
    }
    for (String cell : cells) {
      if (cell.length() > LONGEST_CELL) {
        throw bad(
            "In line "
                + line
                + " a value has more than 20,000 characters; a quotation mark may be missing. Nothing was imported.");
      }
    }
    if (cells.stream().anyMatch(cell -> !cell.isBlank())) {
      rows.add(row);
    }
  }

  static Problem bad(String why) {
    return Problem.fields(List.of(new FieldProblem("file", why)));
  }
}
