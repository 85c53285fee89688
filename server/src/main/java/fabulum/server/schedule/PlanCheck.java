package fabulum.server.schedule;

import fabulum.core.access.Act;
import fabulum.core.sending.Author;
import fabulum.core.sending.SendDecision;
import fabulum.core.sending.SendDecision.Verdict;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.messaging.Messaging;
import fabulum.server.ownership.Eligible;
import fabulum.server.people.People;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.Problem.Kind;
import fabulum.server.schedule.PlanTimes.When;
import fabulum.server.schedule.store.PlannedMapper;
import fabulum.server.sending.Wanted;
import fabulum.server.templates.Fills;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Component;

/** What can be planned, by whom, and what speaks against it ahead of its time. */
@Component
class PlanCheck {
  private static final int LONGEST = 1_600;

  private final PlannedMapper rows;
  private final PlanTimes times;
  private final Messaging messaging;
  private final Fills fills;
  private final Rights rights;
  private final Bookkeeping books;

  PlanCheck(
      PlannedMapper rows,
      PlanTimes times,
      Messaging messaging,
      Fills fills,
      Rights rights,
      Bookkeeping books) {
    this.rows = rows;
    this.times = times;
    this.messaging = messaging;
    this.fills = fills;
    this.rights = rights;
    this.books = books;
  }

  /** Who may plan, change and send what. */
  @Component
  static class Rights {
    private final Permits permits;
    private final People people;
    private final Eligible eligible;

    Rights(Permits permits, People people, Eligible eligible) {
      this.permits = permits;
      this.people = people;
      this.eligible = eligible;
    }

    boolean may(StaffId who, Conversation row) {
      return people.get(who).active()
          && permits.of(who).may(Act.TEXT)
          && eligible.sees(who.value(), row);
    }
  }

  /**
   * What is to be kept.
   *
   * @param words with their placeholders
   * @param filled as they would go now
   * @param at the present moment
   */
  record Checked(String words, String filled, When when, SendDecision decision, Instant at) {}

  /** The words as they are kept. */
  String kept(PlanWanted wanted, Conversation row, StaffId writer) {
    return fills.kept(wanted.words(), wanted.template(), row, writer);
  }

  /** Looks at a text that is to go later, in the name of its writer. */
  Checked look(Conversation row, PlanWanted wanted, StaffId writer) {
    When when = times.when(row, wanted);
    String words = kept(wanted, row, writer);
    if (words.length() > LONGEST) {
      throw Problem.fields(
          List.of(new FieldProblem("words", "At most " + LONGEST + " characters go later.")));
    }
    String filled = fills.fill(words, row, writer);
    Wanted text =
        Wanted.of(filled, new Author.Schedule(writer.value(), true), null).at(when.asked());
    SendDecision decision =
        messaging
            .look(new ConversationId(row.id()), text, wanted.attachments(), null)
            .decided()
            .decision()
            .ahead();
    return new Checked(words, filled, when, decision, books.now());
  }

  /**
   * The same, refused when it could not go.
   *
   * @param kept what is kept then, as a sentence
   */
  Checked require(Conversation row, PlanWanted wanted, StaffId writer, String kept) {
    Checked checked = look(row, wanted, writer);
    List<FieldProblem> against =
        checked.decision().against(wanted.confirmed()).stream()
            .map(each -> new FieldProblem(each.reason().code(), each.sentence()))
            .toList();
    Verdict verdict = checked.decision().verdict(wanted.confirmed());
    if (verdict != Verdict.MAY_GO) {
      throw Problem.reasons(
          verdict == Verdict.MAY_NOT_GO ? Kind.MAY_NOT_BE_SENT : Kind.NEEDS_CONFIRMATION,
          against,
          kept);
    }
    return checked;
  }

  void requireMay(StaffId by) {
    rights.permits.require(by, Act.TEXT);
  }

  /** One that is not over, in a conversation the person sees. */
  Planned present(long id, StaffId asking) {
    Planned plan = rows.find(id).orElseThrow(() -> Problem.notFound("text"));
    if (!rights.eligible.sees(asking.value(), books.row(new ConversationId(plan.conversation())))) {
      throw Problem.notFound("text");
    }
    if (plan.state() == Planned.State.ENDED) {
      throw Problem.conflict(
          Kind.CHANGED_MEANWHILE, "This text has gone in the meantime, or was cancelled.");
    }
    return plan;
  }

  /** Texts of people such as newcomers wait for a look; so they change none of others. */
  void requireMayChange(Planned plan, StaffId by) {
    requireMay(by);
    if (plan.staff() != by.value() && rights.people.needsSecondLook(by)) {
      throw Problem.notAllowed(
          "Your own texts wait for a second look, so you cannot change or send those of others.");
    }
  }

  /** In whose name it goes: its writer's, or of who takes care of it when the writer may not. */
  StaffId writer(Planned plan, Conversation row, StaffId by) {
    StaffId writer = new StaffId(plan.staff());
    return rights.may(writer, row) ? writer : by;
  }
}
