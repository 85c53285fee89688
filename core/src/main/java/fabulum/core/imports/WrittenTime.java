package fabulum.core.imports;

import fabulum.core.phone.Region;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A time as programs write it into files. */
public final class WrittenTime {
  private static final Pattern DATE_AND_TIME =
      Pattern.compile(
          "(\\d{1,4})([-/.])(\\d{1,2})\\2(\\d{2,4})(?:[T ,]+(\\d{1,2})[:.](\\d{2})(?:[:.](\\d{2})(?:[.,]\\d+)?)?\\s*([AaPp])?\\.?[Mm]?\\.?)?");

  private WrittenTime() {}

  /**
   * Reads ISO 8601 with an offset, or without (then by the clocks of the zone), and day, month and
   * year with strokes or dots. With strokes the month comes first in the United States, else the
   * day; with dots the day does. Without a time of day it is the beginning of the day.
   */
  public static Optional<Instant> read(String words, ZoneId zone, Region region) {
    String text = words.strip();
    try {
      return Optional.of(OffsetDateTime.parse(text.replaceFirst(" ", "T")).toInstant());
    } catch (DateTimeParseException other) {
      return local(text, region).map(time -> time.atZone(zone).toInstant());
    }
  }

  private static Optional<LocalDateTime> local(String text, Region region) {
    Matcher m = DATE_AND_TIME.matcher(text);
    if (!m.matches()) {
      return Optional.empty();
    }
    int a = Integer.parseInt(m.group(1));
    int b = Integer.parseInt(m.group(3));
    int c = Integer.parseInt(m.group(4));
    try {
      return Optional.of(date(m, a, b, c, region).atTime(time(m)));
    } catch (DateTimeException impossible) {
      return Optional.empty();
    }
  }

  private static LocalDate date(Matcher m, int a, int b, int c, Region region) {
    if (m.group(1).length() == 4) {
      return LocalDate.of(a, b, c);
    }
    if (m.group(1).length() > 2 || m.group(4).length() == 3) {
      throw new DateTimeException("No year");
    }
    int year = c < 100 ? 2000 + c : c;
    boolean monthFirst = m.group(2).equals("/") && region.equals(new Region("US"));
    return monthFirst ? LocalDate.of(year, a, b) : LocalDate.of(year, b, a);
  }

  private static LocalTime time(Matcher m) {
    if (m.group(5) == null) {
      return LocalTime.MIDNIGHT;
    }
    int hour = Integer.parseInt(m.group(5));
    String half = m.group(8) == null ? "" : m.group(8).toLowerCase(Locale.ROOT);
    if (!half.isEmpty() && (hour < 1 || hour > 12)) {
      throw new DateTimeException("No such hour");
    }
    int shown = half.isEmpty() ? hour : hour % 12 + (half.equals("p") ? 12 : 0);
    int second = m.group(7) == null ? 0 : Integer.parseInt(m.group(7));
    return LocalTime.of(shown, Integer.parseInt(m.group(6)), second);
  }
}
