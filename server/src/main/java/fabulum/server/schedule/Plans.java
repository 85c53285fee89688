package fabulum.server.schedule;

import fabulum.server.access.StaffId;
import fabulum.server.attachments.Attachments;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EventKind;
import fabulum.server.conversations.InSight;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.schedule.PlanTimes.When;
import fabulum.server.schedule.store.PlannedMapper;
import fabulum.server.writing.Draft;
import fabulum.server.writing.Drafts;
import fabulum.server.writing.Paper;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Texts that go later, as people plan, change and leave them. */
@Service
public class Plans {
  /** In one conversation. */
  static final int MOST = 50;

  private static final String KEPT = "Nothing was planned; your words are kept.";

  private final PlannedMapper rows;
  private final PlanKeeping keeping;
  private final PlanCheck checks;
  private final InSight inSight;
  private final Attachments attachments;
  private final Drafts drafts;

  Plans(
      PlannedMapper rows,
      PlanKeeping keeping,
      PlanCheck checks,
      InSight inSight,
      Attachments attachments,
      Drafts drafts) {
    this.rows = rows;
    this.keeping = keeping;
    this.checks = checks;
    this.inSight = inSight;
    this.attachments = attachments;
    this.drafts = drafts;
  }

  /**
   * Plans a text. Planning again under the same reference plans nothing more.
   *
   * @param reference made by the caller, once for it
   * @return its id
   */
  @Transactional
  public long add(ConversationId id, String reference, PlanWanted wanted, StaffId by) {
    Conversation row = inSight.lock(id, by);
    checks.requireMay(by);
    var known = rows.findByReference(reference);
    if (known.isPresent()) {
      requireSame(known.get(), row, wanted, by);
      return known.get().id();
    }
    if (rows.list(id.value(), MOST).size() >= MOST) {
      throw Problem.fields(
          List.of(
              new FieldProblem(
                  "at", "There are " + MOST + " texts planned here already. " + KEPT)));
    }
    PlanCheck.Checked checked = checks.require(row, wanted, by, KEPT);
    long plan = rows.insert(planned(0, row, reference, wanted, checked, by, 0));
    attachments.planWith(plan, by, wanted.attachments());
    drafts.discard(id, Paper.REPLY, by);
    keeping.tell(row, EventKind.PLANNED, by, checked.when().dueAt().toString());
    return plan;
  }

  private void requireSame(Planned known, Conversation row, PlanWanted wanted, StaffId by) {
    boolean over = known.state() == Planned.State.ENDED;
    boolean same = over || known.words().equals(checks.kept(wanted, row, by));
    if (known.conversation() != row.id() || !same) {
      throw Problem.conflict(
          Kind.SENT_WITH_OTHER_WORDS,
          "An earlier try was planned with other words. These words are kept: change the planned"
              + " text, or plan these as well.");
    }
  }

  private Planned planned(
      long id,
      Conversation row,
      String reference,
      PlanWanted wanted,
      PlanCheck.Checked checked,
      StaffId writer,
      long version) {
    When when = checked.when();
    return new Planned(
        id,
        row.id(),
        writer.value(),
        checked.words(),
        reference,
        wanted.template(),
        when.firstAt(),
        when.zone().getId(),
        when.typed(),
        when.appointment(),
        wanted.rule(),
        wanted.whenClosed(),
        wanted.unlessWritten(),
        wanted.comesToMe(),
        Planned.codes(wanted.confirmed()),
        checked.at(),
        0,
        checked.at(),
        Planned.State.WAITING,
        when.dueAt(),
        0,
        null,
        null,
        version);
  }

  /**
   * Changes a text that waits or is held. It stays in its writer's name as long as they can text
   * this customer; then it is in the name of who changes it.
   *
   * @param version from which it was changed
   */
  @Transactional
  public void change(long id, long version, PlanWanted wanted, StaffId by) {
    Planned plan = checks.present(id, by);
    checks.requireMayChange(plan, by);
    Conversation row = inSight.lock(new ConversationId(plan.conversation()), by);
    StaffId writer = checks.writer(plan, row, by);
    String kept = "It stays as it was.";
    PlanCheck.Checked checked = checks.require(row, wanted, writer, kept);
    PlanKeeping.requireOne(
        rows.change(planned(id, row, plan.reference(), wanted, checked, writer, version)) == 1);
    keeping.tell(row, EventKind.PLAN_CHANGED, by, checked.when().dueAt().toString());
  }

  /** Leaves out the next date of a text that repeats. */
  @Transactional
  public void skip(long id, long version, StaffId by) {
    Planned plan = held(id, version, by);
    if (plan.rule() == null) {
      throw Problem.conflict(Kind.ENDED, "It goes only once. Cancel it instead.");
    }
    keeping.skip(plan, inSight.lock(new ConversationId(plan.conversation()), by), by);
  }

  /** Ends it; the words of a person's own text are their draft again. */
  @Transactional
  public void cancel(long id, long version, StaffId by) {
    Planned plan = held(id, version, by);
    Conversation row = inSight.lock(new ConversationId(plan.conversation()), by);
    if (plan.staff() == by.value() && plan.rule() == null) {
      attachments.takeFromPlanned(id, by);
      if (!plan.words().isBlank()) {
        drafts.giveBack(
            new ConversationId(row.id()),
            new Draft(Paper.REPLY, plan.words(), null, null, null, plan.template(), null),
            by);
      }
    }
    keeping.cancel(plan, row, by);
  }

  private Planned held(long id, long version, StaffId by) {
    Planned plan = checks.present(id, by);
    PlanKeeping.requireOne(plan.version() == version);
    return plan;
  }
}
