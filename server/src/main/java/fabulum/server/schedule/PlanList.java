package fabulum.server.schedule;

import fabulum.core.schedule.RepeatText;
import fabulum.core.sending.Objection;
import fabulum.core.sending.Reason;
import fabulum.core.sending.Severity;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.Moment.TypedTime;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.schedule.PlanRun.Outcome;
import fabulum.server.schedule.store.PlannedMapper;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** What is planned, as a person sees it, and sending some of it now. */
@Service
public class PlanList {
  private static final int PAGE = 100;
  private static final int MOST_HELD = 500;

  /** Somebody with sight of little must not wait for all that is planned to be read. */
  private static final int MOST_READ = 2_000;

  private final PlannedMapper rows;
  private final PlanViews views;
  private final PlanCheck checks;
  private final PlanTimes times;
  private final PlanRun run;
  private final InSight inSight;
  private final Lines lines;

  PlanList(
      PlannedMapper rows,
      PlanViews views,
      PlanCheck checks,
      PlanTimes times,
      PlanRun run,
      InSight inSight,
      Lines lines) {
    this.rows = rows;
    this.views = views;
    this.checks = checks;
    this.times = times;
    this.run = run;
    this.inSight = inSight;
    this.lines = lines;
  }

  /** What is planned in a conversation, the soonest first. */
  public List<PlannedView> list(ConversationId id, StaffId asking) {
    inSight.row(id, asking);
    return views.of(rows.list(id.value(), Plans.MOST), asking);
  }

  /**
   * What is planned in all conversations that a person sees.
   *
   * @param writer only what goes in this person's name; null for everyone's
   * @param team only in conversations that a team has; null for all
   * @param from where a page begins, as the page before it said; null for the first
   */
  public PlannedPage listAll(
      @Nullable Long writer, @Nullable Long team, @Nullable String from, StaffId asking) {
    Predicate<PlannedView> fits = fits(team);
    List<PlannedView> held =
        from == null
            ? views.of(rows.listHeld(writer, MOST_HELD), asking).stream().filter(fits).toList()
            : List.of();
    Instant afterDue = from == null ? Instant.EPOCH : due(from);
    long afterId = from == null ? 0 : id(from);
    List<PlannedView> waiting = new ArrayList<>();
    int read = 0;
    boolean more = true;
    while (more && waiting.size() < PAGE && read < MOST_READ) {
      List<Planned> some = rows.listWaiting(writer, afterDue, afterId, PAGE);
      more = some.size() == PAGE;
      read += some.size();
      for (Planned last : some) {
        afterDue = last.dueAt();
        afterId = last.id();
      }
      views.of(some, asking).stream().filter(fits).forEach(waiting::add);
    }
    return new PlannedPage(held, waiting, more ? afterDue + " " + afterId : null);
  }

  private Predicate<PlannedView> fits(@Nullable Long team) {
    if (team == null) {
      return view -> true;
    }
    Map<Long, Long> teams =
        lines.list().stream().collect(Collectors.toMap(LineView::id, LineView::teamId));
    return view -> {
      Long handed = view.conversation().teamId();
      Long has = handed == null ? teams.get(view.conversation().lineId()) : handed;
      return team.equals(has);
    };
  }

  private static Instant due(String from) {
    return part(from, 0, Instant::parse);
  }

  private static long id(String from) {
    return part(from, 1, Long::parseLong);
  }

  private static <T> T part(String from, int at, Function<String, T> read) {
    try {
      return read.apply(from.split(" ", 2)[at]);
    } catch (RuntimeException e) {
      throw Problem.fields(List.of(new FieldProblem("from", "That is no page.")));
    }
  }

  /** What is understood of a time that someone types in a conversation. */
  public TypedTime readTime(ConversationId id, String words, StaffId asking) {
    return times.read(inSight.row(id, asking), words);
  }

  /**
   * A text as it would go later.
   *
   * @param words as they would go now; gaps stand in braces
   * @param repeats the rule as a sentence; null for once
   * @param dates the first ones, the soonest first
   * @param zone by whose clocks, IANA name
   * @param theirZone of the clocks where the customer is
   */
  public record Preview(
      String words,
      @Nullable String repeats,
      List<Instant> dates,
      String zone,
      String theirZone,
      List<Objection> objections) {}

  /**
   * Looks at a text that is to go later: when, and what speaks against it ahead of that.
   *
   * @throws Problem with what is wrong with its time
   */
  public Preview preview(ConversationId id, PlanWanted wanted, StaffId asking) {
    Conversation row = inSight.row(id, asking);
    PlanCheck.Checked checked = checks.look(row, wanted, asking);
    PlanTimes.When when = checked.when();
    List<Instant> dates =
        when.series()
            .map(series -> series.after(checked.at(), times.hours(row)).limit(4).toList())
            .orElse(List.of(when.dueAt()));
    String rule = wanted.rule();
    return new Preview(
        checked.filled(),
        rule == null ? null : RepeatText.say(RepeatText.read(rule)),
        dates,
        when.zone().getId(),
        views.theirZone(row, when.zone().getId()),
        checked.decision().objections());
  }

  /**
   * Sends a text now, instead of at its time; a series goes on with the date after that.
   *
   * @param confirmed what is known to speak against it
   */
  public void sendNow(long id, long version, Set<Reason> confirmed, StaffId by) {
    Planned plan = checks.present(id, by);
    PlanKeeping.requireOne(plan.version() == version);
    checks.requireMayChange(plan, by);
    Conversation row = inSight.row(new ConversationId(plan.conversation()), by);
    Set<Reason> known = EnumSet.noneOf(Reason.class);
    known.addAll(plan.reasons());
    known.addAll(confirmed);
    Outcome outcome = run.go(plan, checks.writer(plan, row, by), known, true);
    if (outcome instanceof Outcome.Refused refused) {
      boolean refuses = refused.why().stream().anyMatch(each -> each.severity() == Severity.REFUSE);
      throw Problem.reasons(
          refuses ? Kind.MAY_NOT_BE_SENT : Kind.NEEDS_CONFIRMATION,
          refused.why().stream()
              .map(each -> new FieldProblem(each.reason().code(), each.sentence()))
              .toList(),
          "Nothing was sent; the text stays planned.");
    }
    PlanKeeping.requireOne(outcome instanceof Outcome.Went);
  }
}
