package fabulum.server.notices;

import fabulum.core.conversation.Group;
import fabulum.core.notice.Kind;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.inbox.ConversationView;
import fabulum.server.inbox.Inbox;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.notices.Telling.Notice;
import fabulum.server.notices.store.EscalationMapper;
import fabulum.server.notices.store.ReachedRow;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Tells of a step that a wait has reached, and writes down that it was told. */
@Component
class EscalationTelling {
  private final EscalationMapper steps;
  private final Telling telling;
  private final WhoIsTold whoIsTold;
  private final Inbox inbox;
  private final Conversations conversations;
  private final Lines lines;
  private final TransactionTemplate transactions;

  EscalationTelling(
      EscalationMapper steps,
      Telling telling,
      WhoIsTold whoIsTold,
      Inbox inbox,
      Conversations conversations,
      Lines lines,
      TransactionTemplate transactions) {
    this.steps = steps;
    this.telling = telling;
    this.whoIsTold = whoIsTold;
    this.inbox = inbox;
    this.conversations = conversations;
    this.lines = lines;
    this.transactions = transactions;
  }

  /**
   * Tells of a step in one transaction, once for each wait.
   *
   * @param always whether it stands in the list of those who are told whatever they chose
   */
  void take(ReachedRow row, EscalationStep step, boolean always) {
    transactions.executeWithoutResult(status -> tell(row, step, always));
  }

  private void tell(ReachedRow row, EscalationStep step, boolean always) {
    ConversationId id = new ConversationId(row.id());
    if (!conversations.hold(id) || steps.isTaken(row.id(), row.since(), step.key())) {
      return;
    }
    Optional<ConversationView> still =
        inbox
            .find(id)
            .filter(view -> view.group() == Group.OUR_TURN && view.since().equals(row.since()));
    if (still.isEmpty()) {
      return;
    }
    steps.take(row.id(), row.since(), step.key());
    ConversationView view = still.get();
    Notice notice = notice(view, step, always);
    whoIsTold.of(meant(step, view), view).forEach(who -> telling.tell(who, notice));
  }

  private Notice notice(ConversationView view, EscalationStep step, boolean always) {
    boolean late = view.secondsLeft() != null && view.secondsLeft() <= 0;
    String words = late ? "It was due " + told(view) : "It is due " + told(view);
    // What is late already is told as late, by all the steps before that together.
    int after = late ? Math.max(0, step.afterMinutes()) : step.afterMinutes();
    String about = "step " + after + " of " + view.since();
    return new Notice(
        late ? Kind.LATE : Kind.SOON, view, about, words + ". " + whose(view), always);
  }

  /** When it is due, in the zone of its line. */
  private String told(ConversationView view) {
    ZoneId zone = ZoneId.of(lines.get(new LineId(view.lineId())).zone());
    return view.dueAt() == null
        ? ""
        : DateTimeFormatter.ofPattern("EEE d MMM HH:mm", Locale.ENGLISH)
            .format(view.dueAt().atZone(zone));
  }

  private static String whose(ConversationView view) {
    return view.owner() == null ? "Nobody owns it." : view.owner().name() + " has it.";
  }

  private Collection<Long> meant(EscalationStep step, ConversationView view) {
    Long one = step.staffId();
    return switch (step.told()) {
      case OWNER -> view.owner() == null ? List.of() : List.of(view.owner().id());
      case TEAM -> whoIsTold.atWork(view.teamId(), new LineId(view.lineId()));
      case LEADS -> whoIsTold.leads();
      case PERSON -> one == null ? List.of() : List.of(one);
    };
  }
}
