package fabulum.server.figures;

import fabulum.core.hours.Span;
import fabulum.core.report.ByHour;
import fabulum.core.report.ByHour.Cell;
import fabulum.core.report.Seconds;
import fabulum.core.sentence.ReportSentence;
import fabulum.server.access.StaffId;
import fabulum.server.figures.WeekView.HourView;
import fabulum.server.figures.store.FigureMapper;
import fabulum.server.figures.store.HoursRow;
import fabulum.server.figures.store.WaitRow;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** When in the week customers wait, and how long. */
@Service
public class WaitingWeek {
  private static final int HOURS_A_DAY = 24;
  private static final int HOURS_A_WEEK = 7 * HOURS_A_DAY;
  private static final int MINUTES_AN_HOUR = 60;
  private static final int DECIMALS = 3;

  private final FigureMapper rows;
  private final FigureKeeper keeper;
  private final Scopes scopes;
  private final Lines lines;

  WaitingWeek(FigureMapper rows, FigureKeeper keeper, Scopes scopes, Lines lines) {
    this.rows = rows;
    this.keeper = keeper;
    this.scopes = scopes;
    this.lines = lines;
  }

  /** What was found of each hour of the week. */
  private static final class Found {
    private final long[] waiting = new long[HOURS_A_WEEK];
    private final long[] all = new long[HOURS_A_WEEK];
    private final List<LongStream.Builder> answers =
        Stream.generate(LongStream::builder).limit(HOURS_A_WEEK).toList();
  }

  /** The week of the lines and days of a sentence, for leads; waits that go on count until now. */
  public WeekView week(ReportSentence sentence, StaffId asking) {
    scopes.requireMayKnow(sentence, asking);
    keeper.upToDate();
    Instant now = scopes.now();
    Scope scope = scopes.of(sentence, asking);
    LocalDate today = scopes.today();
    List<WaitRow> open = rows.listOpenWaits(now);
    Found found = new Found();
    for (LineView line : scope.lines()) {
      // A wait counts on the day it ended, which may be after the last of these days.
      for (HoursRow row : rows.listHours(line.id(), scope.first(), today)) {
        within(scope, ByHour.read(row.waiting()).cells())
            .forEach(cell -> found.waiting[cell.hourOfWeek()] += cell.value());
        within(scope, ByHour.read(row.begun()).cells())
            .forEach(cell -> found.answers.get(cell.hourOfWeek()).add(cell.value()));
      }
      ZoneId zone = ZoneId.of(line.zone());
      open.stream()
          .filter(wait -> wait.lineId() == line.id())
          .flatMap(
              wait -> within(scope, ByHour.spread(wait.since(), wait.endedAt(), zone)).stream())
          .forEach(cell -> found.waiting[cell.hourOfWeek()] += cell.value());
    }
    ZoneId zone = lines.zone();
    Instant end = scope.last().plusDays(1).atStartOfDay(zone).toInstant();
    ByHour.spread(scope.first().atStartOfDay(zone).toInstant(), end.isBefore(now) ? end : now, zone)
        .forEach(cell -> found.all[cell.hourOfWeek()] += cell.value());
    return new WeekView(
        sentence.text(), scope.first(), scope.last(), views(found, scope), keeper.percent());
  }

  private static List<Cell> within(Scope scope, List<Cell> cells) {
    long first = ByHour.hourOf(scope.first().atStartOfDay());
    long end = ByHour.hourOf(scope.last().plusDays(1).atStartOfDay());
    return cells.stream().filter(cell -> cell.hour() >= first && cell.hour() < end).toList();
  }

  private List<HourView> views(Found found, Scope scope) {
    List<HourView> views = new ArrayList<>();
    for (int hour = 0; hour < HOURS_A_WEEK; hour++) {
      Seconds took = Seconds.of(found.answers.get(hour).build().toArray());
      views.add(
          new HourView(
              hour / HOURS_A_DAY + 1,
              hour % HOURS_A_DAY,
              mean(found.waiting[hour], found.all[hour]),
              took.count(),
              orNull(took.percentile(50)),
              isOpen(scope, hour)));
    }
    return views;
  }

  private static BigDecimal mean(long waiting, long all) {
    return all == 0
        ? BigDecimal.ZERO
        : BigDecimal.valueOf(waiting)
            .divide(BigDecimal.valueOf(all), DECIMALS, RoundingMode.HALF_UP);
  }

  private static @Nullable Long orNull(OptionalLong value) {
    return value.isPresent() ? value.getAsLong() : null;
  }

  private boolean isOpen(Scope scope, int hour) {
    return scope.lines().stream()
        .filter(LineView::inUse)
        .map(line -> lines.promise(new LineId(line.id())).hours().week())
        .anyMatch(week -> week.isEmpty() || week.stream().anyMatch(span -> touches(span, hour)));
  }

  private static boolean touches(Span span, int hour) {
    int from = hour * MINUTES_AN_HOUR;
    int week = HOURS_A_WEEK * MINUTES_AN_HOUR;
    int after = span.start() + span.minutes() - week;
    return (span.start() < from + MINUTES_AN_HOUR && span.start() + span.minutes() > from)
        || after > from;
  }
}
