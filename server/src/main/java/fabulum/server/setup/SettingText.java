package fabulum.server.setup;

import fabulum.core.assignment.Way;
import fabulum.core.attachment.FileKind;
import fabulum.core.hours.EnteredSpan;
import fabulum.server.lines.HolidayCalendar;
import fabulum.server.lines.LineSending;
import fabulum.server.lines.LineSetup;
import fabulum.server.topics.TopicSetup;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.TextStyle;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.LongFunction;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Settings as people read them, so that two states can be told apart line by line. */
final class SettingText {
  private static final int MINUTES_A_DAY = 24 * 60;

  private SettingText() {}

  static Map<String, String> of(
      LineSetup line, LongFunction<String> site, LongFunction<String> team) {
    Map<String, String> said = new LinkedHashMap<>();
    said.put("name", line.name());
    said.put("number", line.number());
    said.put("site", site.apply(line.siteId()));
    said.put("team", team.apply(line.teamId()));
    said.put("time zone", line.zone());
    said.put("in use", line.inUse() ? "yes" : "no");
    said.put("promise", minutes(line.promiseMinutes()));
    said.put("hours", week(line.week()));
    said.put("closed days", days(line.closedDays()));
    said.put("public holidays", calendar(line.holidays()));
    said.put("open on holidays", days(line.openHolidays()));
    said.put("new work", way(line.way()));
    LineSending sending = line.sending();
    said.put("longest text", sending.mostParts() + " parts");
    said.put("registered", sending.registered() ? "yes" : "no");
    said.put("sends to", countries(sending.reaches()));
    said.put("signature", sending.signature());
    said.put("largest group", sending.groupLimit() + " numbers");
    said.put("attachments", kinds(sending.carries()));
    said.put("largest attachment", sending.mostKilobytes() + " kB");
    return said;
  }

  private static String kinds(Set<FileKind> carries) {
    return carries.isEmpty()
        ? "none"
        : carries.stream().sorted().map(FileKind::word).collect(Collectors.joining(", "));
  }

  private static String countries(Set<String> reaches) {
    return reaches.isEmpty()
        ? "all countries"
        : reaches.stream().sorted().collect(Collectors.joining(", "));
  }

  private static String way(Way way) {
    return switch (way) {
      case NOBODY -> "people take";
      case IN_TURN -> "in turn";
      case LEAST_WAITING -> "to the colleague with the least waiting";
      case LAST_OWNER -> "to the colleague who last had the customer";
    };
  }

  static Map<String, String> of(TopicSetup topic) {
    Map<String, String> said = new LinkedHashMap<>();
    Integer promise = topic.promiseMinutes();
    said.put("name", topic.name());
    said.put("colour", topic.colour().name().toLowerCase(Locale.ROOT));
    said.put("promise", promise == null ? "as the line promises" : minutes(promise));
    said.put("retired", topic.retired() ? "yes" : "no");
    return said;
  }

  static String minutes(int minutes) {
    int hours = minutes / 60;
    int rest = minutes % 60;
    return hours == 0 ? rest + " min" : rest == 0 ? hours + " h" : hours + " h " + rest + " min";
  }

  private static String week(List<EnteredSpan> week) {
    return week.isEmpty()
        ? "always open"
        : week.stream().map(SettingText::stretch).collect(Collectors.joining(", "));
  }

  private static String stretch(EnteredSpan stretch) {
    DayOfWeek day = stretch.day();
    String end = time(stretch.to()) + (stretch.to() > MINUTES_A_DAY ? " next day" : "");
    return day.getDisplayName(TextStyle.SHORT, Locale.ENGLISH)
        + " "
        + time(stretch.from())
        + "–"
        + end;
  }

  private static String time(int minute) {
    return minute == MINUTES_A_DAY
        ? "24:00"
        : LocalTime.ofSecondOfDay(minute % MINUTES_A_DAY * 60L).toString();
  }

  private static String days(List<LocalDate> days) {
    return days.isEmpty()
        ? "none"
        : days.stream().map(LocalDate::toString).collect(Collectors.joining(", "));
  }

  private static String calendar(@Nullable HolidayCalendar calendar) {
    if (calendar == null) {
      return "not kept";
    }
    return calendar.region() == null
        ? calendar.country()
        : calendar.country() + "-" + calendar.region();
  }
}
