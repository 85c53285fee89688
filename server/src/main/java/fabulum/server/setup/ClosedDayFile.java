package fabulum.server.setup;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.util.DateTimeComponents;
import biweekly.util.ICalDate;
import biweekly.util.com.google.ical.compat.javautil.DateIterator;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.TimeZone;
import java.util.TreeMap;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/**
 * Closed days out of a file: an iCalendar (RFC 5545), whose whole-day events are taken, or values
 * (RFC 4180) with a day, perhaps a last day, and a name in each line.
 */
final class ClosedDayFile {
  /** As many as a line keeps. */
  private static final int MOST_DAYS = 400;

  /** Events that come again are taken so far ahead. */
  private static final int YEARS_AHEAD = 2;

  /** Nobody means to close for longer at a stretch. */
  private static final long LONGEST_SPAN = 92;

  private static final ZoneId ZONE = ZoneId.systemDefault();

  private final LocalDate today;
  private final TreeMap<LocalDate, String> days = new TreeMap<>();
  private final List<ClosedDays.LeftOut> leftOut = new ArrayList<>();

  private ClosedDayFile(LocalDate today) {
    this.today = today;
  }

  /**
   * Reads a file.
   *
   * @throws Problem when it is neither of the two
   */
  static ClosedDays read(byte[] octets, LocalDate today) {
    String text = new String(octets, StandardCharsets.UTF_8).replaceFirst("^\uFEFF", "").strip();
    ClosedDayFile file = new ClosedDayFile(today);
    if (text.regionMatches(true, 0, "BEGIN:VCALENDAR", 0, 15)) {
      Biweekly.parse(text).all().forEach(file::calendar);
    } else {
      file.values(text);
    }
    if (file.days.isEmpty() && file.leftOut.isEmpty()) {
      throw Problem.fields(
          List.of(
              new FieldProblem(
                  "file",
                  "No days were found in this file. It must be a calendar (iCalendar, .ics), or a"
                      + " CSV file with a date like 2026-07-03 in each line.")));
    }
    return file.found();
  }

  private ClosedDays found() {
    List<ClosedDays.Day> all = new ArrayList<>();
    days.forEach((day, name) -> {
      if (all.size() < MOST_DAYS) {
        all.add(new ClosedDays.Day(day, name));
      }
    });
    if (days.size() > MOST_DAYS) {
      leftOut.add(
          new ClosedDays.LeftOut(
              (days.size() - MOST_DAYS) + " later days", "At most 400 closed days are kept."));
    }
    return new ClosedDays(all, leftOut);
  }

  private void calendar(ICalendar calendar) {
    calendar.getEvents().forEach(this::event);
  }

  private void event(VEvent event) {
    String name = event.getSummary() == null ? "" : String.valueOf(event.getSummary().getValue());
    String entry = name.isBlank() ? "an event without a name" : "“" + name + "”";
    ICalDate start = event.getDateStart() == null ? null : event.getDateStart().getValue();
    if (start == null) {
      leave(entry, "It has no date.");
    } else if (start.hasTime()) {
      leave(entry, "It has a time, so it is not a whole day.");
    } else if (event.getRecurrenceRule() == null) {
      span(day(start), length(event, start), name, entry);
    } else {
      comingAgain(event, start, name, entry);
    }
  }

  private void comingAgain(VEvent event, ICalDate start, String name, String entry) {
    long length = length(event, start);
    LocalDate end = today.plusYears(YEARS_AHEAD);
    // Days without a time are moments of this machine's zone to the iterator.
    DateIterator all = event.getDateIterator(TimeZone.getTimeZone(ZONE));
    all.advanceTo(java.util.Date.from(today.minusYears(1).atStartOfDay(ZONE).toInstant()));
    while (all.hasNext()) {
      LocalDate first = all.next().toInstant().atZone(ZONE).toLocalDate();
      if (first.isAfter(end)) {
        return;
      }
      span(first, length, name, entry);
    }
  }

  private static LocalDate day(ICalDate date) {
    DateTimeComponents raw = date.getRawComponents();
    return raw == null
        ? date.toInstant().atZone(ZONE).toLocalDate()
        : LocalDate.of(raw.getYear(), raw.getMonth(), raw.getDate());
  }

  /** How many days; the end of an event is the day after its last. */
  private static long length(VEvent event, ICalDate start) {
    if (event.getDateEnd() != null) {
      return Math.max(1, ChronoUnit.DAYS.between(day(start), day(event.getDateEnd().getValue())));
    }
    return event.getDuration() == null
        ? 1
        : Math.max(1, event.getDuration().getValue().toMillis() / 86_400_000L);
  }

  private void span(LocalDate first, long length, String name, String entry) {
    if (length > LONGEST_SPAN) {
      leave(entry, "It lasts " + length + " days; at most 92 days are taken at once.");
      return;
    }
    for (int i = 0; i < length; i++) {
      days.putIfAbsent(first.plusDays(i), name.strip());
    }
  }

  private void values(String text) {
    String head = text.lines().findFirst().orElse("");
    char between = head.indexOf(';') >= 0 && head.indexOf(',') < 0 ? ';' : ',';
    CSVFormat format = CSVFormat.RFC4180.builder().setDelimiter(between).get();
    try (var rows = format.parse(new StringReader(text))) {
      for (CSVRecord row : rows) {
        values(row, rows.getCurrentLineNumber());
      }
    } catch (UncheckedIOException | IOException broken) {
      leave("the rest of the file", "It is not a CSV file: a quotation mark is not closed.");
    }
  }

  private void values(CSVRecord row, long line) {
    LocalDate first = date(row.get(0));
    if (first == null) {
      boolean names = row.getRecordNumber() == 1 || row.get(0).isBlank();
      if (!names) {
        leave("line " + line, "“" + row.get(0).strip() + "” is not a date like 2026-07-03.");
      }
      return;
    }
    LocalDate last = row.size() > 1 ? date(row.get(1)) : null;
    int nameAt = last == null ? 1 : 2;
    String name = row.size() > nameAt ? row.get(nameAt) : "";
    if (last != null && last.isBefore(first)) {
      leave("line " + line, "The last day lies before the first.");
      return;
    }
    span(first, last == null ? 1 : ChronoUnit.DAYS.between(first, last) + 1, name, "line " + line);
  }

  private static @Nullable LocalDate date(String words) {
    try {
      return LocalDate.parse(words.strip());
    } catch (DateTimeException none) {
      return null;
    }
  }

  private void leave(String entry, String why) {
    leftOut.add(new ClosedDays.LeftOut(entry, why));
  }
}
