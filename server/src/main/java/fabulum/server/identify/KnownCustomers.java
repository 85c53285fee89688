package fabulum.server.identify;

import fabulum.core.identify.Directory;
import fabulum.core.identify.Inquiry;
import fabulum.core.identify.Profile;
import fabulum.server.conversations.SightColumns;
import fabulum.server.conversations.changes.ConversationChanged;
import fabulum.server.customers.CustomerChanged;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Profiles;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Function;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Everyone on file, in memory, so that those who may have written are found among very many. Read
 * from the database at the start, and again for each customer of whom something changed.
 */
@Component
class KnownCustomers {
  /** What was said before that says little of who writes now. */
  static final Duration LATELY = Duration.ofDays(45);

  /** How many are read at once: H2 compares each row it finds with the whole list of ids. */
  private static final int CHUNK = 100;

  /** What is seen finds candidates only; it is neither quoted nor counted. */
  static final SightColumns ALL_LINES = new SightColumns(0, null, null, null, null);

  private final Profiles profiles;
  private final Talk talk;
  private final Clock clock;
  private final Directory directory = new Directory();
  private final Set<Long> changed = new HashSet<>();
  private final Set<Long> conversations = new HashSet<>();
  private final ReentrantLock reading = new ReentrantLock();
  private volatile boolean loaded;

  KnownCustomers(Profiles profiles, Talk talk, Clock clock) {
    this.profiles = profiles;
    this.talk = talk;
    this.clock = clock;
  }

  @EventListener(ApplicationReadyEvent.class)
  void load() {
    long last = 0;
    List<CustomerId> chunk = profiles.listAfter(last, CHUNK);
    while (!chunk.isEmpty()) {
      read(chunk);
      last = chunk.get(chunk.size() - 1).value();
      chunk = profiles.listAfter(last, CHUNK);
    }
    loaded = true;
  }

  /** Whether everyone on file has been read. */
  boolean isLoaded() {
    return loaded;
  }

  /**
   * The database is never asked while the directory is held. What is read later is put later, so
   * that nothing older takes the place of something newer.
   */
  private void read(List<CustomerId> ids) {
    reading.lock();
    try {
      readNow(ids);
    } finally {
      reading.unlock();
    }
  }

  private void readNow(List<CustomerId> ids) {
    List<Profile> read =
        talk.with(profiles.list(ids), "", clock.instant().minus(LATELY), ALL_LINES);
    synchronized (directory) {
      ids.forEach(id -> directory.remove(id.value()));
      read.forEach(directory::put);
    }
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void changed(CustomerChanged change) {
    changed(List.of(change.id().value()));
  }

  private void changed(List<Long> customers) {
    synchronized (changed) {
      changed.addAll(customers);
    }
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void changed(ConversationChanged change) {
    synchronized (changed) {
      conversations.add(change.id().value());
    }
  }

  /** Whose numbers are in conversations that changed. */
  private void resolve() {
    List<Long> ids;
    synchronized (changed) {
      ids = List.copyOf(conversations);
      conversations.clear();
    }
    for (long id : ids) {
      changed(talk.customersOf(id));
    }
  }

  /** Reads again those of whom something changed. */
  @Scheduled(initialDelay = 2, fixedDelay = 2, timeUnit = TimeUnit.SECONDS)
  void refresh() {
    reading.lock();
    try {
      readChanged();
    } finally {
      reading.unlock();
    }
  }

  private void readChanged() {
    resolve();
    List<CustomerId> ids;
    synchronized (changed) {
      ids = changed.stream().map(CustomerId::new).toList();
      changed.clear();
    }
    for (int i = 0; i < ids.size(); i += CHUNK) {
      List<CustomerId> some = new ArrayList<>(ids.subList(i, Math.min(ids.size(), i + CHUNK)));
      try {
        read(some);
      } catch (RuntimeException e) {
        changed(some.stream().map(CustomerId::value).toList());
        throw e;
      }
    }
  }

  /** Those who may have written. */
  List<CustomerId> candidates(Inquiry inquiry, int limit) {
    refresh();
    synchronized (directory) {
      return directory.candidates(inquiry, limit).stream().map(CustomerId::new).toList();
    }
  }

  /** Works out something with the directory, which does not change meanwhile. */
  <T> T with(Function<Directory, T> work) {
    synchronized (directory) {
      return work.apply(directory);
    }
  }

  /** Since when what was said counts. */
  Instant since(Instant at) {
    return at.minus(LATELY);
  }
}
