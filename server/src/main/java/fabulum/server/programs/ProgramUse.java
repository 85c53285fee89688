package fabulum.server.programs;

import fabulum.server.programs.store.ProgramMapper;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Counts what programs do, and how fast. The counts are written every few seconds, not with each
 * request; what a program changed is in the changes of the customer in any case.
 */
@Component
public class ProgramUse {
  /** Requests that a program may make within a minute. */
  static final int MOST_A_MINUTE = 1_200;

  private final ProgramMapper rows;
  private final TransactionTemplate transactions;
  private final Clock clock;
  private Map<Key, Counts> counted = new HashMap<>();
  private final Map<Long, Pace> paces = new HashMap<>();

  ProgramUse(ProgramMapper rows, TransactionTemplate transactions, Clock clock) {
    this.rows = rows;
    this.transactions = transactions;
    this.clock = clock;
  }

  /** What became of a request. */
  public enum Came {
    READ,
    CHANGED,
    REFUSED
  }

  private record Key(long program, LocalDate day) {}

  private record Counts(int reads, int changes, int refused, Instant last) {
    Counts plus(Counts more) {
      return new Counts(
          reads + more.reads,
          changes + more.changes,
          refused + more.refused,
          last.isAfter(more.last) ? last : more.last);
    }
  }

  private record Pace(long minute, int requests) {}

  /** Whether a program may make a request now. */
  public synchronized boolean mayGo(Program program) {
    long minute = clock.instant().getEpochSecond() / 60;
    Pace now =
        paces.merge(
            program.id(),
            new Pace(minute, 1),
            (had, one) -> had.minute == minute ? new Pace(minute, had.requests + 1) : one);
    return now.requests <= MOST_A_MINUTE;
  }

  /** Counts a request. */
  public void count(Program program, Came came) {
    Instant now = clock.instant();
    count(
        new Key(program.id(), LocalDate.ofInstant(now, ZoneOffset.UTC)),
        new Counts(
            came == Came.READ ? 1 : 0,
            came == Came.CHANGED ? 1 : 0,
            came == Came.REFUSED ? 1 : 0,
            now));
  }

  private synchronized void count(Key key, Counts counts) {
    counted.merge(key, counts, Counts::plus);
  }

  private synchronized Map<Key, Counts> taken() {
    Map<Key, Counts> taken = counted;
    counted = new HashMap<>();
    return taken;
  }

  /** Writes what was counted. */
  @PreDestroy
  @Scheduled(initialDelay = 10, fixedDelay = 10, timeUnit = TimeUnit.SECONDS)
  void keep() {
    taken()
        .forEach((key, counts) -> {
          try {
            transactions.executeWithoutResult(status -> keep(key, counts));
          } catch (RuntimeException e) {
            count(key, counts);
            throw e;
          }
        });
  }

  private void keep(Key key, Counts counts) {
    rows.lock(key.program());
    int reads = counts.reads();
    int changes = counts.changes();
    int refused = counts.refused();
    if (rows.addUse(key.program(), key.day(), reads, changes, refused) == 0) {
      rows.insertUse(key.program(), key.day(), reads, changes, refused);
    }
    rows.setLastUsed(key.program(), counts.last());
  }
}
