package fabulum.server.notices;

import fabulum.core.conversation.Group;
import fabulum.core.notice.Kind;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.inbox.ConversationView;
import fabulum.server.inbox.Inbox;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.notices.store.EscalationMapper;
import fabulum.server.notices.store.ReachedRow;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Steadily;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Alerts a person when a conversation to identify has waited too long. That it was told is written
 * down in the transaction that tells it, so each wait is told of once.
 */
@Service
public class IdentifyAlerts {
  private static final String STEP = "to identify";
  private static final int AT_ONCE = 500;
  private static final int LONGEST = 2_400;

  private final EscalationMapper rows;
  private final Telling telling;
  private final WhoIsTold whoIsTold;
  private final Inbox inbox;
  private final Conversations conversations;
  private final Lines lines;
  private final Ticking ticking;
  private final Steadily<Long> steadily = new Steadily<>("An alert could not be given");

  IdentifyAlerts(
      EscalationMapper rows,
      Telling telling,
      WhoIsTold whoIsTold,
      Inbox inbox,
      Conversations conversations,
      Lines lines,
      Ticking ticking) {
    this.rows = rows;
    this.telling = telling;
    this.whoIsTold = whoIsTold;
    this.inbox = inbox;
    this.conversations = conversations;
    this.lines = lines;
    this.ticking = ticking;
  }

  /** The time, and transactions in it. */
  @Component
  record Ticking(Clock clock, TransactionTemplate transactions) {}

  /** Who is alerted, and when. */
  public IdentifyAlert get() {
    return rows.getIdentifyAlert();
  }

  /** Alerts another person, or at another time; within a transaction. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void set(IdentifyAlert wanted) {
    if (wanted.afterMinutes() < 1 || wanted.afterMinutes() > LONGEST) {
      throw Problem.fields(
          List.of(new FieldProblem("afterMinutes", "From 1 to 2,400 working minutes.")));
    }
    rows.setIdentifyAlert(wanted);
  }

  @Scheduled(initialDelay = 3, fixedDelay = 3, timeUnit = TimeUnit.SECONDS)
  void walk() {
    IdentifyAlert alert = get();
    Long who = alert.staffId();
    if (who != null) {
      lines.list().forEach(line -> walk(line, alert, who));
    }
  }

  private void walk(LineView line, IdentifyAlert alert, long who) {
    Duration limit = Duration.ofMinutes(alert.afterMinutes());
    for (ReachedRow row : rows.listToIdentify(line.id(), STEP, AT_ONCE + steadily.failing())) {
      Duration waited =
          lines
              .promise(new LineId(line.id()))
              .hours()
              .between(row.since(), ticking.clock().instant());
      if (waited.compareTo(limit) >= 0) {
        steadily.attempt(row.id(), any -> tell(row, alert, who));
      }
    }
  }

  private void tell(ReachedRow row, IdentifyAlert alert, long who) {
    ticking
        .transactions()
        .executeWithoutResult(status -> {
          ConversationId id = new ConversationId(row.id());
          if (!conversations.hold(id) || rows.isTaken(row.id(), row.since(), STEP)) {
            return;
          }
          Optional<ConversationView> still =
              inbox
                  .find(id)
                  .filter(view -> view.group() == Group.OUR_TURN && view.toIdentify())
                  .filter(view -> view.since().equals(row.since()));
          if (still.isEmpty()) {
            return;
          }
          rows.take(row.id(), row.since(), STEP);
          ConversationView view = still.get();
          String words =
              "Nobody has said who it is for "
                  + alert.afterMinutes()
                  + " working minutes. “"
                  + view.lastWords()
                  + "”";
          Telling.Notice notice =
              new Telling.Notice(Kind.TO_IDENTIFY, view, "to identify " + row.since(), words, true);
          whoIsTold.of(List.of(who), view).forEach(one -> telling.tell(one, notice));
        });
  }
}
