package fabulum.server.imports;

import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.io.TimezoneInfo;
import biweekly.io.text.ICalReader;
import biweekly.property.Attendee;
import biweekly.property.DateOrDateTimeProperty;
import biweekly.property.Status;
import biweekly.property.TextProperty;
import biweekly.util.DateTimeComponents;
import biweekly.util.ICalDate;
import fabulum.server.imports.Sheet.Row;
import fabulum.server.platform.Problem;
import java.io.IOException;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The appointments of a calendar (RFC 5545) as rows. */
final class CalendarRows {
  /** The titles of the columns. */
  static final List<String> COLUMNS =
      List.of("Id", "What", "Starts", "Ends", "Place", "State", "Customer", "E-mail");

  private final ZoneId zone;
  private final List<Integer> begins;
  private final List<Row> rows = new ArrayList<>();

  private CalendarRows(ZoneId zone, List<Integer> begins) {
    this.zone = zone;
    this.begins = begins;
    rows.add(new Row(1, COLUMNS));
  }

  /**
   * Reads a calendar.
   *
   * @param zone by whose clocks times without a zone are told
   */
  static List<Row> read(String text, ZoneId zone) {
    List<String> lines = text.lines().toList();
    CalendarRows all =
        new CalendarRows(
            zone,
            IntStream.range(0, lines.size())
                .filter(i -> lines.get(i).strip().equalsIgnoreCase("BEGIN:VEVENT"))
                .mapToObj(i -> i + 1)
                .toList());
    try (ICalReader reader = new ICalReader(text)) {
      ICalendar calendar = reader.readNext();
      while (calendar != null) {
        TimezoneInfo zones = calendar.getTimezoneInfo();
        calendar.getEvents().forEach(event -> all.add(event, zones));
        calendar = reader.readNext();
      }
    } catch (IOException | RuntimeException broken) {
      if (broken instanceof Problem problem) {
        throw problem;
      }
      throw Sheet.bad("The calendar cannot be read. Nothing was imported.");
    }
    if (all.rows.size() == 1) {
      throw Sheet.bad("There are no appointments in the calendar.");
    }
    return all.rows;
  }

  private void add(VEvent event, TimezoneInfo zones) {
    int index = rows.size() - 1;
    long line = index < begins.size() ? begins.get(index) : 1;
    List<String> against = new ArrayList<>();
    String whose = whose(event);
    List<String> cells =
        List.of(
            text(event.getUid()),
            without(whose, text(event.getSummary())),
            time("DTSTART", event.getDateStart(), event, zones, against),
            time("DTEND", event.getDateEnd(), event, zones, against),
            text(event.getLocation()),
            state(event.getStatus()),
            whose,
            mail(event));
    if (event.getRecurrenceRule() != null || !event.getRecurrenceDates().isEmpty()) {
      against.add("It repeats; only single appointments can be taken.");
    }
    Sheet.add(rows, new Row(line, cells, against));
  }

  private static String text(@Nullable TextProperty property) {
    String value = property == null ? null : property.getValue();
    return value == null ? "" : value.replaceAll("\\s+", " ").strip();
  }

  /** Calendars that go out say the customer's name behind what is agreed. */
  private static String without(String whose, String summary) {
    String end = ", " + whose;
    return !whose.isEmpty() && summary.length() > end.length() && summary.endsWith(end)
        ? summary.substring(0, summary.length() - end.length())
        : summary;
  }

  private String time(
      String name,
      @Nullable DateOrDateTimeProperty property,
      VEvent event,
      TimezoneInfo zones,
      List<String> against) {
    ICalDate date = property == null ? null : property.getValue();
    if (property == null || date == null) {
      Optional.ofNullable(event.getExperimentalProperty(name))
          .ifPresent(raw -> against.add(name + ": “" + raw.getValue() + "” is not a time."));
      return "";
    }
    String unknown = property.getParameter("TZID");
    if (unknown != null) {
      against.add(name + ": the time zone “" + unknown + "” is not known.");
      return "";
    }
    DateTimeComponents raw = date.getRawComponents();
    boolean ofNoZone = zones.isFloating(property) || !date.hasTime();
    return ofNoZone && raw != null
        ? local(raw).atZone(zone).toInstant().toString()
        : date.toInstant().toString();
  }

  private static LocalDateTime local(DateTimeComponents raw) {
    return LocalDateTime.of(
        raw.getYear(),
        raw.getMonth(),
        raw.getDate(),
        raw.getHour(),
        raw.getMinute(),
        Math.min(raw.getSecond(), 59));
  }

  /** Only that it does not take place is said: a calendar does not know whether somebody came. */
  private static String state(@Nullable Status status) {
    return status != null && status.isCancelled() ? "cancelled" : "";
  }

  /** Who takes part by name: those to be met there. */
  private static String whose(VEvent event) {
    return Stream.concat(
            event.getContacts().stream().map(CalendarRows::text),
            event.getAttendees().stream().map(Attendee::getCommonName).flatMap(Stream::ofNullable))
        .filter(name -> !name.isBlank())
        .findFirst()
        .orElse("");
  }

  private static String mail(VEvent event) {
    return event.getAttendees().stream()
        .map(Attendee::getEmail)
        .flatMap(Stream::ofNullable)
        .limit(1)
        .collect(Collectors.joining());
  }
}
