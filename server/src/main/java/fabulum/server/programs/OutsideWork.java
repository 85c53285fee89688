package fabulum.server.programs;

import fabulum.core.text.OneLine;
import fabulum.server.customers.Changer;
import fabulum.server.customers.CustomerFile;
import fabulum.server.customers.CustomerFiles;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.ToldCustomers;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.RaceRetry;
import fabulum.server.work.Appointment;
import fabulum.server.work.Job;
import fabulum.server.work.ToldWork;
import fabulum.server.work.ToldWork.ToldJob;
import fabulum.server.work.Works;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Appointments and jobs as other programs read, make and change them. */
@Service
public class OutsideWork {
  private static final int LONGEST_ID = 255;

  private final ToldWork told;
  private final Works works;
  private final ToldCustomers customers;
  private final CustomerFiles files;
  private final TransactionTemplate transactions;

  OutsideWork(
      ToldWork told,
      Works works,
      ToldCustomers customers,
      CustomerFiles files,
      TransactionTemplate transactions) {
    this.told = told;
    this.works = works;
    this.customers = customers;
    this.files = files;
    this.transactions = transactions;
  }

  /**
   * An appointment. Told of one that is there: what is null stays.
   *
   * @param outsideId how the other program names it; null of one that was made here
   * @param customer how the other program names the customer; null of one it does not know
   */
  public record OutsideAppointment(
      @Nullable String outsideId,
      @Nullable String customer,
      @Nullable String what,
      @Nullable Instant startsAt,
      @Nullable Instant endsAt,
      @Nullable String place,
      Appointment.@Nullable State state) {}

  /**
   * A job. Told of one that is there: what is null stays.
   *
   * @param outsideId how the other program names it; null of one that was made here
   * @param customer how the other program names the customer; null of one it does not know
   * @param standing how far it is, in a few words
   */
  public record OutsideJob(
      @Nullable String outsideId,
      @Nullable String customer,
      @Nullable String number,
      @Nullable String what,
      @Nullable String standing,
      Job.@Nullable State state,
      @Nullable String place,
      @Nullable Instant openedAt,
      @Nullable Instant closedAt) {}

  /** An appointment by how the other program names it. */
  public OutsideAppointment getAppointment(String outsideId, Program asking) {
    Programs.require(asking, ProgramRight.READ_APPOINTMENTS);
    return told.findAppointment(outsideId)
        .map(this::view)
        .orElseThrow(() -> Problem.notFound("appointment"));
  }

  /** Those of a customer, those to come first. */
  public List<OutsideAppointment> listAppointments(String customer, Program asking) {
    Programs.require(asking, ProgramRight.READ_APPOINTMENTS);
    return works.of(customer(customer)).appointments().stream().map(this::view).toList();
  }

  private CustomerId customer(String outsideId) {
    return customers.find(outsideId).orElseThrow(() -> Problem.notFound("customer"));
  }

  private OutsideAppointment view(Appointment one) {
    return new OutsideAppointment(
        one.outsideId(),
        nameOf(one.customerId()),
        one.what(),
        one.startsAt(),
        one.endsAt(),
        one.place(),
        one.state());
  }

  private @Nullable String nameOf(long customer) {
    return files.find(new CustomerId(customer)).map(CustomerFile::outsideId).orElse(null);
  }

  /**
   * Makes an appointment, or changes it.
   *
   * @return whether there was none before
   */
  public boolean put(String outsideId, OutsideAppointment wanted, Program by) {
    Programs.require(by, ProgramRight.CHANGE_APPOINTMENTS);
    return run(() -> {
      Optional<Appointment> there = told.findAppointment(outsideId);
      List<FieldProblem> bad = new ArrayList<>(ids(outsideId));
      Optional<CustomerId> customer =
          whose(there.map(Appointment::customerId), wanted.customer(), bad);
      Instant starts =
          wanted.startsAt() == null
              ? there.map(Appointment::startsAt).orElse(Instant.EPOCH)
              : wanted.startsAt();
      if (there.isEmpty() && wanted.startsAt() == null) {
        bad.add(new FieldProblem("startsAt", "When does it start?"));
      }
      Instant ends =
          wanted.endsAt() == null ? there.map(Appointment::endsAt).orElse(null) : wanted.endsAt();
      Appointment.Wanted now =
          new Appointment.Wanted(
              orElse(wanted.what(), there.map(Appointment::what)),
              starts,
              ends,
              orElse(wanted.place(), there.map(Appointment::place)),
              wanted.state() == null
                  ? there.map(Appointment::state).orElse(Appointment.State.AGREED)
                  : wanted.state(),
              there.map(Appointment::conversationId).orElse(null));
      bad.addAll(Works.problems(now));
      refuse(bad);
      Changer changer = Changer.program(by.id());
      there.ifPresentOrElse(
          before -> told.change(before, now, changer),
          () -> told.add(customer.orElseThrow(), now, outsideId, changer));
      return there.isEmpty();
    });
  }

  private boolean run(Supplier<Boolean> work) {
    return RaceRetry.run(() -> Objects.requireNonNull(transactions.execute(status -> work.get())));
  }

  private static String orElse(@Nullable String told, Optional<String> before) {
    return told == null ? before.orElse("") : told;
  }

  private static List<FieldProblem> ids(String outsideId) {
    return outsideId.isBlank() || outsideId.length() > LONGEST_ID || !OneLine.is(outsideId)
        ? List.of(new FieldProblem("outsideId", "An outside id has 1 to 255 characters."))
        : List.of();
  }

  /** The customer it is for; that of one that is there stays. */
  private Optional<CustomerId> whose(
      Optional<Long> before, @Nullable String named, List<FieldProblem> bad) {
    Optional<CustomerId> found = Optional.ofNullable(named).flatMap(customers::find);
    if (before.isEmpty() && named == null) {
      bad.add(new FieldProblem("customer", "For which customer?"));
    } else if (named != null && found.isEmpty()) {
      bad.add(new FieldProblem("customer", "There is no customer “" + named + "”."));
    } else if (before.isPresent() && found.isPresent() && found.get().value() != before.get()) {
      bad.add(new FieldProblem("customer", "It is for another customer, and that stays."));
    }
    return before.map(CustomerId::new).or(() -> found);
  }

  private static void refuse(List<FieldProblem> bad) {
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
  }

  /** A job by how the other program names it. */
  public OutsideJob getJob(String outsideId, Program asking) {
    Programs.require(asking, ProgramRight.READ_JOBS);
    return told.findJob(outsideId).map(this::view).orElseThrow(() -> Problem.notFound("job"));
  }

  /** Those of a customer, open ones first. */
  public List<OutsideJob> listJobs(String customer, Program asking) {
    Programs.require(asking, ProgramRight.READ_JOBS);
    return works.of(customer(customer)).jobs().stream().map(this::view).toList();
  }

  private OutsideJob view(Job one) {
    return new OutsideJob(
        one.outsideId(),
        nameOf(one.customerId()),
        one.number(),
        one.what(),
        one.standing(),
        one.state(),
        one.place(),
        one.openedAt(),
        one.closedAt());
  }

  /**
   * Makes a job, or changes it.
   *
   * @return whether there was none before
   */
  public boolean put(String outsideId, OutsideJob wanted, Program by) {
    Programs.require(by, ProgramRight.CHANGE_JOBS);
    return run(() -> {
      Optional<Job> there = told.findJob(outsideId);
      List<FieldProblem> bad = new ArrayList<>(ids(outsideId));
      Optional<CustomerId> customer = whose(there.map(Job::customerId), wanted.customer(), bad);
      Job.Wanted now =
          new Job.Wanted(
              orElse(wanted.number(), there.map(Job::number)),
              orElse(wanted.what(), there.map(Job::what)),
              orElse(wanted.standing(), there.map(Job::standing)),
              wanted.state() == null
                  ? there.map(Job::state).orElse(Job.State.OPEN)
                  : wanted.state(),
              orElse(wanted.place(), there.map(Job::place)),
              there.map(Job::conversationId).orElse(null));
      bad.addAll(Works.problems(now));
      refuse(bad);
      ToldJob job = new ToldJob(now, wanted.openedAt(), wanted.closedAt());
      Changer changer = Changer.program(by.id());
      there.ifPresentOrElse(
          before -> told.change(before, job, changer),
          () -> told.add(customer.orElseThrow(), job, outsideId, changer));
      return there.isEmpty();
    });
  }
}
