package fabulum.server.notices;

import fabulum.core.notice.Alerted;
import fabulum.core.notice.EscalationPoint;
import fabulum.server.access.TeamId;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LinePromise;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.notices.store.EscalationMapper;
import fabulum.server.notices.store.ReachedRow;
import fabulum.server.platform.Steadily;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Tells people when an answer reaches an escalation step of its line. That a wait has taken a step
 * is written down in the transaction that tells of it, so each step is told of once, whatever
 * happens between. Owners are told when something of theirs nears its promise and when it is late;
 * the escalation says who else is.
 */
@Component
class Escalator {
  private static final Logger log = LoggerFactory.getLogger(Escalator.class);
  private static final int AT_ONCE = 200;
  private static final Duration LONG_LATE = Duration.ofDays(60);

  /** What every owner is told of, as far as they chose to be. */
  private static final List<EscalationStep> OWN =
      List.of(
          new EscalationStep((int) EscalationPoint.SOON.after().toMinutes(), Alerted.OWNER, null),
          new EscalationStep((int) EscalationPoint.LATE.after().toMinutes(), Alerted.OWNER, null));

  private final EscalationMapper steps;
  private final Escalations escalations;
  private final EscalationTelling telling;
  private final Lines lines;
  private final Clock clock;
  private final Steadily<Taking> steadily = new Steadily<>("A step could not be told");

  private record Taking(long conversation, EscalationStep step) {}

  Escalator(
      EscalationMapper steps,
      Escalations escalations,
      EscalationTelling telling,
      Lines lines,
      Clock clock) {
    this.steps = steps;
    this.escalations = escalations;
    this.telling = telling;
    this.lines = lines;
    this.clock = clock;
  }

  @Scheduled(initialDelay = 2, fixedDelay = 2, timeUnit = TimeUnit.SECONDS)
  void walk() {
    for (LineView line : lines.list()) {
      try {
        walk(line);
      } catch (RuntimeException e) {
        log.warn("The escalation of a line could not be checked; trying again", e);
      }
    }
  }

  private void walk(LineView line) {
    LineId id = new LineId(line.id());
    LinePromise promise = lines.promise(id);
    List<EscalationStep> standing = escalations.standing(id, new TeamId(line.teamId()));
    List<EscalationStep> all = new ArrayList<>(standing);
    OWN.stream().filter(step -> !standing.contains(step)).forEach(all::add);
    Instant now = clock.instant();
    for (EscalationStep step : all) {
      boolean always = standing.contains(step);
      new EscalationPoint(Duration.ofMinutes(step.afterMinutes()))
          .reachedBy(now, promise.hours())
          .ifPresent(due -> takeAll(id, step, due, always));
    }
  }

  private void takeAll(LineId line, EscalationStep step, Instant due, boolean always) {
    List<ReachedRow> reached =
        steps.listReached(
            line.value(), due.minus(LONG_LATE), due, step.key(), AT_ONCE + steadily.failing());
    for (ReachedRow row : reached) {
      steadily.attempt(new Taking(row.id(), step), any -> telling.take(row, step, always));
    }
  }
}
