package fabulum.server.figures;

import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.EventKind;
import fabulum.server.figures.store.FigureMapper;
import fabulum.server.figures.store.TouchedRow;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Which days of which lines have other sums after a change. */
@Component
class TouchedDays {
  /** How long a text takes to arrive at most; a later one stands between others in its script. */
  private static final Duration ARRIVING = Duration.ofMinutes(2);

  /** An act and its event are this close together. */
  private static final Duration AN_ACT = Duration.ofSeconds(5);

  private static final Set<EventKind> CHANGE_WHAT_WAS =
      Set.of(EventKind.TOPIC_ADDED, EventKind.TOPIC_REMOVED, EventKind.UNDONE);

  private final FigureMapper rows;
  private final Lines lines;
  private final Clock clock;

  TouchedDays(FigureMapper rows, Lines lines, Clock clock) {
    this.rows = rows;
    this.lines = lines;
    this.clock = clock;
  }

  /** The lines, by id. */
  Map<Long, LineView> lines() {
    return lines.list().stream().collect(Collectors.toMap(LineView::id, Function.identity()));
  }

  /** The days that entries stand on, and those whose waits they change. */
  Set<DayOfLine> touched(List<Long> some) {
    List<TouchedRow> touched = new ArrayList<>();
    DaySummer.inChunks(some, chunk -> touched.addAll(rows.listTouched(chunk)));
    Map<Long, LineView> known = lines();
    Set<DayOfLine> days = new HashSet<>();
    for (TouchedRow row : touched) {
      LineView line = known.get(row.lineId());
      if (line != null) {
        times(row)
            .forEach(at -> {
              days.add(DayOfLine.of(line, at.minus(AN_ACT)));
              days.add(DayOfLine.of(line, at.plus(AN_ACT)));
            });
      }
    }
    return days;
  }

  /** When what an entry changes stands. */
  private List<Instant> times(TouchedRow row) {
    boolean late = row.kind() == EntryKind.IN && row.at().isBefore(clock.instant().minus(ARRIVING));
    boolean wider = late || (row.event() != null && CHANGE_WHAT_WAS.contains(row.event()));
    if (!wider) {
      return List.of(row.at());
    }
    // Not since it is open now: it may have been done and opened again meanwhile.
    Instant done = row.doneBefore();
    List<Instant> times =
        new ArrayList<>(
            rows.listTimes(row.conversationId(), late || done == null ? Instant.EPOCH : done));
    times.add(row.at());
    return times;
  }

  /** All days of a line from its first entry to tomorrow, the latest first. */
  List<DayOfLine> all(LineView line) {
    @Nullable Instant firstEntry = rows.findFirstOf(line.id());
    ZoneId zone = ZoneId.of(line.zone());
    LocalDate sums = rows.findFirstSum(line.id());
    if (firstEntry == null && sums == null) {
      return List.of();
    }
    LocalDate today = LocalDate.ofInstant(clock.instant(), zone).plusDays(1);
    LocalDate first = firstEntry == null ? today : LocalDate.ofInstant(firstEntry, zone);
    LocalDate from = sums != null && sums.isBefore(first) ? sums.minusDays(1) : first;
    List<DayOfLine> days = new ArrayList<>();
    for (LocalDate day = today; !day.isBefore(from); day = day.minusDays(1)) {
      days.add(new DayOfLine(line.id(), zone, day));
    }
    return days;
  }
}
