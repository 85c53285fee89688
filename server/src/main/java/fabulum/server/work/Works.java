package fabulum.server.work;

import fabulum.core.access.Act;
import fabulum.core.text.OneLine;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.conversations.InSight;
import fabulum.server.conversations.Moment;
import fabulum.server.customers.CustomerChanges;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Customers;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.work.store.WorkMapper;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Appointments and jobs, as people make and change them. */
@Service
public class Works {
  private static final int LONGEST_WHAT = 160;
  private static final int LONGEST_JOB = 200;
  private static final int LONGEST_NUMBER = 40;
  private static final int LONGEST_STANDING = 120;
  private static final int LONGEST_PLACE = 160;
  private static final Duration LONGEST_APPOINTMENT = Duration.ofDays(60);

  private final WorkMapper rows;
  private final Customers customers;
  private final CustomerChanges changes;
  private final InSight inSight;
  private final Permits permits;
  private final Lines lines;
  private final Clock clock;

  Works(
      WorkMapper rows,
      Customers customers,
      CustomerChanges changes,
      InSight inSight,
      Permits permits,
      Lines lines,
      Clock clock) {
    this.rows = rows;
    this.customers = customers;
    this.changes = changes;
    this.inSight = inSight;
    this.permits = permits;
    this.lines = lines;
    this.clock = clock;
  }

  /**
   * What is understood of a time as people type it, by the clocks and hours of the business.
   *
   * @see Moment.TypedTime
   */
  public Moment.TypedTime readTime(String words) {
    return lines.list().stream()
        .filter(LineView::inUse)
        .findFirst()
        .map(line ->
            Moment.TypedTime.read(
                words, lines.promise(new LineId(line.id())).hours(), clock.instant()))
        .orElseThrow(() -> Problem.notFound("line"));
  }

  /** What is agreed with a customer and what goes on for them. */
  public CustomerWork of(CustomerId customer) {
    Instant now = clock.instant();
    List<Appointment> all = rows.listAppointments(customer.value());
    List<Appointment> ordered =
        new ArrayList<>(all.stream().filter(one -> !one.startsAt().isBefore(now)).toList());
    all.stream()
        .filter(one -> one.startsAt().isBefore(now))
        .sorted(Comparator.comparing(Appointment::startsAt).reversed())
        .forEach(ordered::add);
    return new CustomerWork(ordered, rows.listJobs(customer.value()));
  }

  /** Agrees on something. */
  @Transactional
  public long add(CustomerId customer, Appointment.Wanted wanted, StaffId by) {
    require(customer, wanted.conversationId(), by);
    refuse(problems(wanted));
    long id = rows.insertAppointment(customer.value(), wanted, null, by.value());
    changes.log(customer, Optional.of(by), "appointment", null, said(wanted));
    return id;
  }

  /**
   * Changes an appointment.
   *
   * @param seen the version it was changed from
   */
  @Transactional
  public void change(long id, Appointment.Wanted wanted, long seen, StaffId by) {
    permits.require(by, Act.WORK);
    Appointment before =
        rows.findAppointment(id).orElseThrow(() -> Problem.notFound("appointment"));
    require(new CustomerId(before.customerId()), linked(before.conversationId(), wanted), by);
    refuse(problems(wanted));
    requireOne(rows.updateAppointment(id, wanted, seen), "appointment");
    changes.log(
        new CustomerId(before.customerId()),
        Optional.of(by),
        "appointment",
        said(before.wanted()),
        said(wanted));
  }

  /** The conversation that is newly linked; null when it stays what it was. */
  private static @Nullable Long linked(@Nullable Long before, Appointment.Wanted wanted) {
    Long now = wanted.conversationId();
    return now == null || now.equals(before) ? null : now;
  }

  static String said(Appointment.Wanted one) {
    return one.what()
        + ", "
        + one.startsAt()
        + (one.place().isEmpty() ? "" : ", " + one.place())
        + (one.state() == Appointment.State.AGREED
            ? ""
            : ", " + one.state().name().toLowerCase(Locale.ROOT));
  }

  /** Begins a job. */
  @Transactional
  public long add(CustomerId customer, Job.Wanted wanted, StaffId by) {
    require(customer, wanted.conversationId(), by);
    refuse(problems(wanted));
    long id =
        rows.insertJob(
            customer.value(), wanted, null, clock.instant(), closedAt(wanted), by.value());
    changes.log(customer, Optional.of(by), "job", null, said(wanted));
    return id;
  }

  private @Nullable Instant closedAt(Job.Wanted wanted) {
    return wanted.state() == Job.State.CLOSED ? clock.instant() : null;
  }

  /**
   * Changes a job.
   *
   * @param seen the version it was changed from
   */
  @Transactional
  public void change(long id, Job.Wanted wanted, long seen, StaffId by) {
    permits.require(by, Act.WORK);
    Job before = rows.findJob(id).orElseThrow(() -> Problem.notFound("job"));
    Long link = wanted.conversationId();
    boolean same = link == null || link.equals(before.conversationId());
    require(new CustomerId(before.customerId()), same ? null : link, by);
    refuse(problems(wanted));
    requireOne(rows.updateJob(id, wanted, closedAt(wanted), seen), "job");
    changes.log(
        new CustomerId(before.customerId()),
        Optional.of(by),
        "job",
        said(before.wanted()),
        said(wanted));
  }

  static String said(Job.Wanted one) {
    return (one.number().isEmpty() ? "" : one.number() + " ")
        + one.what()
        + (one.standing().isEmpty() ? "" : ", " + one.standing())
        + (one.state() == Job.State.CLOSED ? ", closed" : "");
  }

  private static void requireOne(int changed, String what) {
    if (changed == 0) {
      throw Problem.conflict(
          Problem.Kind.CHANGED_MEANWHILE,
          "A colleague has changed this "
              + what
              + " in the meantime. Yours was not saved; please look again.");
    }
  }

  private void require(CustomerId customer, @Nullable Long conversation, StaffId by) {
    permits.require(by, Act.WORK);
    if (customers.isGone(customer)) {
      throw Problem.notFound("customer");
    }
    if (conversation != null) {
      inSight.row(new ConversationId(conversation), by);
    }
  }

  /** What is wrong with an appointment as it is wanted. */
  public static List<FieldProblem> problems(Appointment.Wanted wanted) {
    List<FieldProblem> bad = new ArrayList<>();
    length(bad, "what", wanted.what(), 1, LONGEST_WHAT);
    length(bad, "place", wanted.place(), 0, LONGEST_PLACE);
    Instant end = wanted.endsAt();
    if (end != null && !end.isAfter(wanted.startsAt())) {
      bad.add(new FieldProblem("endsAt", "It ends before it begins."));
    } else if (end != null && end.isAfter(wanted.startsAt().plus(LONGEST_APPOINTMENT))) {
      bad.add(new FieldProblem("endsAt", "An appointment lasts 60 days at most."));
    }
    return bad;
  }

  /** What is wrong with a job as it is wanted. */
  public static List<FieldProblem> problems(Job.Wanted wanted) {
    List<FieldProblem> bad = new ArrayList<>();
    length(bad, "number", wanted.number(), 0, LONGEST_NUMBER);
    length(bad, "what", wanted.what(), 1, LONGEST_JOB);
    length(bad, "standing", wanted.standing(), 0, LONGEST_STANDING);
    length(bad, "place", wanted.place(), 0, LONGEST_PLACE);
    return bad;
  }

  private static void length(
      List<FieldProblem> bad, String field, String words, int least, int most) {
    if (words.length() < least || words.length() > most) {
      bad.add(
          new FieldProblem(
              field,
              least == 0
                  ? "At most " + most + " characters."
                  : "Write " + least + " to " + most + " characters."));
    } else {
      OneLine.objection(words).ifPresent(why -> bad.add(new FieldProblem(field, why)));
    }
  }

  private static void refuse(List<FieldProblem> bad) {
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
  }
}
