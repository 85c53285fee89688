package fabulum.core.hours;

import java.time.DayOfWeek;
import java.time.LocalTime;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Opening hours as someone enters them, which may still be impossible.
 *
 * @param day the day on which they begin
 * @param from minutes of that day
 * @param to minutes from the beginning of that day; beyond 1440 they end on the next one
 */
public record EnteredSpan(DayOfWeek day, int from, int to) {

  /** The stretch of a span. */
  public static EnteredSpan of(Span span) {
    int from = span.from().toSecondOfDay() / 60;
    return new EnteredSpan(span.day(), from, from + span.minutes());
  }

  /** What is wrong with a week, a sentence each; none when it can be. */
  public static List<String> objections(List<EnteredSpan> week) {
    List<String> objections = new ArrayList<>();
    List<Span> possible = new ArrayList<>();
    for (EnteredSpan stretch : week) {
      String objection = stretch.objection();
      if (objection.isEmpty()) {
        possible.add(stretch.span());
      } else {
        objections.add(objection);
      }
    }
    for (Span span : Hours.overlapping(possible)) {
      objections.add(
          "The hours on %s overlap: those from %s begin before others have ended."
              .formatted(name(span.day()), span.from()));
    }
    return objections;
  }

  private String objection() {
    boolean offTheDay = from < 0 || from >= Span.MINUTES_A_DAY;
    String which = "The hours on " + name(day);
    if (offTheDay || to > 2 * Span.MINUTES_A_DAY) {
      return which + " are not within that day and the next.";
    }
    if (to == from) {
      return which + " are empty: they begin and end at " + time(from) + ".";
    }
    if (to < from) {
      return "%s end at %s, before they begin at %s.".formatted(which, time(to), time(from));
    }
    return to - from > Span.MINUTES_A_DAY ? which + " are longer than a day." : "";
  }

  private static String name(DayOfWeek day) {
    return day.getDisplayName(TextStyle.FULL, Locale.ENGLISH);
  }

  private static String time(int minute) {
    return LocalTime.ofSecondOfDay(Math.floorMod(minute, Span.MINUTES_A_DAY) * 60L).toString();
  }

  /**
   * As a span.
   *
   * @throws IllegalArgumentException when it is impossible
   */
  public Span span() {
    return new Span(day, LocalTime.ofSecondOfDay(from * 60L), to - from);
  }
}
