package fabulum.server.schedule;

import fabulum.server.access.StaffId;
import fabulum.server.attachments.AttachmentRemoval;
import fabulum.server.conversations.Bookkeeping;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.EventKind;
import fabulum.server.platform.Problem;
import fabulum.server.schedule.store.PlannedMapper;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/**
 * What becomes of planned texts besides that they go. Each is done in a transaction that holds the
 * conversation; of two who do something with a text only the first does it.
 */
@Component
class PlanKeeping {
  private static final int LONGEST_WHY = 1_000;

  private final PlannedMapper rows;
  private final PlanTimes times;
  private final AttachmentRemoval attachments;
  private final Bookkeeping books;
  private final ApplicationEventPublisher events;

  PlanKeeping(
      PlannedMapper rows,
      PlanTimes times,
      AttachmentRemoval attachments,
      Bookkeeping books,
      ApplicationEventPublisher events) {
    this.rows = rows;
    this.times = times;
    this.attachments = attachments;
    this.books = books;
    this.events = events;
  }

  /** Holds a text back until a person acts. */
  void hold(Planned plan, String why) {
    Conversation row = books.lock(new ConversationId(plan.conversation()));
    String said = why.length() > LONGEST_WHY ? why.substring(0, LONGEST_WHY) : why;
    if (rows.hold(plan.id(), plan.version(), said) == 1) {
      tell(row, EventKind.PLAN_HELD, null, said);
      events.publishEvent(
          new PlanHeld(plan.id(), new ConversationId(row.id()), plan.staff(), said));
    }
  }

  /** It goes at another time, because what its time hangs on has changed. */
  void move(Planned plan, Instant to) {
    Conversation row = books.lock(new ConversationId(plan.conversation()));
    if (rows.moveDue(plan.id(), plan.version(), to) == 1) {
      tell(row, EventKind.PLAN_CHANGED, null, to.toString());
    }
  }

  /** The customer wrote before its time, so this once it stays here. */
  void notNeeded(Planned plan) {
    Conversation row = books.lock(new ConversationId(plan.conversation()));
    if (next(plan, row, 0)) {
      tell(row, EventKind.PLAN_NOT_NEEDED, null, said(plan));
    }
  }

  /** No date of it is left. */
  void over(Planned plan) {
    Conversation row = books.lock(new ConversationId(plan.conversation()));
    if (end(plan, 0)) {
      books.changed(row.id(), List.of());
    }
  }

  /** Leaves out the next date of a series. */
  void skip(Planned plan, Conversation row, StaffId by) {
    requireOne(next(plan, row, 0));
    tell(row, EventKind.PLAN_SKIPPED, by, plan.dueAt().toString());
  }

  /** Ends it before it went. */
  void cancel(Planned plan, Conversation row, StaffId by) {
    requireOne(end(plan, 0));
    tell(row, EventKind.PLAN_CANCELLED, by, said(plan));
  }

  /**
   * It went, or was left out: a series has its next date, all else is over.
   *
   * @param went 1 when it went
   * @return whether nobody else was first
   */
  boolean next(Planned plan, Conversation row, int went) {
    Instant now = books.now();
    // What was missed while nothing ran is not made up for, or a customer would get it all at once.
    Instant from = plan.dueAt().isAfter(now) ? plan.dueAt() : now;
    Optional<Instant> next = times.next(plan, row, from);
    return next.isPresent() ? rows.advance(plan, next.get(), from, went) == 1 : end(plan, went);
  }

  private boolean end(Planned plan, int went) {
    boolean ended = rows.end(plan.id(), plan.version(), went, books.now()) == 1;
    if (ended) {
      events.publishEvent(attachments.forgetPlanned(plan.id()));
    }
    return ended;
  }

  private static String said(Planned plan) {
    return plan.dueAt() + " " + plan.words();
  }

  static void requireOne(boolean changed) {
    if (!changed) {
      throw Problem.conflict(
          Problem.Kind.CHANGED_MEANWHILE,
          "This text has just gone, or a colleague has changed it. Nothing was done; please look"
              + " again.");
    }
  }

  void tell(Conversation row, EventKind kind, @Nullable StaffId by, @Nullable String words) {
    books.changed(row.id(), List.of(books.event(row, kind, by, words)));
  }
}
