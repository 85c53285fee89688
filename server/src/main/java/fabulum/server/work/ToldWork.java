package fabulum.server.work;

import fabulum.server.customers.Changer;
import fabulum.server.customers.CustomerChanges;
import fabulum.server.customers.CustomerId;
import fabulum.server.work.store.WorkMapper;
import java.time.Clock;
import java.time.Instant;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Appointments and jobs as files and other programs tell them: known again by their outside id, and
 * as these say it, no matter who changed them since. The caller has checked them ({@link
 * Works#problems}).
 */
@Service
public class ToldWork {
  private static final String APPOINTMENT = "appointment";
  private static final String JOB = "job";

  private final WorkMapper rows;
  private final CustomerChanges changes;
  private final Clock clock;

  ToldWork(WorkMapper rows, CustomerChanges changes, Clock clock) {
    this.rows = rows;
    this.changes = changes;
    this.clock = clock;
  }

  /**
   * A job as it is told.
   *
   * @param openedAt null where nothing is said
   * @param closedAt null where nothing is said
   */
  public record ToldJob(
      Job.Wanted wanted, @Nullable Instant openedAt, @Nullable Instant closedAt) {}

  /** An appointment by its id. */
  public Optional<Appointment> findAppointment(long id) {
    return rows.findAppointment(id);
  }

  /** An appointment by how another program names it, or by how our own calendars do. */
  public Optional<Appointment> findAppointment(String outsideId) {
    return rows.findAppointmentByOutsideId(outsideId)
        .or(() -> CalendarFeed.ownId(outsideId).flatMap(rows::findAppointment));
  }

  /** A job by its id. */
  public Optional<Job> findJob(long id) {
    return rows.findJob(id);
  }

  /** A job by how another program names it. */
  public Optional<Job> findJob(String outsideId) {
    return rows.findJobByOutsideId(outsideId);
  }

  /** A customer's only job with a number. */
  public Optional<Job> findJob(CustomerId customer, String number) {
    return rows.listJobsByNumber(number).stream()
        .filter(job -> job.customerId() == customer.value())
        .reduce((first, second) -> first);
  }

  /** Adds an appointment, within a transaction. */
  @Transactional(propagation = Propagation.MANDATORY)
  public long add(
      CustomerId customer, Appointment.Wanted wanted, @Nullable String outsideId, Changer by) {
    long id = rows.insertAppointment(customer.value(), wanted, outsideId, by.staff());
    changes.log(customer, by, APPOINTMENT, null, Works.said(wanted));
    return id;
  }

  /**
   * Changes an appointment, within a transaction.
   *
   * @return false when it is so already, or somebody changes it at the same time
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public boolean change(Appointment before, Appointment.Wanted wanted, Changer by) {
    if (before.wanted().equals(wanted)
        || rows.updateAppointment(before.id(), wanted, before.version()) == 0) {
      return false;
    }
    changes.log(
        new CustomerId(before.customerId()),
        by,
        APPOINTMENT,
        Works.said(before.wanted()),
        Works.said(wanted));
    return true;
  }

  /** Adds a job, within a transaction. */
  @Transactional(propagation = Propagation.MANDATORY)
  public long add(CustomerId customer, ToldJob told, @Nullable String outsideId, Changer by) {
    Job.Wanted wanted = told.wanted();
    Instant opened = Objects.requireNonNullElse(told.openedAt(), clock.instant());
    long id =
        rows.insertJob(
            customer.value(), wanted, outsideId, opened, closedAt(told, null), by.staff());
    changes.log(customer, by, JOB, null, Works.said(wanted));
    return id;
  }

  private @Nullable Instant closedAt(ToldJob told, @Nullable Instant before) {
    if (told.wanted().state() == Job.State.OPEN) {
      return null;
    }
    return Optional.ofNullable(told.closedAt())
        .or(() -> Optional.ofNullable(before))
        .orElseGet(clock::instant);
  }

  /** Whether a job is as it is told. */
  public static boolean isSo(Job before, ToldJob told) {
    return before.wanted().equals(told.wanted())
        && (told.openedAt() == null || told.openedAt().equals(before.openedAt()))
        && (told.closedAt() == null || told.closedAt().equals(before.closedAt()));
  }

  /**
   * Changes a job, within a transaction.
   *
   * @return false when it is so already, or somebody changes it at the same time
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public boolean change(Job before, ToldJob told, Changer by) {
    Instant closed = closedAt(told, before.closedAt());
    if (isSo(before, told)
        || rows.updateJob(before.id(), told.wanted(), closed, before.version()) == 0) {
      return false;
    }
    Instant opened = told.openedAt() == null ? before.openedAt() : told.openedAt();
    rows.setTimes(before.id(), opened, closed);
    changes.log(
        new CustomerId(before.customerId()),
        by,
        JOB,
        Works.said(before.wanted()),
        Works.said(told.wanted()));
    return true;
  }

  /**
   * Lets an appointment be as it was before a change, if it still is as it was after it.
   *
   * @param before null where there was none
   * @return whether it is so now
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public boolean restore(@Nullable Appointment before, Appointment after, Changer by) {
    Optional<Appointment> now =
        rows.findAppointment(after.id()).filter(one -> one.wanted().equals(after.wanted()));
    int changed =
        now.map(one ->
                before == null
                    ? rows.deleteAppointment(one.id(), one.version())
                    : rows.updateAppointment(one.id(), before.wanted(), one.version()))
            .orElse(0);
    if (changed > 0) {
      log(
          after.customerId(),
          by,
          APPOINTMENT,
          Works.said(after.wanted()),
          before == null ? null : Works.said(before.wanted()));
    }
    return changed > 0;
  }

  private void log(long customer, Changer by, String what, String before, @Nullable String after) {
    changes.log(new CustomerId(customer), by, what, before, after);
  }

  /**
   * Lets a job be as it was before a change, if it still is as it was after it.
   *
   * @param before null where there was none
   * @return whether it is so now
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public boolean restore(@Nullable Job before, Job after, Changer by) {
    Optional<Job> now = rows.findJob(after.id()).filter(one -> one.wanted().equals(after.wanted()));
    int changed =
        now.map(one ->
                before == null
                    ? rows.deleteJob(one.id(), one.version())
                    : rows.updateJob(one.id(), before.wanted(), before.closedAt(), one.version()))
            .orElse(0);
    if (before != null && changed > 0) {
      rows.setTimes(before.id(), before.openedAt(), before.closedAt());
    }
    if (changed > 0) {
      log(
          after.customerId(),
          by,
          JOB,
          Works.said(after.wanted()),
          before == null ? null : Works.said(before.wanted()));
    }
    return changed > 0;
  }
}
