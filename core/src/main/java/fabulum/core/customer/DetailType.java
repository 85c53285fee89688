package fabulum.core.customer;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.ResolverStyle;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** What may stand in an extra field of customers. */
public enum DetailType {
  TEXT,
  NUMBER,
  DATE,
  CHOICE;

  /** The longest words that are kept. */
  public static final int LONGEST = 400;

  /** A comma stands before three digits: it parts thousands; else it begins the fraction. */
  private static final Pattern WITH_THOUSANDS =
      Pattern.compile("[+-]?\\d{1,3}(,\\d{3})+(\\.\\d+)?");

  private static final Pattern PLAIN = Pattern.compile("[+-]?\\d{1,15}([.,]\\d{1,10})?");

  private static final List<DateTimeFormatter> DATES =
      Stream.of("d.M.uuuu", "d MMM uuuu", "d MMMM uuuu", "MMM d, uuuu", "MMMM d, uuuu", "uuuu/M/d")
          .map(form ->
              DateTimeFormatter.ofPattern(form, Locale.ENGLISH)
                  .withResolverStyle(ResolverStyle.STRICT))
          .toList();

  /** {@code 3/4/2026}: which of both is the month depends on the country. */
  private static final Pattern SLASHED = Pattern.compile("(\\d{1,2})/(\\d{1,2})/(\\d{4})");

  /** What was understood of typed words. */
  public sealed interface Read {}

  /**
   * The words as they are kept: numbers with a point and no thousands, dates as ISO 8601, choices
   * as they are listed.
   */
  public record Understood(String words) implements Read {}

  /** They cannot be kept. */
  public record Refused(String why) implements Read {}

  /**
   * Reads words that were typed or imported.
   *
   * @param words not blank
   * @param choices of a choice
   */
  public Read read(String words, List<String> choices) {
    String stripped = words.strip();
    if (stripped.length() > LONGEST) {
      return new Refused("At most " + LONGEST + " characters.");
    }
    return switch (this) {
      case TEXT -> new Understood(stripped);
      case NUMBER ->
          number(stripped)
              .<Read>map(Understood::new)
              .orElseGet(() -> new Refused("“" + stripped + "” is not a number."));
      case DATE -> date(stripped);
      case CHOICE ->
          choices.stream()
              .filter(stripped::equalsIgnoreCase)
              .findFirst()
              .<Read>map(Understood::new)
              .orElseGet(() -> new Refused("Choose one of: " + String.join(", ", choices) + "."));
    };
  }

  private static Optional<String> number(String words) {
    String digits = words.replace("\u00a0", "").replace("\u202f", "").replace(" ", "");
    if (WITH_THOUSANDS.matcher(digits).matches()) {
      digits = digits.replace(",", "");
    } else if (!PLAIN.matcher(digits).matches()) {
      return Optional.empty();
    }
    BigDecimal value = new BigDecimal(digits.replace(',', '.'));
    return Optional.of(value.signum() == 0 ? "0" : value.stripTrailingZeros().toPlainString());
  }

  private static Read date(String words) {
    Matcher slashed = SLASHED.matcher(words);
    if (slashed.matches()) {
      return slashed(words, slashed);
    }
    Optional<LocalDate> day =
        Stream.concat(Stream.of(DateTimeFormatter.ISO_LOCAL_DATE), DATES.stream())
            .flatMap(form -> parsed(words, form).stream())
            .findFirst();
    return day.<Read>map(date -> new Understood(date.toString()))
        .orElseGet(() -> new Refused("“" + words + "” is not a date. Write it as 2026-06-09."));
  }

  private static Read slashed(String words, Matcher parts) {
    int first = Integer.parseInt(parts.group(1));
    int second = Integer.parseInt(parts.group(2));
    int year = Integer.parseInt(parts.group(3));
    boolean either = first <= 12 && second <= 12 && first != second;
    if (either) {
      return new Refused(
          "“" + words + "” can be read in two ways. Write it as " + year + "-06-09.");
    }
    int month = Math.min(first, second);
    int day = Math.max(first, second);
    return parsed("%04d-%02d-%02d".formatted(year, month, day), DateTimeFormatter.ISO_LOCAL_DATE)
        .<Read>map(date -> new Understood(date.toString()))
        .orElseGet(() -> new Refused("“" + words + "” is not a date."));
  }

  private static Optional<LocalDate> parsed(String words, DateTimeFormatter form) {
    try {
      return Optional.of(LocalDate.parse(words, form));
    } catch (DateTimeException notThisForm) {
      return Optional.empty();
    }
  }
}
