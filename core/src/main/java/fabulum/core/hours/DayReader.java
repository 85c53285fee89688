package fabulum.core.hours;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.Year;
import java.time.format.TextStyle;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads a day as people type it, for {@link TimeReader}: "Thursday", "tomorrow", "9 June", "June
 * 9th 2026", "2026-06-09".
 */
final class DayReader {
  private static final Pattern ISO = Pattern.compile("(\\d{4})-(\\d{1,2})-(\\d{1,2})");
  private static final Pattern DAY = Pattern.compile("(\\d{1,2})(?:st|nd|rd|th|\\.)?");
  private static final Pattern YEAR = Pattern.compile("2\\d{3}");

  private final LocalDate today;

  DayReader(LocalDate today) {
    this.today = today;
  }

  /** Takes what names a day out of the words. */
  Optional<LocalDate> take(List<String> words) {
    for (int i = 0; i < words.size(); i++) {
      String word = words.get(i);
      Optional<LocalDate> named = relativeDay(word).or(() -> isoDay(word));
      if (named.isPresent()) {
        words.remove(i);
        return named;
      }
      Optional<Month> month = month(word);
      if (month.isPresent()) {
        return Optional.of(takeDayOf(month.get(), i, words));
      }
    }
    return Optional.empty();
  }

  private Optional<LocalDate> relativeDay(String word) {
    if (word.equals("today")) {
      return Optional.of(today);
    }
    if (word.equals("tomorrow")) {
      return Optional.of(today.plusDays(1));
    }
    return weekday(word).map(day -> today.with(TemporalAdjusters.next(day)));
  }

  private static Optional<DayOfWeek> weekday(String word) {
    return List.of(DayOfWeek.values()).stream()
        .filter(day -> isShortFor(word, day.getDisplayName(TextStyle.FULL, Locale.ENGLISH)))
        .findFirst();
  }

  private static Optional<Month> month(String word) {
    return List.of(Month.values()).stream()
        .filter(month -> isShortFor(word, month.getDisplayName(TextStyle.FULL, Locale.ENGLISH)))
        .findFirst();
  }

  /** Whether a word is a name or at least three letters of its beginning. */
  private static boolean isShortFor(String word, String name) {
    String plain = word.endsWith(".") ? word.substring(0, word.length() - 1) : word;
    return plain.length() >= 3 && name.toLowerCase(Locale.ROOT).startsWith(plain);
  }

  private static Optional<LocalDate> isoDay(String word) {
    Matcher iso = ISO.matcher(word);
    return iso.matches()
        ? Optional.of(
            date(
                Integer.parseInt(iso.group(1)),
                Integer.parseInt(iso.group(2)),
                Integer.parseInt(iso.group(3))))
        : Optional.empty();
  }

  /** "9 June", "June 9", either with a year behind it. */
  private LocalDate takeDayOf(Month month, int at, List<String> words) {
    int dayAt = at > 0 && DAY.matcher(words.get(at - 1)).matches() ? at - 1 : at + 1;
    Matcher day = dayAt < words.size() ? DAY.matcher(words.get(dayAt)) : null;
    if (day == null || !day.matches()) {
      throw new NotClear(
          "Which day of " + month.getDisplayName(TextStyle.FULL, Locale.ENGLISH) + "?");
    }
    int yearAt = Math.max(at, dayAt) + 1;
    boolean hasYear = yearAt < words.size() && YEAR.matcher(words.get(yearAt)).matches();
    int number = Integer.parseInt(day.group(1));
    LocalDate found =
        hasYear
            ? date(Integer.parseInt(words.get(yearAt)), month.getValue(), number)
            : nextSuchDay(month, number);
    words.subList(Math.min(at, dayAt), hasYear ? yearAt + 1 : yearAt).clear();
    return found;
  }

  private LocalDate nextSuchDay(Month month, int day) {
    for (int year = today.getYear(); year <= today.getYear() + 8; year++) {
      boolean exists = day >= 1 && day <= month.length(Year.isLeap(year));
      if (exists && !LocalDate.of(year, month, day).isBefore(today)) {
        return LocalDate.of(year, month, day);
      }
    }
    return date(today.getYear(), month.getValue(), day);
  }

  private static LocalDate date(int year, int month, int day) {
    try {
      return LocalDate.of(year, month, day);
    } catch (DateTimeException noSuchDay) {
      throw new NotClear("That day does not exist.");
    }
  }
}
