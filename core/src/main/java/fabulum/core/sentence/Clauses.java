package fabulum.core.sentence;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** The clauses of a sentence's text, and what may stand in them. */
final class Clauses {
  /** Every kind of space, as a browser's {@code trim} knows them. */
  private static final Pattern SPACE = Pattern.compile("[\\s\\p{Z}\\uFEFF]");

  private static final Pattern ID = Pattern.compile("\\d{1,15}");

  private Clauses() {}

  /** Between semicolons, with what was quoted. */
  static List<String> split(String typed) {
    String text = SPACE.matcher(typed).replaceAll(" ");
    List<String> parts = new ArrayList<>();
    StringBuilder part = new StringBuilder();
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c == '\\' && i + 1 < text.length()) {
        part.append(text.charAt(++i));
      } else if (c == ';') {
        parts.add(part.toString().strip());
        part.setLength(0);
      } else {
        part.append(c);
      }
    }
    parts.add(part.toString().strip());
    parts.removeIf(String::isEmpty);
    return parts;
  }

  /** Words as they stand in a clause. */
  static String quote(String words) {
    return words.replace("\\", "\\\\").replace(";", "\\;");
  }

  /** What follows the first word. */
  static String rest(String clause) {
    return clause.substring(clause.indexOf(' ') + 1).strip();
  }

  /** An id after the first word. */
  static Long id(String clause) {
    String digits = rest(clause);
    long id = ID.matcher(digits).matches() ? Long.parseLong(digits) : 0;
    if (id < 1) {
      throw new IllegalArgumentException("Nothing has this number");
    }
    return id;
  }

  /** Words after the first one. */
  static String words(String clause) {
    if (!clause.contains(" ")) {
      throw new IllegalArgumentException("The words are missing");
    }
    return rest(clause);
  }

  /** A count of days after the first word. */
  static Integer days(String clause) {
    return (int) Math.min(id(clause), Integer.MAX_VALUE);
  }

  /** A date of ISO 8601 after the first word. */
  static LocalDate date(String clause) {
    return LocalDate.parse(rest(clause));
  }

  static IllegalArgumentException unreadable(String clause, @Nullable Exception cause) {
    return new IllegalArgumentException(
        "This part of the sentence cannot be read: “" + clause + "”.", cause);
  }

  static IllegalArgumentException saidTwice(String clause) {
    return new IllegalArgumentException(
        "This part of the sentence is said twice: “" + clause + "”.");
  }
}
