package fabulum.server.clientele;

import static java.util.stream.Collectors.groupingBy;

import fabulum.core.identify.Twins;
import fabulum.server.clientele.store.ClienteleMapper;
import fabulum.server.clientele.store.IndexedRow;
import fabulum.server.clientele.store.IndexedRow.PieceRow;
import fabulum.server.customers.CustomerChanged;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Profiles;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * All customers by name, in memory: any part of anything is found in a few milliseconds among a
 * hundred thousand. Read from the database at the start, and again for each customer of whom
 * something changed.
 */
@Component
class CustomerIndex {
  /**
   * How many are read at once. H2 compares each row it finds with the whole list of ids: 1,000 at
   * once take five times as long.
   */
  private static final int CHUNK = 100;

  /** A list waits for this many changes to be read; more come from an import. */
  private static final int MOST_AWAITED = 1_000;

  private static final long LONGEST_WAIT_MS = 2_000;

  private final Profiles profiles;
  private final ClienteleMapper rows;
  private final Map<Long, IndexedCustomer> byId = new ConcurrentHashMap<>();
  private final Map<String, Set<Long>> byKey = new ConcurrentHashMap<>();
  private final Set<Long> changed = new HashSet<>();
  private final Set<Long> beingRead = new HashSet<>();
  private final ReentrantLock reading = new ReentrantLock();
  private volatile ByName byName = new ByName(List.of());
  private volatile boolean loaded;

  CustomerIndex(Profiles profiles, ClienteleMapper rows) {
    this.profiles = profiles;
    this.rows = rows;
  }

  @EventListener(ApplicationReadyEvent.class)
  void load() {
    reading.lock();
    try {
      if (!loaded) {
        readAll();
      }
    } finally {
      reading.unlock();
    }
  }

  private void readAll() {
    List<CustomerId> chunk = profiles.listAfter(0, CHUNK);
    while (!chunk.isEmpty()) {
      read(chunk.stream().map(CustomerId::value).toList());
      chunk = profiles.listAfter(chunk.get(chunk.size() - 1).value(), CHUNK);
    }
    arrange(byId.keySet());
    loaded = true;
  }

  private void read(List<Long> ids) {
    Map<Long, List<PieceRow>> pieces =
        rows.listPieces(ids).stream().collect(groupingBy(PieceRow::customerId));
    Set<Long> gone = new HashSet<>(ids);
    for (IndexedRow row : rows.list(ids)) {
      gone.remove(row.id());
      put(IndexedCustomer.of(row, pieces.getOrDefault(row.id(), List.of())));
    }
    gone.forEach(this::remove);
  }

  /** Puts some who changed where they belong; the others are in order already. */
  private void arrange(Set<Long> ids) {
    List<IndexedCustomer> before = byName.all();
    List<IndexedCustomer> next = new ArrayList<>(before.size() + ids.size());
    for (IndexedCustomer one : before) {
      if (!ids.contains(one.id())) {
        next.add(one);
      }
    }
    ids.stream().map(byId::get).filter(Objects::nonNull).forEach(next::add);
    next.sort(null);
    byName = new ByName(next);
  }

  private void put(IndexedCustomer customer) {
    IndexedCustomer before = byId.put(customer.id(), customer);
    if (before != null) {
      forget(before);
    }
    customer
        .name()
        .keys()
        .forEach(key ->
            byKey.computeIfAbsent(key, none -> ConcurrentHashMap.newKeySet(2)).add(customer.id()));
  }

  private void remove(long id) {
    IndexedCustomer before = byId.remove(id);
    if (before != null) {
      forget(before);
    }
  }

  private void forget(IndexedCustomer before) {
    before
        .name()
        .keys()
        .forEach(key -> byKey.getOrDefault(key, new HashSet<>()).remove(before.id()));
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT, fallbackExecution = true)
  void changed(CustomerChanged change) {
    changed(List.of(change.id().value()));
  }

  private void changed(List<Long> ids) {
    synchronized (changed) {
      changed.addAll(ids);
    }
  }

  /** Reads again those of whom something changed. */
  @Scheduled(initialDelay = 1, fixedDelay = 1, timeUnit = TimeUnit.SECONDS)
  void refresh() {
    load();
    reading.lock();
    try {
      readChanged();
    } finally {
      reading.unlock();
    }
  }

  private void readChanged() {
    List<Long> ids;
    synchronized (changed) {
      ids = List.copyOf(changed);
      beingRead.addAll(ids);
      changed.clear();
    }
    try {
      readInChunks(ids);
    } finally {
      synchronized (changed) {
        beingRead.clear();
      }
    }
  }

  private void readInChunks(List<Long> ids) {
    for (int i = 0; i < ids.size(); i += CHUNK) {
      List<Long> some = new ArrayList<>(ids.subList(i, Math.min(ids.size(), i + CHUNK)));
      try {
        read(some);
        arrange(new HashSet<>(some));
      } catch (RuntimeException e) {
        changed(ids.subList(i, ids.size()));
        throw e;
      }
    }
  }

  private int behind() {
    synchronized (changed) {
      return changed.size() + beingRead.size();
    }
  }

  /** All of them, as they are now. */
  ByName byName() {
    settle();
    return byName;
  }

  /** By name, as they are now. */
  List<IndexedCustomer> all() {
    return byName().all();
  }

  /** One of them, as they are now. */
  Optional<IndexedCustomer> find(long id) {
    settle();
    return Optional.ofNullable(byId.get(id));
  }

  /** Reads first what changed just now, but waits for no long import. */
  private void settle() {
    if (!loaded) {
      load();
    }
    int behind = behind();
    if (behind == 0 || behind > MOST_AWAITED) {
      return;
    }
    try {
      if (reading.tryLock(LONGEST_WAIT_MS, TimeUnit.MILLISECONDS)) {
        try {
          readChanged();
        } finally {
          reading.unlock();
        }
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** Others with nearly the same name. */
  List<IndexedCustomer> near(IndexedCustomer one) {
    return near(one.name(), true).stream().filter(other -> other.id() != one.id()).toList();
  }

  /**
   * Those with nearly this name.
   *
   * @param wide also those with a slip that changes how it sounds; that takes longer
   */
  List<IndexedCustomer> near(Twins.Name name, boolean wide) {
    return name.sought(wide).stream()
        .flatMap(key -> byKey.getOrDefault(key, Set.of()).stream())
        .distinct()
        .map(byId::get)
        .filter(Objects::nonNull)
        .filter(one -> Twins.areNear(name, one.name()))
        .toList();
  }
}
