package fabulum.core.hours;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads opening hours as people write them: {@code Mon-Fri 8:00-17:00, Sat 8:00-12:00}. An end that
 * is not after its beginning is past midnight only when it is said so: {@code Fri 20:00-2:00 next
 * day}.
 */
public final class WeekReader {
  private static final Pattern PART =
      Pattern.compile(
          "(\\p{Alpha}{3})(?:-(\\p{Alpha}{3}))? (\\d{1,2}:\\d{2})-(\\d{1,2}:\\d{2})( next day)?");
  private static final List<String> DAYS = List.of("mon", "tue", "wed", "thu", "fri", "sat", "sun");

  private WeekReader() {}

  /**
   * Reads a week.
   *
   * @param written parts between commas; blank for always open
   * @throws IllegalArgumentException with a sentence that names the part that cannot be read
   */
  public static List<Span> read(String written) {
    List<Span> week = new ArrayList<>();
    for (String part : written.strip().split("\\s*,\\s*")) {
      if (!part.isBlank()) {
        week.addAll(part(part));
      }
    }
    return List.copyOf(week);
  }

  private static List<Span> part(String part) {
    Matcher found = PART.matcher(part);
    if (!found.matches()) {
      throw unreadable(part);
    }
    int first = day(found.group(1), part);
    int last = found.group(2) == null ? first : day(found.group(2), part);
    List<Span> spans = new ArrayList<>();
    for (int i = 0; i <= Math.floorMod(last - first, 7); i++) {
      DayOfWeek day = DayOfWeek.of((first + i) % 7 + 1);
      LocalTime from = time(found.group(3), part);
      LocalTime to = time(found.group(4), part);
      spans.add(found.group(5) == null ? Span.of(day, from, to) : Span.pastMidnight(day, from, to));
    }
    return spans;
  }

  private static int day(String name, String part) {
    int day = DAYS.indexOf(name.toLowerCase(Locale.ROOT));
    if (day < 0) {
      throw unreadable(part);
    }
    return day;
  }

  private static LocalTime time(String written, String part) {
    String[] pieces = written.split(":");
    int hour = Integer.parseInt(pieces[0]);
    int minute = Integer.parseInt(pieces[1]);
    if (hour > 24 || minute > 59 || (hour == 24 && minute > 0)) {
      throw unreadable(part);
    }
    return LocalTime.of(hour % 24, minute);
  }

  private static IllegalArgumentException unreadable(String part) {
    return new IllegalArgumentException(
        "These opening hours cannot be read: “"
            + part
            + "”. Write them like “Mon-Fri 8:00-17:00”.");
  }
}
