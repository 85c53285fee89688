package fabulum.server.figures;

import fabulum.server.conversations.ChangedEntries;
import fabulum.server.conversations.ChangedEntries.Some;
import fabulum.server.conversations.ConversationChanged;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.TopicsMerged;
import fabulum.server.feed.Change;
import fabulum.server.feed.ChangeFeed;
import fabulum.server.figures.store.FigureMapper;
import fabulum.server.figures.store.TouchedRow;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.platform.DiskReserve;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Keeps the sums of days up to date. A change marks the days it touches; they are summed again a
 * moment later, or before the next report. After a restart the feed of changes says which days are
 * meant; where it does not reach back, and where the clocks of a line have changed, all days of the
 * line are summed again, the latest first, while the inbox works.
 */
@Component
class FigureKeeper implements DisposableBean {
  private static final Logger log = LoggerFactory.getLogger(FigureKeeper.class);
  private static final Duration BETWEEN_NOTES = Duration.ofSeconds(30);

  /** How long a text takes to arrive at most; a later one stands between others in its script. */
  private static final Duration ARRIVING = Duration.ofMinutes(2);

  /** An act and its event are this close together. */
  private static final Duration AN_ACT = Duration.ofSeconds(5);

  private static final Set<EventKind> CHANGE_WHAT_WAS =
      Set.of(EventKind.TOPIC_ADDED, EventKind.TOPIC_REMOVED, EventKind.UNDONE);

  private final FigureMapper rows;
  private final DaySummer summer;
  private final ChangeFeed feed;
  private final Lines lines;
  private final DiskReserve reserve;
  private final Clock clock;

  private final ChangedEntries changed = new ChangedEntries();
  private final AtomicBoolean everything = new AtomicBoolean();

  private final ReentrantLock working = new ReentrantLock(true);
  private final Deque<DayOfLine> again = new ArrayDeque<>();

  /** The clocks by which the days of lines are summed, or are being summed again. */
  private final Map<Long, String> zones = new HashMap<>();

  private volatile int allAgain;
  private volatile int left;
  private final AtomicBoolean summing = new AtomicBoolean();
  private volatile boolean closed;
  private boolean begun;
  private boolean dirty;
  private long notedAt = System.nanoTime();

  FigureKeeper(
      FigureMapper rows,
      DaySummer summer,
      ChangeFeed feed,
      Lines lines,
      DiskReserve reserve,
      Clock clock) {
    this.rows = rows;
    this.summer = summer;
    this.feed = feed;
    this.lines = lines;
    this.reserve = reserve;
    this.clock = clock;
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT, fallbackExecution = true)
  void changed(ConversationChanged change) {
    changed.add(change);
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT, fallbackExecution = true)
  void merged(TopicsMerged merged) {
    everything.set(true);
  }

  /** Sums up what was committed until now. */
  void upToDate() {
    working.lock();
    try {
      work();
    } finally {
      working.unlock();
    }
  }

  /** Of what is to be summed again after a change of everything, how much is, 0 to 100 %. */
  int percent() {
    int all = allAgain;
    return all == 0 ? 100 : (int) Math.min(99, 100L * (all - left) / all);
  }

  @Scheduled(initialDelay = 2, fixedDelay = 2, timeUnit = TimeUnit.SECONDS)
  void keepUp() {
    if (reserve.isStopped()) {
      return;
    }
    upToDate();
    if (left > 0 && summing.compareAndSet(false, true)) {
      // In a thread of its own: on Java 17 all timers share one.
      Thread thread = new Thread(this::sumAgainAlone, "figures");
      thread.setDaemon(true);
      thread.start();
    }
    working.lock();
    try {
      if (dirty && System.nanoTime() - notedAt > BETWEEN_NOTES.toNanos()) {
        note();
      }
    } finally {
      working.unlock();
    }
  }

  /** Sums all days of every line again, soon. */
  void sumAgainLater() {
    everything.set(true);
  }

  /** Sums all days of every line again, at once, and is done when it returns. */
  void sumAllAgain() {
    sumAgainLater();
    upToDate();
    sumAgain();
  }

  private void sumAgainAlone() {
    try {
      sumAgain();
    } catch (RuntimeException e) {
      log.warn("A day could not be summed; trying again", e);
    } finally {
      summing.set(false);
    }
  }

  /** Sums what is to be summed again, and is done when it returns. */
  void sumAgain() {
    boolean more = true;
    while (more) {
      more = sumOneAgain();
    }
  }

  private void work() {
    if (!begun) {
      begin();
      begun = true;
    }
    changed.follow(Integer.MAX_VALUE, this::sumChanged);
  }

  private void sumChanged(Some some) {
    boolean all = everything.getAndSet(false);
    boolean summed = false;
    try {
      sumTouched(some.entries());
      Map<Long, LineView> known = known();
      Set<Long> meant = new HashSet<>(all ? known.keySet() : Set.<Long>of());
      DaySummer.inChunks(some.scripts(), chunk -> meant.addAll(rows.listLinesOf(chunk)));
      known.values().stream()
          .filter(line -> !line.zone().equals(zones.get(line.id())))
          .forEach(line -> meant.add(line.id()));
      queue(meant.stream().filter(known::containsKey).map(known::get).toList());
      summed = true;
    } finally {
      if (all && !summed) {
        everything.set(true);
      }
    }
  }

  private Map<Long, LineView> known() {
    return lines.list().stream().collect(Collectors.toMap(LineView::id, Function.identity()));
  }

  /** What is missing since the program was stopped. */
  private void begin() {
    lines
        .list()
        .forEach(line -> {
          String zone = rows.findZone(line.id());
          if (zone != null) {
            zones.put(line.id(), zone);
          }
        });
    Long known = rows.findFeed();
    if (known == null || !feed.reaches(known)) {
      everything.set(true);
      return;
    }
    changed.addSince(
        feed,
        known,
        other -> {
          if (other.kind() == Change.Kind.TOPICS) {
            everything.set(true);
          }
        });
  }

  private void sumTouched(List<Long> some) {
    if (some.isEmpty()) {
      return;
    }
    List<TouchedRow> touched = new ArrayList<>();
    DaySummer.inChunks(some, chunk -> touched.addAll(rows.listTouched(chunk)));
    Map<Long, LineView> known = known();
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
    days.forEach(summer::sum);
    dirty = true;
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

  private void queue(List<LineView> wanted) {
    if (wanted.isEmpty()) {
      return;
    }
    wanted.forEach(line -> rows.deleteZone(line.id()));
    Set<Long> ids = wanted.stream().map(LineView::id).collect(Collectors.toSet());
    again.removeIf(day -> ids.contains(day.line()));
    wanted.forEach(line -> {
      zones.put(line.id(), line.zone());
      again.addAll(days(line, rows.findFirstOf(line.id())));
    });
    allAgain = again.size();
    left = allAgain;
    if (again.isEmpty()) {
      keepZones();
    }
  }

  private List<DayOfLine> days(LineView line, @Nullable Instant firstEntry) {
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

  /** Sums one more day again; false when there is none. */
  private boolean sumOneAgain() {
    working.lock();
    try {
      DayOfLine day = again.peek();
      if (day == null || closed || reserve.isStopped()) {
        return false;
      }
      summer.sum(day);
      again.poll();
      left = again.size();
      if (again.isEmpty()) {
        done();
      }
      return true;
    } finally {
      working.unlock();
    }
  }

  private void done() {
    allAgain = 0;
    keepZones();
    note();
  }

  /** That all days of the lines are summed by these clocks. */
  private void keepZones() {
    zones.forEach((line, zone) -> {
      rows.deleteZone(line);
      rows.insertZone(line, zone);
    });
  }

  /** Notes up to which change everything is summed. */
  private void note() {
    if (!again.isEmpty()) {
      return;
    }
    long settled = feed.settled();
    work();
    if (again.isEmpty()) {
      rows.setFeed(settled);
      notedAt = System.nanoTime();
      dirty = false;
    }
  }

  @Override
  public void destroy() {
    closed = true;
    working.lock();
    try {
      if (begun && !reserve.isStopped()) {
        note();
      }
    } catch (RuntimeException e) {
      log.warn("Figures could not be brought up to date; this is made up for at the next start", e);
    } finally {
      working.unlock();
    }
  }
}
