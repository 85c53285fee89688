package fabulum.core.hours;

import java.time.Duration;
import java.time.LocalDate;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * A time that is told from an appointment: "the day before the appointment at noon", "2 h before
 * the appointment".
 *
 * @param sign −1 for before, 1 for after, 0 for the day of the appointment
 * @param count of units; 0 for half of one
 * @param unit m, h, d or w
 * @param time of that day; blank for none
 */
record FromAppointment(int sign, long count, char unit, String time) {
  private static final Pattern WORDS =
      Pattern.compile(
          "(?:on )?(?:the )?(?:(\\d{1,3}|an?|half an?) )?"
              + "(m|min|mins|minutes?|h|hrs?|hours?|d|days?|w|weeks?) (before|after)"
              + " (?:the |my |their )?appointment(?: (.+))?");
  private static final Pattern DAY_OF =
      Pattern.compile("(?:on )?(?:the )?day of (?:the |my |their )?appointment(?: (.+))?");

  /** Reads words in lower case with single spaces; empty when they are about no appointment. */
  static Optional<FromAppointment> read(String plain) {
    Matcher dayOf = DAY_OF.matcher(plain);
    if (dayOf.matches()) {
      return Optional.of(new FromAppointment(0, 1, 'd', rest(dayOf.group(1))));
    }
    Matcher said = WORDS.matcher(plain);
    if (!said.matches()) {
      return Optional.empty();
    }
    int sign = said.group(3).equals("before") ? -1 : 1;
    FromAppointment read =
        new FromAppointment(
            sign, count(said.group(1)), said.group(2).charAt(0), rest(said.group(4)));
    if (read.count == 0 && read.unit != 'h') {
      throw new NotClear("Half of that is not clear. Type “the day before the appointment”.");
    }
    if (!read.isDays() && !read.time.isEmpty()) {
      throw new NotClear("“" + read.time + "” is not clear here.");
    }
    return Optional.of(read);
  }

  private static long count(@Nullable String said) {
    if (said == null || said.equals("a") || said.equals("an")) {
      return 1;
    }
    return said.startsWith("half") ? 0 : Long.parseLong(said);
  }

  private static String rest(@Nullable String said) {
    return said == null ? "" : said;
  }

  /** Whether it names a day rather than a moment. */
  boolean isDays() {
    return unit == 'd' || unit == 'w';
  }

  LocalDate day(LocalDate ofAppointment) {
    return ofAppointment.plusDays(sign * count * (unit == 'w' ? 7 : 1));
  }

  /** How long after the beginning of the appointment; negative for before. */
  Duration offset() {
    if (count == 0) {
      return Duration.ofMinutes(30L * sign);
    }
    return unit == 'm' ? Duration.ofMinutes(sign * count) : Duration.ofHours(sign * count);
  }
}
