package fabulum.demo;

import fabulum.core.schedule.WhenClosed;
import fabulum.core.sending.Reason;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.platform.Problem;
import fabulum.server.schedule.PlanList;
import fabulum.server.schedule.PlanWanted;
import fabulum.server.schedule.Plans;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.LongConsumer;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;

/** Texts that staff planned: reminders, an invoice each month, one that cannot go as it is. */
final class DemoPlans {
  private static final StaffId MAREN = new StaffId(1);
  private static final StaffId PRIYA = new StaffId(3);
  private static final StaffId ELI = new StaffId(4);
  private static final StaffId SAMIR = new StaffId(7);
  private static final Set<Reason> ALL = EnumSet.allOf(Reason.class);
  private static final String TYPED = "the day before the appointment at 10:00";

  private static final String WITH_APPOINTMENT =
      "select min(c.id) from conversation c join appointment a on a.customer_id = c.customer_id"
          + " where a.state = 'AGREED' and c.box in ('THEIR_TURN', 'DONE') and a.starts_at > ?"
          + " and a.starts_at < ? group by a.id, a.starts_at order by a.starts_at, a.id";
  private static final String OF_BOX =
      "select c.id from conversation c join line l on l.id = c.line_id where c.customer_id is not"
          + " null and c.box = ? and l.name like ? order by c.last_at desc, c.id";

  private final Plans plans;
  private final PlanList list;
  private final JdbcTemplate tables;

  DemoPlans(Plans plans, PlanList list, JdbcTemplate tables) {
    this.plans = plans;
    this.list = list;
    this.tables = tables;
  }

  void write(Instant now) {
    reminders(now);
    Instant morning = now.truncatedTo(ChronoUnit.HOURS).plus(Duration.ofHours(20));
    first(
        OF_BOX,
        List.of("DONE", "Storage%"),
        id ->
            plan(
                id,
                "Hi {customer: first name | there}, this month's storage invoice is in the post today."
                    + " Just answer here if anything looks wrong.",
                morning,
                null,
                "FREQ=MONTHLY;BYMONTHDAY=-1",
                MAREN));
    first(
        OF_BOX,
        List.of("THEIR_TURN", "Yard%"),
        id ->
            plan(
                id,
                "Just checking that our last text reached you. Shall we keep the slot for you?",
                morning.plus(Duration.ofHours(24)),
                null,
                null,
                SAMIR));
    first(
        OF_BOX,
        List.of("DONE", "Yard%"),
        id -> {
          if (hasAppointment(id)) {
            throw Problem.notFound("one without an appointment");
          }
          plan(
              id,
              "Your next visit is {appointment: when}. See you then!",
              now.plusSeconds(5),
              null,
              null,
              ELI);
        });
  }

  private void reminders(Instant now) {
    Object[] soon = {at(now.plus(Duration.ofDays(2))), at(now.plus(Duration.ofDays(12)))};
    List<Long> some = tables.queryForList(WITH_APPOINTMENT, Long.class, soon);
    some.stream()
        .distinct()
        .limit(2)
        .forEach(id -> {
          Instant then = list.readTime(new ConversationId(id), TYPED, PRIYA).at();
          if (then != null) {
            plan(
                id,
                "Hi {customer: first name | there}, a reminder: {appointment: what},"
                    + " {appointment: when}. Can you still make it?",
                then,
                TYPED,
                null,
                PRIYA);
          }
        });
  }

  private static OffsetDateTime at(Instant time) {
    return time.atOffset(ZoneOffset.UTC);
  }

  private boolean hasAppointment(long conversation) {
    return Boolean.TRUE.equals(
        tables.queryForObject(
            "select exists (select 1 from conversation c join appointment a on a.customer_id ="
                + " c.customer_id where c.id = ?)",
            Boolean.class,
            conversation));
  }

  /** In the first conversation in which it can be planned. */
  private void first(String query, List<String> given, LongConsumer what) {
    for (long id : tables.queryForList(query, Long.class, given.toArray())) {
      try {
        what.accept(id);
        return;
      } catch (Problem notHere) {
        // The next one, then.
      }
    }
  }

  private void plan(
      long conversation,
      String words,
      Instant at,
      @Nullable String typed,
      @Nullable String rule,
      StaffId by) {
    PlanWanted wanted =
        new PlanWanted(
            words,
            null,
            List.of(),
            at,
            typed,
            rule,
            rule == null ? WhenClosed.SEND : WhenClosed.NEXT_OPEN_DAY,
            typed == null && rule == null,
            typed != null,
            ALL);
    plans.add(new ConversationId(conversation), "demo-planned-" + conversation, wanted, by);
  }
}
