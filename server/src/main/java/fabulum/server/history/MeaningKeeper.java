package fabulum.server.history;

import fabulum.core.meaning.Meaning;
import fabulum.server.conversations.changes.ChangedEntries;
import fabulum.server.conversations.changes.ChangedEntries.Some;
import fabulum.server.conversations.changes.ConversationChanged;
import fabulum.server.history.MeaningIndex.Meant;
import fabulum.server.history.store.HistoryMapper;
import fabulum.server.history.store.SaidRow;
import fabulum.server.meaning.SentenceModel;
import fabulum.server.platform.DataSettings;
import fabulum.server.platform.DiskReserve;
import fabulum.server.platform.Troubles;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Keeps what texts and notes mean, so that they are found by it. One thread reads them, the newest
 * first, and never takes more than a part of one processor. After a start it goes through all
 * entries again: what is missing or has changed is read, what is gone is forgotten.
 */
@Component
class MeaningKeeper implements DisposableBean {
  private static final Logger log = LoggerFactory.getLogger(MeaningKeeper.class);

  private static final int READ_AT_ONCE = 1_000;

  /** They take some 5 ms each. */
  private static final int MEANT_AT_ONCE = 24;

  private static final long PAUSE_MS = 400;

  /** It rests this many times as long as it worked: where the machine is busy, it works less. */
  private static final int REST = 3;

  private static final long LONGEST_WAIT_MS = 2_000;
  private static final long AFTER_FAILURE_MS = 20_000;
  private static final Duration BETWEEN_COMMITS = Duration.ofSeconds(20);
  private static final Duration PATIENCE = Duration.ofSeconds(20);

  private final HistoryMapper rows;
  private final DiskReserve reserve;
  private final SentenceModel model;
  private final Troubles troubles;
  private final IndexFolder folder;

  private final ChangedEntries changed = new ChangedEntries();
  private final ReentrantLock writing = new ReentrantLock(true);
  private final CountDownLatch ending = new CountDownLatch(1);
  private final CountDownLatch ended = new CountDownLatch(1);
  private volatile boolean begun;
  private volatile boolean failing;
  private volatile @Nullable MeaningIndex index;

  /** Entries with ids below this one are still to be looked at; 0 when all are. */
  private long below = Long.MAX_VALUE;

  /** What that was when searches were last shown what was read. */
  private volatile long shownBelow = Long.MAX_VALUE;

  private long committedAt = System.nanoTime();
  private boolean dirty;

  MeaningKeeper(
      HistoryMapper rows,
      DiskReserve reserve,
      SentenceModel model,
      Troubles troubles,
      DataSettings data) {
    this.rows = rows;
    this.reserve = reserve;
    this.model = model;
    this.troubles = troubles;
    this.folder = new IndexFolder(data.meanings());
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    Thread reader = new Thread(this::read, "meanings");
    reader.setDaemon(true);
    reader.setPriority(Thread.MIN_PRIORITY);
    begun = true;
    reader.start();
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT, fallbackExecution = true)
  void changed(ConversationChanged change) {
    changed.add(change);
  }

  /**
   * The index and the model, where there are both; with what was said until now, if that is little.
   */
  Optional<Means> find() {
    Optional<Meaning> meaning = model.find();
    meaning.ifPresent(this::putNow);
    MeaningIndex open = index;
    return open == null ? Optional.empty() : meaning.map(there -> new Means(open, there));
  }

  private void putNow(Meaning meaning) {
    try {
      if (writing.tryLock(LONGEST_WAIT_MS, TimeUnit.MILLISECONDS)) {
        try {
          if (!reserve.isStopped() && ending.getCount() > 0) {
            MeaningIndex open = opened();
            followChanges(open, meaning);
            show(open);
          }
        } catch (IOException | RuntimeException e) {
          failed(e);
        } finally {
          writing.unlock();
        }
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** What is needed to look for a meaning. */
  record Means(MeaningIndex index, Meaning model) {}

  /** Whether texts can ever be found by what they mean here. */
  boolean isPossible() {
    return model.find().isPresent();
  }

  /** Whether the index could not be read or written a moment ago. */
  boolean isFailing() {
    return failing;
  }

  /** How much of all that was said can be found by what it means, 0 to 100 %. */
  int percent() {
    long left = shownBelow;
    return left == 0 ? 100 : IndexFolder.percent(left, rows.getLastId());
  }

  private void read() {
    try {
      Optional<Meaning> meaning = model.find();
      boolean going = meaning.isPresent();
      while (going) {
        long began = System.nanoTime();
        long pause = meaning.map(this::step).orElse(PAUSE_MS);
        long took = Duration.ofNanos(System.nanoTime() - began).toMillis();
        pause = pause == 0 ? 0 : Math.max(pause, REST * took);
        going = !ending.await(pause, TimeUnit.MILLISECONDS);
      }
      close();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } finally {
      ended.countDown();
    }
  }

  /** Some work; says how many milliseconds to wait before more. */
  private long step(Meaning meaning) {
    writing.lock();
    try {
      if (reserve.isStopped()) {
        return AFTER_FAILURE_MS;
      }
      MeaningIndex open = opened();
      boolean read = followChanges(open, meaning);
      boolean more = below > 0 && readSome(open, meaning);
      show(open);
      if (dirty && System.nanoTime() - committedAt > BETWEEN_COMMITS.toNanos()) {
        commit(open);
      }
      return more && !read ? 0 : PAUSE_MS;
    } catch (IOException | RuntimeException e) {
      failed(e);
      return AFTER_FAILURE_MS;
    } finally {
      writing.unlock();
    }
  }

  private void show(MeaningIndex open) throws IOException {
    open.refresh();
    shownBelow = below;
  }

  private void failed(Exception e) {
    log.warn("What texts mean could not be kept; it is tried again", e);
    failing = true;
    troubles.report(
        Troubles.Kind.MEANINGS, folder.trouble("History cannot find texts by their meaning"));
    forget();
  }

  private MeaningIndex opened() throws IOException {
    MeaningIndex open = index;
    if (open == null) {
      open = folder.open(MeaningIndex::new);
      below = Long.MAX_VALUE;
      index = open;
      failing = false;
      troubles.over(Troubles.Kind.MEANINGS);
    }
    return open;
  }

  /** Puts what has changed; whether that took a while. */
  private boolean followChanges(MeaningIndex open, Meaning meaning) throws IOException {
    boolean any = changed.size() > 0;
    if (any) {
      changed.follow(MEANT_AT_ONCE, some -> putChanged(open, some, meaning));
    }
    return any;
  }

  private void putChanged(MeaningIndex open, Some some, Meaning meaning) throws IOException {
    for (long conversation : some.scripts()) {
      open.removeConversation(conversation);
      changed.addAll(rows.listIdsOf(conversation));
    }
    if (!some.scripts().isEmpty()) {
      // What was removed for good is to leave the disk as well.
      open.purge();
      commit(open);
    }
    if (!some.entries().isEmpty()) {
      open.remove(some.entries());
      put(open, rows.list(some.entries()), meaning);
    }
  }

  /** Goes on through all entries; whether there was nothing to read in this stretch. */
  private boolean readSome(MeaningIndex open, Meaning meaning) throws IOException {
    long before = Math.min(below, rows.getLastId() + 1);
    long from = Math.max(1, before - READ_AT_ONCE);
    if (from >= before) {
      below = 0;
      return false;
    }
    Map<Long, Long> known = open.words(from, before);
    List<SaidRow> missing = new ArrayList<>();
    for (SaidRow row : rows.listBetween(from, before)) {
      Long there = known.remove(row.id());
      if (MeantRows.isMeant(row) && !Objects.equals(there, MeantRows.hash(row))) {
        missing.add(row);
      }
    }
    open.remove(known.keySet());
    missing.sort((one, other) -> Long.compare(other.id(), one.id()));
    put(open, missing.subList(0, Math.min(missing.size(), MEANT_AT_ONCE)), meaning);
    if (missing.size() > MEANT_AT_ONCE) {
      below = missing.get(MEANT_AT_ONCE - 1).id();
    } else {
      below = from > 1 ? from : 0;
    }
    return missing.isEmpty() && below > 0;
  }

  private void put(MeaningIndex open, List<SaidRow> found, Meaning meaning) throws IOException {
    List<Meant> texts = MeantRows.of(found, meaning);
    if (!texts.isEmpty()) {
      open.put(texts);
      dirty = true;
    }
  }

  private void commit(MeaningIndex open) throws IOException {
    open.commit();
    committedAt = System.nanoTime();
    dirty = false;
  }

  private void forget() {
    MeaningIndex broken = index;
    index = null;
    IndexFolder.closeFailed(broken);
  }

  private void close() {
    writing.lock();
    MeaningIndex open = index;
    try {
      if (open != null && !reserve.isStopped()) {
        open.commit();
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } finally {
      forget();
      writing.unlock();
    }
  }

  /** The model's own code must not be cut off in its work: the process would not end well. */
  @Override
  public void destroy() throws InterruptedException {
    ending.countDown();
    if (begun && !ended.await(PATIENCE.toSeconds(), TimeUnit.SECONDS)) {
      log.warn("What texts mean was still being read when the program ended");
    }
  }
}
