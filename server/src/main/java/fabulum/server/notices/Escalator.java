package fabulum.server.notices;

import fabulum.core.access.Act;
import fabulum.core.access.Role;
import fabulum.core.attendance.Presence;
import fabulum.core.conversation.Group;
import fabulum.core.notice.EscalationPoint;
import fabulum.core.notice.Kind;
import fabulum.core.notice.Receivers;
import fabulum.core.notice.Told;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.Conversations;
import fabulum.server.inbox.ConversationView;
import fabulum.server.inbox.Inbox;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LinePromise;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.notices.Telling.Notice;
import fabulum.server.notices.store.EscalationMapper;
import fabulum.server.notices.store.ReachedRow;
import fabulum.server.people.Attendances;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.people.Teams;
import fabulum.server.platform.Steadily;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

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
          new EscalationStep((int) EscalationPoint.SOON.after().toMinutes(), Told.OWNER, null),
          new EscalationStep((int) EscalationPoint.LATE.after().toMinutes(), Told.OWNER, null));

  private final EscalationMapper steps;
  private final Escalations escalations;
  private final Telling telling;
  private final Inbox inbox;
  private final Conversations conversations;
  private final Lines lines;
  private final People people;
  private final Teams teams;
  private final Permits permits;
  private final Attendances attendances;
  private final TransactionTemplate transactions;
  private final Clock clock;
  private final Steadily<Taking> steadily = new Steadily<>("A step could not be told");

  private record Taking(long conversation, EscalationStep step) {}

  Escalator(
      EscalationMapper steps,
      Escalations escalations,
      Telling telling,
      Inbox inbox,
      Conversations conversations,
      Lines lines,
      People people,
      Teams teams,
      Permits permits,
      Attendances attendances,
      TransactionTemplate transactions,
      Clock clock) {
    this.steps = steps;
    this.escalations = escalations;
    this.telling = telling;
    this.inbox = inbox;
    this.conversations = conversations;
    this.lines = lines;
    this.people = people;
    this.teams = teams;
    this.permits = permits;
    this.attendances = attendances;
    this.transactions = transactions;
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
      steadily.attempt(
          new Taking(row.id(), step),
          any -> transactions.executeWithoutResult(status -> take(row, step, always)));
    }
  }

  private void take(ReachedRow row, EscalationStep step, boolean always) {
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
    Receivers.of(meant(step, view), this::presence, who -> telling.sees(who, view))
        .forEach(who -> telling.tell(who, notice));
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

  private Presence presence(long who) {
    return attendances.presence(new StaffId(who));
  }

  private Collection<Long> meant(EscalationStep step, ConversationView view) {
    Long one = step.staffId();
    return switch (step.told()) {
      case OWNER -> view.owner() == null ? List.of() : List.of(view.owner().id());
      case TEAM -> working(teams.get(team(view)).members());
      case LEADS ->
          people.list().stream()
              .filter(staff -> staff.active() && staff.role() == Role.LEAD)
              .map(StaffView::id)
              .toList();
      case PERSON -> one == null ? List.of() : List.of(one);
    };
  }

  private TeamId team(ConversationView view) {
    Long handed = view.teamId();
    return new TeamId(handed == null ? lines.get(new LineId(view.lineId())).teamId() : handed);
  }

  /** Of a whole team those who are in are enough; nobody's cover is told for them. */
  private List<Long> working(List<Long> members) {
    return members.stream()
        .filter(who -> permits.of(new StaffId(who)).may(Act.WORK) && presence(who).in())
        .toList();
  }
}
