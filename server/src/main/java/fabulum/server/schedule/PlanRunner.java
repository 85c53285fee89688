package fabulum.server.schedule;

import fabulum.core.sending.Objection;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.ConversationId;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Steadily;
import fabulum.server.schedule.PlanRun.Outcome;
import fabulum.server.schedule.PlanTimes.NextTime;
import fabulum.server.schedule.store.PlannedMapper;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Lets planned texts go when their time has come, and holds back what may not. */
@Component
class PlanRunner {
  private static final Logger log = LoggerFactory.getLogger(PlanRunner.class);
  private static final int AT_ONCE = 200;

  /** Later than this a text may say what is not so any more: a person looks at it first. */
  static final Duration LATEST = Duration.ofHours(4);

  private final PlannedMapper rows;
  private final PlanRun run;
  private final PlanKeeping keeping;
  private final PlanTimes times;
  private final Bookkeeping books;
  private final People people;
  private final TransactionTemplate transactions;
  private final Steadily<Long> steadily = new Steadily<>("A planned text could not go");

  PlanRunner(
      PlannedMapper rows,
      PlanRun run,
      PlanKeeping keeping,
      PlanTimes times,
      Bookkeeping books,
      People people,
      TransactionTemplate transactions) {
    this.rows = rows;
    this.run = run;
    this.keeping = keeping;
    this.times = times;
    this.books = books;
    this.people = people;
    this.transactions = transactions;
  }

  /** Lets all go that are due. */
  @Scheduled(initialDelay = 1, fixedDelay = 1, timeUnit = TimeUnit.SECONDS)
  void runDue() {
    try {
      boolean more = true;
      while (more) {
        int most = AT_ONCE + steadily.failing();
        List<Long> due = rows.listDue(books.now(), most);
        steadily.each(due, this::runOne);
        more = due.size() == most;
      }
    } catch (RuntimeException e) {
      log.warn("Planned texts could not be read; trying again", e);
    }
  }

  private void runOne(long id) {
    rows.find(id)
        .filter(plan -> plan.state() == Planned.State.WAITING)
        .filter(plan -> !plan.dueAt().isAfter(books.now()))
        .ifPresent(plan -> {
          if (stands(plan)) {
            go(plan);
          }
        });
  }

  /**
   * Looks whether a text still goes when it was to go, and lets it go at another time or not at all
   * if not.
   */
  boolean stands(Planned plan) {
    NextTime next = times.nextTime(plan, books.row(new ConversationId(plan.conversation())));
    if (next instanceof NextTime.At at && at.at().equals(plan.dueAt())) {
      return true;
    }
    transactions.executeWithoutResult(status -> {
      if (next instanceof NextTime.At at) {
        keeping.move(plan, at.at());
      } else if (next instanceof NextTime.Off off) {
        keeping.hold(plan, off.why());
      } else {
        keeping.over(plan);
      }
    });
    return false;
  }

  private void go(Planned plan) {
    if (plan.dueAt().plus(LATEST).isBefore(books.now())) {
      hold(plan, "Fabulum was not running at its time, so it would have gone too late.");
      return;
    }
    StaffView writer = people.get(new StaffId(plan.staff()));
    if (!writer.active()) {
      hold(plan, left(writer));
      return;
    }
    try {
      Outcome outcome = run.go(plan, new StaffId(plan.staff()), plan.reasons(), false);
      if (outcome instanceof Outcome.NotNeeded) {
        transactions.executeWithoutResult(status -> keeping.notNeeded(plan));
      } else if (outcome instanceof Outcome.Refused refused) {
        hold(plan, said(refused.why()));
      }
    } catch (Problem problem) {
      hold(plan, why(problem, writer));
    }
  }

  private static String said(List<Objection> why) {
    return why.stream().map(Objection::sentence).collect(Collectors.joining(" "));
  }

  /** Why a text of someone who has left stays here. */
  static String left(StaffView writer) {
    return writer.name() + ", who planned it, has left.";
  }

  private static String why(Problem problem, StaffView writer) {
    return switch (problem.kind()) {
      case NOT_FOUND, NOT_ALLOWED -> writer.name() + " may not text this customer any more.";
      default -> String.valueOf(problem.getMessage());
    };
  }

  void hold(Planned plan, String why) {
    transactions.executeWithoutResult(status -> keeping.hold(plan, why));
  }

  /**
   * Looks at all that wait: the rules of zones change with a new version of Java, the hours of a
   * line at any time.
   */
  @Scheduled(initialDelay = 0, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
  void lookAtAll() {
    long after = 0;
    List<Long> some;
    Instant now = books.now();
    do {
      some = rows.listAllWaiting(after, AT_ONCE);
      for (long id : some) {
        after = id;
        steadily.attempt(
            id,
            one ->
                rows.find(one)
                    .filter(plan -> plan.state() == Planned.State.WAITING)
                    .filter(plan -> plan.dueAt().isAfter(now))
                    .ifPresent(this::stands));
      }
    } while (some.size() == AT_ONCE);
  }
}
