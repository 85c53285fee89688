package fabulum.server.lines;

import fabulum.core.attachment.FileKind;
import fabulum.core.hours.EnteredSpan;
import fabulum.core.phone.NumberReader;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.server.lines.store.LineMapper;
import fabulum.server.lines.store.LineRow;
import java.time.DayOfWeek;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Lines as their tables keep them, and as the program and people read them. */
final class LineRows {
  private final LineMapper lines;
  private final NumberReader numbers = new NumberReader();

  LineRows(LineMapper lines) {
    this.lines = lines;
  }

  LineSetup setup(LineRow row) {
    List<EnteredSpan> week =
        lines.listSpans(row.id()).stream()
            .map(span ->
                new EnteredSpan(
                    DayOfWeek.of(span.dayOfWeek()),
                    span.fromMinute(),
                    span.fromMinute() + span.minutes()))
            .toList();
    HolidayCalendar calendar =
        row.holidayCountry() == null
            ? null
            : new HolidayCalendar(row.holidayCountry(), row.holidayRegion());
    return new LineSetup(
        row.name(),
        row.number(),
        row.region(),
        row.siteId(),
        row.teamId(),
        row.zone(),
        row.inUse(),
        row.promiseMinutes(),
        week,
        lines.listClosedDays(row.id()),
        calendar,
        lines.listOpenHolidays(row.id()),
        row.way(),
        row.narrowed(),
        lines.listToldOfNobodys(row.id()),
        new LineSending(
            row.mostParts(),
            row.registered(),
            countries(row.reaches()),
            row.signature(),
            row.groupLimit(),
            kinds(row.carries()),
            row.mostKilobytes()));
  }

  private static Set<String> countries(String codes) {
    return codes.isEmpty() ? Set.of() : Set.of(codes.split(" "));
  }

  private static Set<FileKind> kinds(String names) {
    return names.isEmpty()
        ? Set.of()
        : Stream.of(names.split(" "))
            .map(FileKind::valueOf)
            .collect(Collectors.toUnmodifiableSet());
  }

  static String kinds(LineSetup line) {
    return line.sending().carries().stream()
        .sorted()
        .map(FileKind::name)
        .collect(Collectors.joining(" "));
  }

  static String codes(LineSetup line) {
    return line.sending().reaches().stream().sorted().collect(Collectors.joining(" "));
  }

  void writeCalendar(long id, LineSetup wanted) {
    wanted
        .week()
        .forEach(span ->
            lines.insertSpan(id, span.day().getValue(), span.from(), span.to() - span.from()));
    wanted.closedDays().forEach(day -> lines.insertClosedDay(id, day));
    wanted.openHolidays().forEach(day -> lines.insertOpenHoliday(id, day));
    wanted.tellOfNobodys().forEach(staff -> lines.insertToldOfNobodys(id, staff));
  }

  LineView view(LineRow row) {
    String shown = numbers.forPeople(new PhoneNumber(row.number()), new Region(row.region()));
    return new LineView(
        row.id(),
        row.name(),
        row.site(),
        row.siteId(),
        row.teamId(),
        row.number(),
        shown,
        row.region(),
        row.zone(),
        row.inUse(),
        row.way(),
        row.narrowed(),
        row.groupLimit(),
        row.mostParts(),
        row.registered(),
        row.signature(),
        countries(row.reaches()),
        kinds(row.carries()),
        row.mostKilobytes());
  }
}
