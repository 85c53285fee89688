package fabulum.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

class BriefMemoryTest {
  private static final int CONNECTIONS = 4;
  private static final int SECONDS = 10;

  @Test
  void itIsReadOnceForManyWhoAskWithinASecond() {
    AtomicInteger reads = new AtomicInteger();
    BriefMemory<Integer> memory = new BriefMemory<>(reads::incrementAndGet);
    for (int i = 0; i < 1_000; i++) {
      assertThat(memory.get()).isEqualTo(1);
    }
    memory.forget();
    assertThat(memory.get()).isEqualTo(2);
  }

  @Test
  void whatWasReadBeforeAChangeDoesNotOutliveIt() {
    AtomicInteger stored = new AtomicInteger(1);
    List<BriefMemory<Integer>> self = new ArrayList<>();
    BriefMemory<Integer> memory =
        new BriefMemory<>(() -> {
          int read = stored.get();
          // While it is on its way, another person changes it.
          if (read == 1) {
            stored.set(2);
            self.get(0).forget();
          }
          return read;
        });
    self.add(memory);
    assertThat(memory.get()).isEqualTo(1);
    assertThat(memory.get()).isEqualTo(2);
  }

  @Test
  void afterASecondItIsReadBesideThoseWhoAskAndAfterTwoByThemselves() {
    AtomicInteger reads = new AtomicInteger();
    AtomicLong nanos = new AtomicLong();
    Deque<Runnable> beside = new ArrayDeque<>();
    BriefMemory<Integer> memory =
        new BriefMemory<>(reads::incrementAndGet, nanos::get, beside::add);
    assertThat(memory.get()).isEqualTo(1);
    nanos.addAndGet(Duration.ofMillis(1_001).toNanos());
    beside.clear();
    assertThat(memory.get()).as("while it is read").isEqualTo(1);
    assertThat(memory.get()).as("and read once only").isEqualTo(1);
    while (!beside.isEmpty()) {
      beside.remove().run();
    }
    assertThat(memory.get()).isEqualTo(2);
    nanos.addAndGet(Duration.ofMillis(2_001).toNanos());
    assertThat(memory.get()).isEqualTo(3);
    assertThat(reads).hasValue(3);
  }

  @Test
  void whatATransactionReadAndRolledBackIsForgotten() {
    AtomicInteger stored = new AtomicInteger(1);
    BriefMemory<Integer> memory = new BriefMemory<>(stored::get);
    TransactionSynchronizationManager.initSynchronization();
    List<TransactionSynchronization> ends;
    try {
      stored.set(2);
      memory.forget();
      assertThat(memory.get()).isEqualTo(2);
      ends = TransactionSynchronizationManager.getSynchronizations();
    } finally {
      TransactionSynchronizationManager.clearSynchronization();
    }
    stored.set(1);
    ends.forEach(end -> end.afterCompletion(TransactionSynchronization.STATUS_ROLLED_BACK));
    assertThat(memory.get()).isEqualTo(1);
  }

  /**
   * A thread that holds a connection reads by it; one that holds none must wait for one that is
   * free.
   */
  @Test
  void nobodyWhoHoldsAConnectionWaitsForSomebodyWhoWantsOne() throws Exception {
    Semaphore pool = new Semaphore(CONNECTIONS);
    ThreadLocal<Boolean> holds = ThreadLocal.withInitial(() -> false);
    BriefMemory<String> memory =
        new BriefMemory<>(() -> {
          if (!holds.get()) {
            pool.acquireUninterruptibly();
            pool.release();
          }
          return "read";
        });
    CountDownLatch allHeld = new CountDownLatch(CONNECTIONS);
    CountDownLatch readerWaits = new CountDownLatch(1);
    List<Callable<String>> acts = new ArrayList<>();
    for (int i = 0; i < CONNECTIONS; i++) {
      acts.add(() -> {
        pool.acquire();
        holds.set(true);
        allHeld.countDown();
        readerWaits.await();
        String read = memory.get();
        pool.release();
        return read;
      });
    }
    acts.add(() -> {
      allHeld.await();
      readerWaits.countDown();
      return memory.get();
    });
    ExecutorService crowd = Executors.newFixedThreadPool(acts.size());
    for (Future<String> act : crowd.invokeAll(acts, SECONDS, TimeUnit.SECONDS)) {
      assertThat(act.isCancelled()).as("done in time").isFalse();
      assertThat(act.get()).isEqualTo("read");
    }
    crowd.shutdown();
  }
}
