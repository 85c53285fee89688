package fabulum.core.schedule;

import fabulum.core.schedule.Cycle.Missing;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.time.format.TextStyle;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * A rule of dates as text by RFC 5545, section 3.3.10, and as a sentence.
 *
 * <p>What is read is what is written here, in any order of its parts: {@code FREQ} DAILY, WEEKLY
 * with {@code BYDAY}, MONTHLY with {@code BYMONTHDAY} or one {@code BYDAY} with a number, YEARLY
 * with {@code BYMONTH} and {@code BYMONTHDAY}; {@code INTERVAL}, {@code COUNT}, {@code UNTIL} as a
 * date, {@code WKST=MO}. A day that not every month has, and is the last day missing it is missing,
 * is written as {@code BYMONTHDAY=28,29,30;BYSETPOS=-1}, and the 31st as {@code BYMONTHDAY=-1}.
 */
public final class RepeatText {
  private static final List<String> DAYS = List.of("MO", "TU", "WE", "TH", "FR", "SA", "SU");
  private static final DateTimeFormatter DATE = DateTimeFormatter.BASIC_ISO_DATE;
  private static final DateTimeFormatter SAID =
      DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);
  private static final Pattern WEEKDAY = Pattern.compile("(-1|[1-4])(MO|TU|WE|TH|FR|SA|SU)");
  private static final Set<String> KNOWN =
      Set.of(
          "FREQ",
          "INTERVAL",
          "COUNT",
          "UNTIL",
          "WKST",
          "BYDAY",
          "BYMONTH",
          "BYMONTHDAY",
          "BYSETPOS");
  private static final int LONGEST = 200;

  private RepeatText() {}

  /** A rule as text. */
  public static String write(Repeat repeat) {
    Map<String, String> parts = new LinkedHashMap<>();
    cycle(parts, repeat.cycle());
    if (repeat.every() > 1) {
      parts.put("INTERVAL", Integer.toString(repeat.every()));
    }
    repeat.times().ifPresent(times -> parts.put("COUNT", Integer.toString(times)));
    repeat.until().ifPresent(day -> parts.put("UNTIL", DATE.format(day)));
    return parts.entrySet().stream()
        .map(part -> part.getKey() + "=" + part.getValue())
        .collect(Collectors.joining(";"));
  }

  private static void cycle(Map<String, String> parts, Cycle cycle) {
    if (cycle instanceof Cycle.Weekly weekly) {
      parts.put("FREQ", "WEEKLY");
      parts.put(
          "BYDAY", weekly.days().stream().map(RepeatText::code).collect(Collectors.joining(",")));
      parts.put("WKST", "MO");
    } else if (cycle instanceof Cycle.Monthly monthly) {
      parts.put("FREQ", "MONTHLY");
      monthDay(parts, monthly.day(), monthly.missing(), 28, 31);
    } else if (cycle instanceof Cycle.MonthlyWeekday weekday) {
      parts.put("FREQ", "MONTHLY");
      parts.put("BYDAY", weekday.nth() + code(weekday.day()));
    } else if (cycle instanceof Cycle.Yearly yearly) {
      parts.put("FREQ", "YEARLY");
      parts.put("BYMONTH", Integer.toString(yearly.month().getValue()));
      monthDay(
          parts,
          yearly.day(),
          yearly.missing(),
          yearly.month().minLength(),
          yearly.month().maxLength());
    } else {
      parts.put("FREQ", "DAILY");
    }
  }

  private static void monthDay(
      Map<String, String> parts, int day, Missing missing, int shortest, int longest) {
    if (missing == Missing.LEFT_OUT || day <= shortest) {
      parts.put("BYMONTHDAY", Integer.toString(day));
    } else if (day == longest) {
      parts.put("BYMONTHDAY", "-1");
    } else {
      parts.put(
          "BYMONTHDAY",
          IntStream.rangeClosed(shortest, day)
              .mapToObj(Integer::toString)
              .collect(Collectors.joining(",")));
      parts.put("BYSETPOS", "-1");
    }
  }

  private static String code(DayOfWeek day) {
    return DAYS.get(day.getValue() - 1);
  }

  /**
   * Reads a rule.
   *
   * @throws IllegalArgumentException with a sentence for people when it is none of those read here
   */
  public static Repeat read(String text) {
    Map<String, String> parts = parts(text);
    OptionalInt times =
        parts.containsKey("COUNT")
            ? OptionalInt.of(number("COUNT", parts.get("COUNT")))
            : OptionalInt.empty();
    Optional<LocalDate> until = Optional.ofNullable(parts.get("UNTIL")).map(RepeatText::date);
    int every = parts.containsKey("INTERVAL") ? number("INTERVAL", parts.get("INTERVAL")) : 1;
    return new Repeat(cycle(parts), every, times, until);
  }

  private static Map<String, String> parts(String text) {
    if (text.length() > LONGEST) {
      throw new IllegalArgumentException("The rule is too long.");
    }
    Map<String, String> parts = new TreeMap<>();
    for (String part : text.toUpperCase(Locale.ROOT).split(";", -1)) {
      int at = part.indexOf('=');
      String name = at < 0 ? part : part.substring(0, at);
      if (at < 0 || !KNOWN.contains(name) || parts.put(name, part.substring(at + 1)) != null) {
        throw new IllegalArgumentException("“" + part + "” is not a part of a rule known here.");
      }
    }
    if (!parts.getOrDefault("WKST", "MO").equals("MO")) {
      throw new IllegalArgumentException("Weeks begin on Monday here.");
    }
    return parts;
  }

  private static Cycle cycle(Map<String, String> parts) {
    String every = parts.getOrDefault("FREQ", "");
    Set<String> by =
        parts.keySet().stream().filter(name -> name.startsWith("BY")).collect(Collectors.toSet());
    if (every.equals("DAILY") && by.isEmpty()) {
      return new Cycle.Daily();
    }
    if (every.equals("WEEKLY") && by.equals(Set.of("BYDAY"))) {
      return new Cycle.Weekly(days(parts.getOrDefault("BYDAY", "")));
    }
    if (every.equals("MONTHLY") && by.equals(Set.of("BYDAY"))) {
      return weekday(parts.getOrDefault("BYDAY", ""));
    }
    if (every.equals("MONTHLY") && by.contains("BYMONTHDAY") && !by.contains("BYMONTH")) {
      MonthDay day = monthDay(parts, 28, 31);
      return new Cycle.Monthly(day.day(), day.missing());
    }
    if (every.equals("YEARLY") && by.contains("BYMONTHDAY") && by.contains("BYMONTH")) {
      int number = number("BYMONTH", parts.getOrDefault("BYMONTH", ""));
      if (number < 1 || number > 12) {
        throw new IllegalArgumentException("A year has months 1 to 12.");
      }
      Month month = Month.of(number);
      MonthDay day = monthDay(parts, month.minLength(), month.maxLength());
      return new Cycle.Yearly(month, day.day(), day.missing());
    }
    throw new IllegalArgumentException("This rule is not known here: see the API description.");
  }

  private record MonthDay(int day, Missing missing) {}

  private static MonthDay monthDay(Map<String, String> parts, int shortest, int longest) {
    String text = parts.getOrDefault("BYMONTHDAY", "");
    if (parts.containsKey("BYDAY")) {
      throw new IllegalArgumentException("Name a day of the month or of the week, not both.");
    }
    if (text.equals("-1") && !parts.containsKey("BYSETPOS")) {
      return new MonthDay(longest, Missing.LAST_DAY);
    }
    if (!parts.containsKey("BYSETPOS")) {
      return new MonthDay(number("BYMONTHDAY", text), Missing.LEFT_OUT);
    }
    int last = number("BYMONTHDAY", text.substring(text.lastIndexOf(',') + 1));
    Map<String, String> same = new LinkedHashMap<>();
    if (last > shortest && last < longest) {
      monthDay(same, last, Missing.LAST_DAY, shortest, longest);
    }
    if (!text.equals(same.get("BYMONTHDAY")) || !"-1".equals(parts.get("BYSETPOS"))) {
      throw new IllegalArgumentException("These days of the month are not known here.");
    }
    return new MonthDay(last, Missing.LAST_DAY);
  }

  private static Set<DayOfWeek> days(String text) {
    Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
    for (String each : text.split(",", -1)) {
      if (!DAYS.contains(each)) {
        throw new IllegalArgumentException("“" + each + "” is no day of the week.");
      }
      days.add(DayOfWeek.of(DAYS.indexOf(each) + 1));
    }
    return days;
  }

  private static Cycle weekday(String text) {
    Matcher matcher = WEEKDAY.matcher(text);
    if (!matcher.matches()) {
      throw new IllegalArgumentException("Choose the first to the fourth such day, or the last.");
    }
    return new Cycle.MonthlyWeekday(
        Integer.parseInt(matcher.group(1)), DayOfWeek.of(DAYS.indexOf(matcher.group(2)) + 1));
  }

  private static int number(String name, String text) {
    if (text.isEmpty() || text.length() > 4 || !text.chars().allMatch(c -> c >= '0' && c <= '9')) {
      throw new IllegalArgumentException(name + " is a number.");
    }
    return Integer.parseInt(text);
  }

  private static LocalDate date(String text) {
    try {
      return LocalDate.parse(text, DATE);
    } catch (DateTimeParseException e) {
      throw new IllegalArgumentException("UNTIL is a date such as 20261231.", e);
    }
  }

  /** A rule as people say it: "every 2 weeks on Monday and Thursday, until 31 Dec 2026". */
  public static String say(Repeat repeat) {
    StringBuilder said = new StringBuilder(period(repeat));
    said.append(on(repeat.cycle()));
    repeat.times().ifPresent(times -> said.append(times == 1 ? ", once" : ", " + times + " times"));
    repeat.until().ifPresent(day -> said.append(", until ").append(SAID.format(day)));
    return said.toString();
  }

  private static String period(Repeat repeat) {
    Cycle cycle = repeat.cycle();
    String name =
        cycle instanceof Cycle.Daily
            ? "day"
            : cycle instanceof Cycle.Weekly
                ? "week"
                : cycle instanceof Cycle.Yearly ? "year" : "month";
    return repeat.every() == 1 ? "every " + name : "every " + repeat.every() + " " + name + "s";
  }

  private static String on(Cycle cycle) {
    if (cycle instanceof Cycle.Weekly weekly) {
      return " on " + listed(weekly.days().stream().map(RepeatText::name).toList());
    }
    if (cycle instanceof Cycle.Monthly monthly) {
      return monthly.day() == 31 && monthly.missing() == Missing.LAST_DAY
          ? " on the last day"
          : " on the " + ordinal(monthly.day()) + shorter(monthly);
    }
    if (cycle instanceof Cycle.MonthlyWeekday weekday) {
      return " on the " + nth(weekday.nth()) + " " + name(weekday.day());
    }
    return cycle instanceof Cycle.Yearly yearly ? " on " + yearly(yearly) : "";
  }

  private static String shorter(Cycle.Monthly monthly) {
    if (monthly.day() <= 28) {
      return "";
    }
    return monthly.missing() == Missing.LAST_DAY
        ? " (the last day of shorter months)"
        : " (not in shorter months)";
  }

  private static String yearly(Cycle.Yearly yearly) {
    String day = yearly.day() + " " + yearly.month().getDisplayName(TextStyle.FULL, Locale.ENGLISH);
    if (yearly.day() <= yearly.month().minLength()) {
      return day;
    }
    return day
        + (yearly.missing() == Missing.LAST_DAY
            ? " (28 February in other years)"
            : " (leap years only)");
  }

  private static String nth(int nth) {
    return nth < 0 ? "last" : List.of("first", "second", "third", "fourth").get(nth - 1);
  }

  private static String name(DayOfWeek day) {
    return day.getDisplayName(TextStyle.FULL, Locale.ENGLISH);
  }

  private static String ordinal(int day) {
    boolean teen = day / 10 == 1;
    return switch (teen ? 0 : day % 10) {
      case 1 -> day + "st";
      case 2 -> day + "nd";
      case 3 -> day + "rd";
      default -> day + "th";
    };
  }

  private static String listed(List<String> names) {
    int last = names.size() - 1;
    return last == 0
        ? names.get(0)
        : String.join(", ", names.subList(0, last)) + " and " + names.get(last);
  }
}
