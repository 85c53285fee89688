package fabulum.server.lines;

import fabulum.core.hours.Hours;
import fabulum.core.hours.Span;
import fabulum.core.phone.NumberReader;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.promise.Promise;
import fabulum.server.lines.store.LineMapper;
import fabulum.server.lines.store.LineRow;
import fabulum.server.platform.BriefMemory;
import fabulum.server.platform.Problem;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The lines of the business. */
@Service
public class Lines {
  private final LineMapper lines;
  private final NumberReader numbers = new NumberReader();
  private final BriefMemory<List<LineView>> all;
  private final BriefMemory<Map<LineId, LinePromise>> promises;

  Lines(LineMapper lines) {
    this.lines = lines;
    this.all = new BriefMemory<>(() -> lines.list().stream().map(this::view).toList());
    this.promises = new BriefMemory<>(this::readPromises);
  }

  /** All lines, by site and name; a change is in it a second later at most. */
  public List<LineView> list() {
    return all.get();
  }

  /** The line with this number. */
  public Optional<LineView> findByNumber(PhoneNumber number) {
    return lines.findByNumber(number.e164()).map(this::view);
  }

  /** The line. */
  public LineView get(LineId id) {
    return lines.find(id.value()).map(this::view).orElseThrow(() -> Problem.notFound("line"));
  }

  /** What the line promises; a change is in it a second later at most. */
  public LinePromise promise(LineId id) {
    LinePromise known = promises.get().get(id);
    return known == null
        ? promiseOf(lines.find(id.value()).orElseThrow(() -> Problem.notFound("line")))
        : known;
  }

  private Map<LineId, LinePromise> readPromises() {
    return lines.list().stream()
        .collect(Collectors.toMap(row -> new LineId(row.id()), this::promiseOf));
  }

  private LinePromise promiseOf(LineRow row) {
    List<Span> week =
        lines.listSpans(row.id()).stream()
            .map(span ->
                new Span(
                    DayOfWeek.of(span.dayOfWeek()),
                    LocalTime.ofSecondOfDay(span.fromMinute() * 60L),
                    span.minutes()))
            .toList();
    Hours hours =
        new Hours(ZoneId.of(row.zone()), week, Set.copyOf(lines.listClosedDays(row.id())));
    return new LinePromise(new Promise(Duration.ofMinutes(row.promiseMinutes())), hours);
  }

  /** Sets up a line. */
  @Transactional
  public LineId add(NewLine line) {
    long site = lines.findSite(line.site()).orElseGet(() -> lines.insertSite(line.site()));
    int minutes = (int) line.promise().within().toMinutes();
    String zone = line.hours().zone().getId();
    long id =
        lines.insert(site, line.name(), line.number().e164(), line.region().code(), zone, minutes);
    line.hours()
        .week()
        .forEach(span ->
            lines.insertSpan(
                id, span.day().getValue(), span.from().toSecondOfDay() / 60, span.minutes()));
    line.hours().closedDays().forEach(day -> lines.insertClosedDay(id, day));
    return new LineId(id);
  }

  private LineView view(LineRow row) {
    String shown = numbers.forPeople(new PhoneNumber(row.number()), new Region(row.region()));
    return new LineView(
        row.id(),
        row.name(),
        row.site(),
        row.number(),
        shown,
        row.region(),
        row.zone(),
        row.inUse());
  }
}
