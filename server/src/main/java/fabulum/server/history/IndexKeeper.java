package fabulum.server.history;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.mapping;
import static java.util.stream.Collectors.toList;

import fabulum.core.text.Language;
import fabulum.server.accounts.Secrets;
import fabulum.server.conversations.changes.ChangedEntries;
import fabulum.server.conversations.changes.ChangedEntries.Some;
import fabulum.server.conversations.changes.ConversationChanged;
import fabulum.server.feed.ChangeFeed;
import fabulum.server.history.WordIndex.Progress;
import fabulum.server.history.store.HistoryMapper;
import fabulum.server.history.store.SaidRow;
import fabulum.server.history.store.SaidRow.AttachedRow;
import fabulum.server.platform.DataSettings;
import fabulum.server.platform.DiskReserve;
import fabulum.server.platform.Troubles;
import fabulum.server.sending.SendSetup;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import org.apache.lucene.store.AlreadyClosedException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Keeps the index of words up to date. What was committed is put into it a moment later, or before
 * the next search; after a restart the feed of changes says what is missing. An index that is
 * missing, broken, of another format or too old is made anew, the newest entries first, while the
 * inbox works.
 */
@Component
class IndexKeeper implements DisposableBean {
  private static final Logger log = LoggerFactory.getLogger(IndexKeeper.class);
  private static final int CHUNK = 1_000;
  private static final int READ_AT_ONCE = 4_000;
  private static final Duration BETWEEN_LOOKS = Duration.ofSeconds(10);
  private static final long LONGEST_WAIT_MS = 2_000;
  private static final Duration BETWEEN_COMMITS = Duration.ofSeconds(20);
  private static final Duration BEFORE_NEXT_TRY = Duration.ofSeconds(20);

  private final HistoryMapper rows;
  private final ChangeFeed feed;
  private final SendSetup setup;
  private final DiskReserve reserve;
  private final Troubles troubles;
  private final Secrets secrets;
  private final IndexFolder folder;

  private final ChangedEntries changed = new ChangedEntries();
  private final ReentrantLock writing = new ReentrantLock(true);
  private volatile @Nullable WordIndex index;
  private volatile boolean closed;

  /**
   * Entries with ids below this one are still to be read; 0 when all are. Changed while writing.
   */
  private long below;

  /** What that was when searches were last shown what was read. */
  private volatile long shownBelow;

  private long triedAt = System.nanoTime() - BEFORE_NEXT_TRY.toNanos();
  private long committedAt = System.nanoTime();
  private long shownAt = System.nanoTime();
  private boolean dirty;

  IndexKeeper(
      HistoryMapper rows,
      ChangeFeed feed,
      SendSetup setup,
      DiskReserve reserve,
      Troubles troubles,
      Secrets secrets,
      DataSettings data) {
    this.rows = rows;
    this.feed = feed;
    this.setup = setup;
    this.reserve = reserve;
    this.troubles = troubles;
    this.secrets = secrets;
    this.folder = new IndexFolder(data.history());
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT, fallbackExecution = true)
  void changed(ConversationChanged change) {
    changed.add(change);
  }

  /** The index with everything in it that was committed until now, if it can be used. */
  Optional<WordIndex> upToDate() {
    if (changed.size() > 0 || index == null) {
      try {
        if (writing.tryLock(LONGEST_WAIT_MS, TimeUnit.MILLISECONDS)) {
          try {
            work();
          } finally {
            writing.unlock();
          }
        }
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
    }
    return Optional.ofNullable(index);
  }

  /** How much of all that was said can be found, 0 to 100 %. */
  int percent() {
    long left = shownBelow;
    return left == 0 ? 100 : IndexFolder.percent(left, rows.getLastId());
  }

  @Scheduled(initialDelay = 500, fixedDelay = 400)
  void keepUp() {
    writing.lock();
    try {
      work();
      if (dirty && System.nanoTime() - committedAt > BETWEEN_COMMITS.toNanos()) {
        commit();
      }
    } finally {
      writing.unlock();
    }
  }

  private void work() {
    try {
      WordIndex open = opened();
      if (open != null && changed.size() > 0 && !reserve.isStopped()) {
        followChanges(open);
      }
    } catch (IOException | UncheckedIOException | AlreadyClosedException e) {
      failed(e);
    }
  }

  private @Nullable WordIndex opened() throws IOException {
    Set<Language> languages = languages();
    WordIndex open = index;
    if (open != null && !open.isFor(languages)) {
      index = null;
      open.close();
    }
    boolean tries = System.nanoTime() - triedAt >= BEFORE_NEXT_TRY.toNanos();
    if (index == null && !closed && (open != null || tries) && !reserve.isStopped()) {
      triedAt = System.nanoTime();
      open(languages);
    }
    return index;
  }

  private Set<Language> languages() {
    Set<Language> languages = EnumSet.of(Language.EN);
    languages.addAll(setup.get().languages());
    return languages;
  }

  private void open(Set<Language> languages) throws IOException {
    String database = secrets.fingerprint("search index", "of History");
    WordIndex open = folder.open(path -> new WordIndex(path, languages, database));
    Progress known = open.progress();
    if (known != null && feed.reaches(known.feed())) {
      below = known.below();
      changed.addSince(feed, known.feed(), other -> {});
    } else {
      open.clear();
      below = Long.MAX_VALUE;
      open.commit(new Progress(feed.settled(), below));
    }
    show(open);
    index = open;
    troubles.over(Troubles.Kind.HISTORY);
    if (below > 0) {
      Thread reader = new Thread(this::readAll, "history-reader");
      reader.setDaemon(true);
      reader.start();
    }
  }

  private void followChanges(WordIndex open) throws IOException {
    changed.follow(Integer.MAX_VALUE, some -> putChanged(open, some));
  }

  private void show(WordIndex open) throws IOException {
    open.refresh();
    shownBelow = below;
    shownAt = System.nanoTime();
  }

  private void putChanged(WordIndex open, Some some) throws IOException {
    for (long conversation : some.scripts()) {
      open.removeConversation(conversation);
      putAll(open, rows.listIdsOf(conversation));
    }
    putAll(open, some.entries());
    if (!some.scripts().isEmpty()) {
      // What was removed for good is to leave the disk as well.
      open.purge();
      committedAt -= BETWEEN_COMMITS.toNanos();
    }
    show(open);
    dirty = true;
  }

  private void putAll(WordIndex open, List<Long> ids) throws IOException {
    for (int i = 0; i < ids.size(); i += CHUNK) {
      put(open, ids.subList(i, Math.min(ids.size(), i + CHUNK)));
    }
  }

  private void put(WordIndex open, List<Long> ids) throws IOException {
    List<SaidRow> found = rows.list(ids);
    put(open, found, rows.listAttached(ids));
    Set<Long> gone = new HashSet<>(ids);
    found.forEach(row -> gone.remove(row.id()));
    open.remove(gone);
  }

  private static void put(WordIndex open, List<SaidRow> found, List<AttachedRow> files)
      throws IOException {
    Map<Long, List<String>> attached =
        files.stream()
            .collect(
                groupingBy(
                    AttachedRow::entryId,
                    mapping(file -> Searched.file(file.name(), file.words()), toList())));
    open.put(
        found.stream()
            .map(row -> new IndexedEntry(row, attached.getOrDefault(row.id(), List.of())))
            .toList());
  }

  /** Reads everything that is still to be read, the newest first. */
  private void readAll() {
    WordIndex open = index;
    if (open == null) {
      return;
    }
    boolean more = true;
    while (more && !closed) {
      writing.lock();
      try {
        more = open == index && readSome(open);
      } catch (IOException | RuntimeException e) {
        failed(e);
        more = false;
      } finally {
        writing.unlock();
      }
    }
  }

  private boolean readSome(WordIndex open) throws IOException {
    long before = Math.min(below, rows.getLastId() + 1);
    long from = Math.max(1, before - READ_AT_ONCE);
    if (from < before) {
      put(open, rows.listBetween(from, before), rows.listAttachedBetween(from, before));
    }
    below = from > 1 ? from : 0;
    dirty = true;
    if (below == 0) {
      show(open);
      commit();
    } else if (System.nanoTime() - shownAt > BETWEEN_LOOKS.toNanos()) {
      show(open);
    }
    return below > 0;
  }

  private void commit() {
    WordIndex open = index;
    if (open == null || reserve.isStopped()) {
      return;
    }
    try {
      // Told of long ago, every change up to here is put or on the list of what is to be put.
      long settled = feed.settled();
      if (changed.size() > 0) {
        followChanges(open);
      }
      open.commit(new Progress(settled, below));
      committedAt = System.nanoTime();
      dirty = false;
    } catch (IOException e) {
      failed(e);
    }
  }

  private void failed(Exception e) {
    log.warn("The search index of History could not be written", e);
    WordIndex broken = index;
    index = null;
    troubles.report(Troubles.Kind.HISTORY, folder.trouble("History cannot be searched"));
    IndexFolder.closeFailed(broken);
  }

  @Override
  public void destroy() throws IOException {
    closed = true;
    writing.lock();
    try {
      commit();
      WordIndex open = index;
      index = null;
      if (open != null) {
        open.close();
      }
    } finally {
      writing.unlock();
    }
  }
}
