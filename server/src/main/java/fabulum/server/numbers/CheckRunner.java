package fabulum.server.numbers;

import fabulum.core.phone.Sender;
import fabulum.core.sending.SendQuestion.NumberState;
import fabulum.server.conversations.Matching;
import fabulum.server.conversations.changes.ConversationChanged;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberFacts;
import fabulum.server.customers.NumberId;
import fabulum.server.numbers.Checker.CheckFailed;
import fabulum.server.numbers.Checker.Checked;
import fabulum.server.numbers.store.NumberCheckMapper;
import fabulum.server.numbers.store.NumberCheckMapper.DueRow;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.transaction.support.TransactionTemplate;

/** Asks about the numbers that are to be asked about, some at a time, in the background. */
@Component
class CheckRunner {
  private static final Logger log = LoggerFactory.getLogger(CheckRunner.class);
  private static final int AT_ONCE = 100;
  private static final Duration CLAIM = Duration.ofMinutes(2);
  private static final Duration FIRST_WAIT = Duration.ofSeconds(20);
  private static final Duration LONGEST_WAIT = Duration.ofHours(2);

  private final NumberCheckMapper rows;
  private final Checker checker;
  private final Customers customers;
  private final Matching matching;
  private final TransactionTemplate transactions;
  private final Clock clock;
  private final Set<Long> changed = new HashSet<>();

  CheckRunner(
      NumberCheckMapper rows,
      Checker checker,
      Customers customers,
      Matching matching,
      TransactionTemplate transactions,
      Clock clock) {
    this.rows = rows;
    this.checker = checker;
    this.customers = customers;
    this.matching = matching;
    this.transactions = transactions;
    this.clock = clock;
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    if (checker.isThere()) {
      wantThoseToIdentify(null);
    }
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void changed(ConversationChanged change) {
    if (checker.isThere()) {
      synchronized (changed) {
        changed.add(change.id().value());
      }
    }
  }

  /** A number nobody knows is asked about once, where a lead has allowed it. */
  private void wantThoseToIdentify(@Nullable List<Long> conversations) {
    if (!rows.getSetting().automatic()) {
      return;
    }
    for (long number : rows.listToIdentify(conversations, AT_ONCE)) {
      try {
        transactions.executeWithoutResult(
            status -> rows.insertWanted(number, clock.instant(), false));
      } catch (DuplicateKeyException askedMeanwhile) {
        log.debug("Another program asks about this number already");
      }
    }
  }

  private List<Long> takeChanged() {
    synchronized (changed) {
      List<Long> taken = changed.stream().limit(500).toList();
      taken.forEach(changed::remove);
      return taken;
    }
  }

  /** Asks about those that are due. */
  @Scheduled(initialDelay = 2, fixedDelay = 1, timeUnit = TimeUnit.SECONDS)
  void run() {
    if (!checker.isThere()) {
      return;
    }
    List<Long> conversations = takeChanged();
    if (!conversations.isEmpty()) {
      wantThoseToIdentify(conversations);
    }
    List<DueRow> mine = claimed();
    if (!mine.isEmpty()) {
      ask(mine);
    }
  }

  private List<DueRow> claimed() {
    Instant until = clock.instant().plus(CLAIM);
    return rows.listDue(clock.instant(), AT_ONCE).stream()
        .filter(row -> rows.claim(row.numberId(), row.nextAt(), until) > 0)
        .toList();
  }

  private void ask(List<DueRow> mine) {
    Map<String, Checked> said = new HashMap<>();
    try {
      checker
          .check(mine.stream().map(DueRow::address).toList())
          .forEach(one -> said.put(one.number(), one));
    } catch (CheckFailed failed) {
      log.warn("Numbers could not be checked and are asked about again: {}", failed.getMessage());
    }
    for (DueRow row : mine) {
      Checked one = said.get(row.address());
      transactions.executeWithoutResult(status -> {
        if (one == null) {
          rows.setTries(row.numberId(), row.tries() + 1, clock.instant().plus(wait(row.tries())));
        } else {
          keep(row, shortened(one));
        }
      });
    }
  }

  private static Duration wait(int tries) {
    Duration wait = FIRST_WAIT.multipliedBy(1L << Math.min(tries, 10));
    return wait.compareTo(LONGEST_WAIT) < 0 ? wait : LONGEST_WAIT;
  }

  private static Checked shortened(Checked one) {
    return new Checked(
        one.number(),
        one.reach(),
        shortened(one.carrier(), 80),
        shortened(one.registeredTo(), 160));
  }

  private static @Nullable String shortened(@Nullable String words, int most) {
    return words == null || words.isBlank()
        ? null
        : words.strip().substring(0, Math.min(most, words.strip().length()));
  }

  private void keep(DueRow row, Checked said) {
    NumberId number = new NumberId(row.numberId());
    boolean failed = rows.isAfterFailure(row.numberId()).orElse(false);
    Reach before =
        rows.list(List.of(row.numberId())).stream()
            .findFirst()
            .map(NumberCheck::reach)
            .orElse(null);
    rows.keep(row.numberId(), said, clock.instant());
    NumberState now =
        customers
            .facts(Sender.ofAddress(row.address()))
            .map(NumberFacts::state)
            .orElse(NumberState.GOOD);
    if (now == NumberState.GOOD && said.reach() != Reach.MOBILE) {
      customers.setState(
          number,
          said.reach() == Reach.LANDLINE ? NumberState.CANNOT_RECEIVE : NumberState.NO_SUCH_NUMBER);
    } else if (said.reach() == Reach.MOBILE
        && before != null
        && before != Reach.MOBILE
        && !failed
        && now != NumberState.MARKED_WRONG) {
      // Only an earlier check had said that it cannot be texted.
      customers.setState(number, NumberState.GOOD);
    }
    matching.matchAgain(number, Map.of());
  }
}
