package fabulum.core.hours;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads a moment in the future as people type it: "Thu 14:30", "in 3 h", "Friday at opening", "9
 * Jun noon", "tomorrow". Days and times are those of the line's clocks. Capitals, commas and kinds
 * of space make no difference.
 *
 * <p>A time without a day is the next such time. A day without a time is when the line opens on it,
 * else 9:00. Hours 1 to 6 without "am" or "pm" are in the afternoon. A day without a year is the
 * next such day. "The day before the appointment at noon" is told from an appointment, if there is
 * one.
 */
public final class TimeReader {
  /** What can be typed, for people. */
  private static final String EXAMPLES = "“Thu 14:30”, “in 3 h” or “Friday at opening”";

  private static final LocalTime MORNING = LocalTime.of(9, 0);
  private static final LocalTime EVENING = LocalTime.of(20, 0);
  private static final int LAST_AFTERNOON_HOUR = 6;
  private static final int LONGEST = 80;
  private static final Set<String> FILLERS = Set.of("at", "on", "the", "by", "of", "next", "this");

  private static final Pattern IN =
      Pattern.compile(
          "(?:in )?(\\d{1,4}|an?|half an?) ?(m|min|mins|minutes?|h|hrs?|hours?|d|days?|w|weeks?)"
              + "(?: (?:and )?(\\d{1,4}) ?(?:m|min|mins|minutes?))?");
  private static final Pattern CLOCK = Pattern.compile("(\\d{1,2})(?:[:.](\\d{2}))? ?(am|pm)?");

  private final Openings openings;
  private final Instant now;
  private final ZoneId zone;
  private final LocalDate today;
  private final Optional<Instant> appointment;

  private TimeReader(Hours hours, Instant now, Optional<Instant> appointment) {
    this.appointment = appointment;
    this.openings = new Openings(hours);
    this.now = now;
    this.zone = hours.zone();
    this.today = now.atZone(zone).toLocalDate();
  }

  /** What was read. */
  public sealed interface Reading {
    /**
     * A moment after now.
     *
     * @param open whether the line is open then
     * @param note what people should know about this time; empty for nothing
     */
    record At(Instant at, boolean open, Optional<String> note) implements Reading {}

    /**
     * It cannot be read, or has passed.
     *
     * @param why a sentence for people
     */
    record Unclear(String why) implements Reading {}
  }

  /** A time of day: as the clocks say it, or as the line opens or closes. */
  private record Time(BiFunction<Openings, LocalDate, Optional<LocalDateTime>> on) {
    static Time of(LocalTime time) {
      return new Time((openings, day) -> Optional.of(day.atTime(time)));
    }
  }

  /** Reads words, at a moment, on a line with these hours. */
  public static Reading read(String words, Hours hours, Instant now) {
    return read(words, hours, now, Optional.empty());
  }

  /** Reads words, at a moment, on a line with these hours, with the next appointment, if any. */
  public static Reading read(
      String words, Hours hours, Instant now, Optional<Instant> appointment) {
    try {
      return new TimeReader(hours, now, appointment).read(words);
    } catch (NotClear unclear) {
      return new Reading.Unclear(String.valueOf(unclear.getMessage()));
    }
  }

  private Reading read(String words) {
    String plain = plain(words);
    if (plain.isEmpty() || plain.length() > LONGEST) {
      throw new NotClear("Type a time such as " + EXAMPLES + ".");
    }
    Optional<FromAppointment> from = FromAppointment.read(plain);
    if (from.isPresent()) {
      return told(from.get());
    }
    Matcher in = IN.matcher(plain);
    return in.matches() ? after(in) : named(plain);
  }

  /** Whether words tell a time from an appointment. */
  public static boolean isFromAppointment(String words) {
    try {
      return FromAppointment.read(plain(words)).isPresent();
    } catch (NotClear unclear) {
      return true;
    }
  }

  private static String plain(String words) {
    return words.toLowerCase(Locale.ROOT).replaceAll("[\\s,\\p{Zs}]+", " ").strip();
  }

  private Reading told(FromAppointment said) {
    Instant begins =
        appointment.orElseThrow(() -> new NotClear("No appointment is agreed with this customer."));
    if (!said.isDays()) {
      return at(begins.plus(said.offset()), Optional.empty());
    }
    List<String> rest = new ArrayList<>(List.of(said.time().split(" ")));
    rest.removeIf(word -> word.isEmpty() || FILLERS.contains(word));
    Optional<Time> time = takeTime(rest);
    if (!rest.isEmpty()) {
      throw new NotClear("“" + String.join(" ", rest) + "” is not clear here.");
    }
    return at(on(said.day(begins.atZone(zone).toLocalDate()), time));
  }

  private Reading after(Matcher in) {
    String count = in.group(1);
    char unit = in.group(2).charAt(0);
    long minutes = in.group(3) == null ? 0 : Long.parseLong(in.group(3));
    if (count.startsWith("half")) {
      return at(now.plus(halfOf(unit)), Optional.empty());
    }
    long many = count.startsWith("a") ? 1 : Long.parseLong(count);
    LocalDateTime local = now.atZone(zone).toLocalDateTime();
    return switch (unit) {
      case 'm' -> at(now.plus(Duration.ofMinutes(many)), Optional.empty());
      case 'h' -> at(now.plus(Duration.ofHours(many).plusMinutes(minutes)), Optional.empty());
      case 'd' -> at(local.plusDays(many));
      default -> at(local.plusWeeks(many));
    };
  }

  private static Duration halfOf(char unit) {
    if (unit == 'h') {
      return Duration.ofMinutes(30);
    }
    throw new NotClear("Half of that is not clear. Type a time such as " + EXAMPLES + ".");
  }

  private Reading named(String plain) {
    List<String> words = new ArrayList<>(List.of(plain.split(" ")));
    words.removeIf(FILLERS::contains);
    boolean tonight = words.remove("tonight");
    Optional<LocalDate> day = tonight ? Optional.of(today) : new DayReader(today).take(words);
    Optional<Time> time = takeTime(words);
    if (!words.isEmpty() || (day.isEmpty() && time.isEmpty())) {
      String rest = words.isEmpty() ? plain : String.join(" ", words);
      throw new NotClear("“" + rest + "” is not clear here. Type a time such as " + EXAMPLES + ".");
    }
    if (tonight && time.isEmpty()) {
      return at(today.atTime(EVENING));
    }
    return day.map(found -> at(on(found, time))).orElseGet(() -> next(time.orElseThrow()));
  }

  private LocalDateTime on(LocalDate day, Optional<Time> time) {
    if (time.isPresent()) {
      return time.get()
          .on()
          .apply(openings, day)
          .orElseThrow(() -> new NotClear("The line is closed on that day."));
    }
    return opening(openings, day).orElse(day.atTime(MORNING));
  }

  private Reading next(Time time) {
    for (int days = 0; days <= 2 * 366; days++) {
      LocalDate day = today.plusDays(days);
      Optional<LocalDateTime> then = time.on().apply(openings, day);
      if (then.isPresent() && then.get().atZone(zone).toInstant().isAfter(now)) {
        return at(then.get());
      }
    }
    throw new NotClear("The line does not open again.");
  }

  /** Takes what names a time of day out of the words. */
  private Optional<Time> takeTime(List<String> words) {
    for (int i = 0; i < words.size(); i++) {
      Optional<Time> named = namedTime(words.get(i));
      if (named.isPresent()) {
        words.remove(i);
        return named;
      }
      boolean half =
          i + 1 < words.size() && (words.get(i + 1).equals("am") || words.get(i + 1).equals("pm"));
      Matcher clock = CLOCK.matcher(half ? words.get(i) + words.get(i + 1) : words.get(i));
      if (clock.matches()) {
        words.subList(i, half ? i + 2 : i + 1).clear();
        return Optional.of(Time.of(time(clock)));
      }
    }
    return Optional.empty();
  }

  private static Optional<Time> namedTime(String word) {
    return switch (word) {
      case "noon", "midday" -> Optional.of(Time.of(LocalTime.NOON));
      case "midnight" -> Optional.of(Time.of(LocalTime.MIDNIGHT));
      case "evening" -> Optional.of(Time.of(EVENING));
      case "opening", "morning" -> Optional.of(new Time(TimeReader::opening));
      case "closing" -> Optional.of(new Time(TimeReader::closing));
      default -> Optional.empty();
    };
  }

  private static LocalTime time(Matcher clock) {
    int hour = Integer.parseInt(clock.group(1));
    int minute = clock.group(2) == null ? 0 : Integer.parseInt(clock.group(2));
    String half = clock.group(3);
    if (half != null) {
      if (hour < 1 || hour > 12) {
        throw new NotClear("Hours with “am” or “pm” are 1 to 12.");
      }
      hour = hour % 12 + (half.equals("pm") ? 12 : 0);
    } else if (clock.group(2) == null && hour >= 1 && hour <= LAST_AFTERNOON_HOUR) {
      hour += 12;
    }
    if (hour > 23 || minute > 59) {
      throw new NotClear("Times are between 0:00 and 23:59.");
    }
    return LocalTime.of(hour, minute);
  }

  private static Optional<LocalDateTime> opening(Openings openings, LocalDate day) {
    ZoneId zone = openings.hours().zone();
    return openings.opening(day).map(at -> at.atZone(zone).toLocalDateTime());
  }

  /** The end of the last hours that begin on a day; it may lie after midnight. */
  private static Optional<LocalDateTime> closing(Openings openings, LocalDate day) {
    return openings.hours().closedDays().contains(day)
        ? Optional.empty()
        : openings.hours().week().stream()
            .filter(span -> span.day() == day.getDayOfWeek())
            .map(span -> day.atTime(span.from()).plusMinutes(span.minutes()))
            .max(Comparator.naturalOrder());
  }

  /** A time of the line's clocks. One that is skipped there is an hour later; of two, the first. */
  private Reading at(LocalDateTime local) {
    Instant found = local.atZone(zone).toInstant();
    return switch (zone.getRules().getValidOffsets(local).size()) {
      case 0 -> at(found, Optional.of("The clocks go forward then, so this is an hour later."));
      case 1 -> at(found, Optional.empty());
      default -> at(found, Optional.of("The clocks go back then; this is the first of the two."));
    };
  }

  private Reading at(Instant found, Optional<String> note) {
    Instant minute = found.truncatedTo(ChronoUnit.MINUTES);
    return minute.isAfter(now)
        ? new Reading.At(minute, openings.hours().isOpen(minute), note)
        : new Reading.Unclear("That time has passed already.");
  }
}
