package fabulum.core.template;

import fabulum.core.hours.Hours;
import fabulum.core.hours.Span;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * Days and times as a text tells them to a customer.
 *
 * @param zone of the line
 * @param region ISO 3166-1 of the line; where people count to twelve, so does the text
 */
public record SaidTimes(ZoneId zone, String region) {
  private static final Set<String> TWELVE = Set.of("US", "CA", "AU", "NZ", "IN", "PH", "MX");
  private static final LocalTime MIDNIGHT = LocalTime.MIDNIGHT;
  private static final int WHOLE_DAY = 24 * 60;

  /** {@code today}, {@code tomorrow}, else such as {@code Tue Jun 9} or {@code Tue 9 Jun}. */
  public String day(Instant at, Instant now) {
    LocalDate day = LocalDate.ofInstant(at, zone);
    LocalDate today = LocalDate.ofInstant(now, zone);
    if (day.equals(today) || day.equals(today.plusDays(1))) {
      return day.equals(today) ? "today" : "tomorrow";
    }
    String form = "US".equals(region) ? "EEE MMM d" : "EEE d MMM";
    String year = day.getYear() == today.getYear() ? "" : ", uuuu";
    return DateTimeFormatter.ofPattern(form + year, Locale.ENGLISH).format(day);
  }

  /** Such as {@code 2:30 pm} or {@code 14:30}. */
  public String time(Instant at) {
    return time(LocalDateTime.ofInstant(at, zone).toLocalTime());
  }

  private String time(LocalTime at) {
    if (!TWELVE.contains(region)) {
      return DateTimeFormatter.ofPattern("H:mm", Locale.ENGLISH).format(at);
    }
    String form = at.getMinute() == 0 ? "h" : "h:mm";
    return DateTimeFormatter.ofPattern(form, Locale.ENGLISH).format(at)
        + (at.getHour() < 12 ? " am" : " pm");
  }

  /** Such as {@code tomorrow at 2:30 pm}. */
  public String when(Instant at, Instant now) {
    return day(at, now) + " at " + time(at);
  }

  /**
   * Opening hours of a day, by the day of {@code at}: {@code 8 am to 5 pm}, {@code 8:00 to 12:00
   * and 13:00 to 17:00}, {@code all day} or {@code closed}.
   */
  public String openings(Hours hours, Instant at) {
    LocalDate day = LocalDate.ofInstant(at, zone);
    if (hours.closedDays().contains(day)) {
      return "closed";
    }
    List<Span> open =
        hours.week().stream()
            .filter(span -> span.day() == day.getDayOfWeek())
            .sorted(Comparator.comparing(Span::from))
            .toList();
    if (hours.week().isEmpty() || open.stream().anyMatch(span -> span.minutes() == WHOLE_DAY)) {
      return "all day";
    }
    return open.isEmpty()
        ? "closed"
        : String.join(" and ", open.stream().map(this::stretch).toList());
  }

  private String stretch(Span span) {
    LocalTime end = span.from().plusMinutes(span.minutes());
    return time(span.from()) + " to " + (end.equals(MIDNIGHT) ? "midnight" : time(end));
  }
}
