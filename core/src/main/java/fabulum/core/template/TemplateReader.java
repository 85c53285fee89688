package fabulum.core.template;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/** Reads the stored form of a template; says all that is wrong with it at once, and where. */
public final class TemplateReader {
  private static final String FALLBACK =
      "Behind the bar of a placeholder stand up to "
          + Placeholder.LONGEST_FALLBACK
          + " characters on one line.";

  private static final Pattern TEMPLATE =
      Pattern.compile("\\{\\s*template\\s*:", Pattern.CASE_INSENSITIVE);

  private final Known known;

  /**
   * Begins.
   *
   * @param known which placeholders there are
   */
  public TemplateReader(Known known) {
    this.known = known;
  }

  /** What came of reading. */
  public sealed interface Read permits Good, Bad {}

  /** A template. */
  public record Good(TemplateText text) implements Read {}

  /**
   * No template.
   *
   * @param faults not empty, in order
   */
  public record Bad(List<Fault> faults) implements Read {
    public Bad {
      faults = List.copyOf(faults);
    }
  }

  /**
   * Something wrong.
   *
   * @param at where it stands, in UTF-16 units
   * @param why a sentence
   */
  public record Fault(int at, String why) {}

  /** Reads a template. */
  public Read read(String written) {
    List<Piece> pieces = new ArrayList<>();
    List<Fault> faults = new ArrayList<>();
    int at = 0;
    while (at < written.length()) {
      int brace = brace(written, at);
      if (brace > at) {
        pieces.add(new Piece.Words(written.substring(at, brace)));
      }
      at = brace == written.length() ? brace : placeholder(written, brace, pieces, faults);
    }
    if (faults.isEmpty() && written.isBlank()) {
      faults.add(new Fault(0, "Write something first."));
    }
    return faults.isEmpty() ? new Good(new TemplateText(pieces)) : new Bad(faults);
  }

  private static int brace(String written, int from) {
    int at = from;
    while (at < written.length() && written.charAt(at) != '{' && written.charAt(at) != '}') {
      at++;
    }
    return at;
  }

  /** Reads what begins with a brace; returns the place behind it. */
  private int placeholder(String written, int at, List<Piece> pieces, List<Fault> faults) {
    if (written.charAt(at) == '}') {
      faults.add(new Fault(at, "This “}” closes nothing. Braces are for placeholders."));
      return at + 1;
    }
    int end = brace(written, at + 1);
    if (end == written.length() || written.charAt(end) == '{') {
      faults.add(new Fault(at, "This “{” is not closed. Braces are for placeholders."));
      return at + 1;
    }
    Fault unknown = new Fault(at, unknown(written.substring(at, end + 1)));
    String[] parts = written.substring(at + 1, end).split("\\|", 2);
    String fallback = parts.length < 2 ? "" : parts[1].strip();
    if (!isFallback(fallback)) {
      faults.add(new Fault(at, FALLBACK));
    }
    named(parts[0])
        .map(one -> one.with(isFallback(fallback) ? fallback : ""))
        .ifPresentOrElse(pieces::add, () -> faults.add(unknown));
    return end + 1;
  }

  private static String unknown(String written) {
    return TEMPLATE.matcher(written).lookingAt()
        ? "A template cannot stand within another. Write its words instead."
        : "There is no placeholder “%s”.".formatted(written);
  }

  private static boolean isFallback(String words) {
    return words.length() <= Placeholder.LONGEST_FALLBACK
        && words.chars().noneMatch(sign -> sign == '|' || sign == '\n' || sign == '\r');
  }

  /** Most stand for something of the customer, so that need not be said. */
  private Optional<Placeholder> named(String called) {
    int colon = called.indexOf(':');
    String group = colon < 0 ? ValueFrom.CUSTOMER.word() : called.substring(0, colon).strip();
    String name = called.substring(colon + 1).strip();
    return ValueFrom.read(group)
        .flatMap(whose ->
            known.find(whose, name).map(kept -> new Placeholder(whose, kept, Optional.empty())));
  }
}
