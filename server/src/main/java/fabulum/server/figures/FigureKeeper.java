package fabulum.server.figures;

import fabulum.server.conversations.changes.ChangedEntries;
import fabulum.server.conversations.changes.ChangedEntries.Some;
import fabulum.server.conversations.changes.ConversationChanged;
import fabulum.server.conversations.changes.TopicsMerged;
import fabulum.server.feed.Change;
import fabulum.server.feed.ChangeFeed;
import fabulum.server.figures.store.FigureMapper;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.platform.DiskReserve;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.ReentrantLock;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Keeps the sums of days up to date. A change marks the days it touches; they are summed again a
 * moment later, in a twentieth of the time at most, or before the next report. After a restart the
 * feed of changes says which days are meant; where it does not reach back, and where the clocks of
 * a line have changed, all days of the line are summed again, the latest first, while the inbox
 * works.
 */
@Component
class FigureKeeper implements DisposableBean {
  private static final Logger log = LoggerFactory.getLogger(FigureKeeper.class);
  private static final Duration BETWEEN_NOTES = Duration.ofSeconds(30);
  private static final int TIMES_AS_LONG = 20;
  private static final Duration LONGEST_REST = Duration.ofMinutes(1);

  private final FigureMapper rows;
  private final DaySummer summer;
  private final TouchedDays days;
  private final ChangeFeed feed;
  private final Lines lines;
  private final DiskReserve reserve;

  private final ChangedEntries changed = new ChangedEntries();
  private final AtomicBoolean everything = new AtomicBoolean();

  private final ReentrantLock working = new ReentrantLock(true);
  private final Deque<DayOfLine> again = new ArrayDeque<>();

  /** The clocks by which the days of lines are summed, or are being summed again. */
  private final Map<Long, String> zones = new HashMap<>();

  /** Lines of which it is not kept yet that they are summed by their clocks. */
  private final Set<Long> unkept = new HashSet<>();

  /** A touched day is summed whole, so a day of thousands of texts is summed less often. */
  private final Share share = new Share(TIMES_AS_LONG, LONGEST_REST);

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
      TouchedDays days,
      ChangeFeed feed,
      Lines lines,
      DiskReserve reserve) {
    this.rows = rows;
    this.summer = summer;
    this.days = days;
    this.feed = feed;
    this.lines = lines;
    this.reserve = reserve;
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
    long began = System.nanoTime();
    if (share.isDue(began)) {
      upToDate();
      noteNowAndThen();
      share.done(began, System.nanoTime());
    }
    if (left > 0 && summing.compareAndSet(false, true)) {
      // In a thread of its own: on Java 17 all timers share one.
      Thread thread = new Thread(this::sumAgainAlone, "figures");
      thread.setDaemon(true);
      thread.start();
    }
  }

  private void noteNowAndThen() {
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
      Map<Long, LineView> known = days.lines();
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
    days.touched(some).forEach(summer::sum);
    dirty = true;
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
      unkept.add(line.id());
      again.addAll(days.all(line));
    });
    allAgain = again.size();
    left = allAgain;
    if (again.isEmpty()) {
      keepZones();
    }
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

  /** That all days of these lines are summed by their clocks now. */
  private void keepZones() {
    for (Long line : unkept) {
      rows.deleteZone(line);
      rows.insertZone(line, Objects.requireNonNull(zones.get(line)));
    }
    unkept.clear();
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
