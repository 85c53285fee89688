package fabulum.server.schedule;

import fabulum.core.access.Act;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.customers.CustomerChanged;
import fabulum.server.people.People;
import fabulum.server.people.PeopleChanged;
import fabulum.server.people.StaffView;
import fabulum.server.platform.Steadily;
import fabulum.server.schedule.store.PlannedMapper;
import fabulum.server.sending.OptedOut;
import java.util.List;
import java.util.function.Consumer;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Looks at planned texts when something changes on which they hang. What is missed here, because
 * the program ends at that moment, is found when they are due.
 */
@Component
class PlanChanges {
  static final String OPTED_OUT = "The customer has opted out of texts.";

  private final PlannedMapper rows;
  private final PlanRunner runner;
  private final People people;
  private final Permits permits;
  private final Steadily<Long> steadily = new Steadily<>("A planned text could not be looked at");

  PlanChanges(PlannedMapper rows, PlanRunner runner, People people, Permits permits) {
    this.rows = rows;
    this.runner = runner;
    this.people = people;
    this.permits = permits;
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void optedOut(OptedOut change) {
    Long line = change.line() == null ? null : change.line().value();
    each(rows.listWaitingTo(change.number().value(), line), plan -> runner.hold(plan, OPTED_OUT));
  }

  @TransactionalEventListener(phase = TransactionPhase.AFTER_COMMIT)
  void customerChanged(CustomerChanged change) {
    each(rows.listWaitingForAppointments(change.id().value()), runner::stands);
  }

  @EventListener
  void peopleChanged(PeopleChanged change) {
    for (long id : rows.listWriters()) {
      StaffView writer = people.get(new StaffId(id));
      if (!writer.active()) {
        each(rows.listWaitingOf(id), plan -> runner.hold(plan, PlanRunner.left(writer)));
      } else if (!permits.of(new StaffId(id)).may(Act.TEXT)) {
        String why = writer.name() + " may not text customers any more.";
        each(rows.listWaitingOf(id), plan -> runner.hold(plan, why));
      }
    }
  }

  private void each(List<Long> ids, Consumer<Planned> what) {
    steadily.each(
        ids,
        id -> rows.find(id).filter(plan -> plan.state() == Planned.State.WAITING).ifPresent(what));
  }
}
