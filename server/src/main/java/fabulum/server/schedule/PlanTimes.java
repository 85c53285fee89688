package fabulum.server.schedule;

import fabulum.core.hours.Hours;
import fabulum.core.hours.TimeReader;
import fabulum.core.schedule.RepeatText;
import fabulum.core.schedule.Series;
import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.Moment.TypedTime;
import fabulum.server.customers.CustomerId;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.work.Appointment;
import fabulum.server.work.ToldWork;
import fabulum.server.work.Works;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** When planned texts go, by the clocks and hours of their lines. */
@Component
class PlanTimes {
  private static final Duration FARTHEST = Duration.ofDays(3_660);

  private final Lines lines;
  private final Works works;
  private final ToldWork appointments;
  private final Clock clock;

  PlanTimes(Lines lines, Works works, ToldWork appointments, Clock clock) {
    this.lines = lines;
    this.works = works;
    this.appointments = appointments;
    this.clock = clock;
  }

  Hours hours(Conversation row) {
    return lines.promise(new LineId(row.lineId())).hours();
  }

  /** What is understood of a time that someone types. */
  TypedTime read(Conversation row, String words) {
    Optional<Instant> begins = next(row).map(Appointment::startsAt);
    TimeReader.Reading reading = TimeReader.read(words, hours(row), clock.instant(), begins);
    return reading instanceof TimeReader.Reading.At found
        ? new TypedTime(found.at(), found.open(), found.note().orElse(null), null)
        : new TypedTime(null, false, null, ((TimeReader.Reading.Unclear) reading).why());
  }

  /** The next appointment of the customer. */
  private Optional<Appointment> next(Conversation row) {
    Long customer = row.customerId();
    return customer == null
        ? Optional.empty()
        : works.of(new CustomerId(customer)).appointments().stream()
            .filter(one -> one.state() == Appointment.State.AGREED)
            .filter(one -> !one.startsAt().isBefore(clock.instant()))
            .findFirst();
  }

  /**
   * When a wanted text goes.
   *
   * @param firstAt by the clocks of the zone
   * @param typed null where the time stands by itself
   * @param dueAt the first time
   * @param asked the time for which it is decided ahead: the first may still answer a customer, the
   *     second of a series does not
   */
  record When(
      LocalDateTime firstAt,
      ZoneId zone,
      @Nullable String typed,
      @Nullable Long appointment,
      Optional<Series> series,
      Instant dueAt,
      Instant asked) {}

  /**
   * When a wanted text goes.
   *
   * @throws Problem with all that is wrong with it
   */
  When when(Conversation row, PlanWanted wanted) {
    Instant now = clock.instant();
    if (!wanted.at().isAfter(now)) {
      throw bad("at", "That time has passed already. Choose a later one.");
    }
    if (wanted.at().isAfter(now.plus(FARTHEST))) {
      throw bad("at", "Choose a time within ten years.");
    }
    Hours hours = hours(row);
    LocalDateTime local = wanted.at().atZone(hours.zone()).toLocalDateTime().withNano(0);
    String rule = wanted.rule();
    if (rule != null) {
      Series series = series(rule, wanted, local, hours.zone());
      Instant first =
          series
              .next(now, hours)
              .orElseThrow(() -> bad("rule", "No date of this rule is still to come."));
      Instant second = series.next(first, hours).orElse(first);
      return new When(local, hours.zone(), null, null, Optional.of(series), first, second);
    }
    String typed = wanted.typed();
    boolean told = typed != null && TimeReader.isFromAppointment(typed);
    Long appointment = told ? next(row).map(Appointment::id).orElse(null) : null;
    return new When(
        local,
        hours.zone(),
        appointment == null ? null : typed,
        appointment,
        Optional.empty(),
        wanted.at(),
        wanted.at());
  }

  private static Series series(String rule, PlanWanted wanted, LocalDateTime local, ZoneId zone) {
    try {
      return new Series(
          local.toLocalDate(),
          local.toLocalTime(),
          zone,
          RepeatText.read(rule),
          wanted.whenClosed());
    } catch (IllegalArgumentException e) {
      throw bad("rule", String.valueOf(e.getMessage()));
    }
  }

  private static Problem bad(String field, String why) {
    return Problem.fields(List.of(new FieldProblem(field, why)));
  }

  /** The next dates of a series, the soonest first; empty when it goes once. */
  List<Instant> upcoming(Planned plan, Conversation row, int most) {
    return plan.series()
        .map(series -> series.after(plan.afterAt(), hours(row)).limit(most).toList())
        .orElse(List.of());
  }

  /** The next time of a series after a moment; empty when it is over, or goes once. */
  Optional<Instant> next(Planned plan, Conversation row, Instant after) {
    return plan.series().flatMap(series -> series.next(after, hours(row)));
  }

  /** When a planned text goes by what holds now. */
  sealed interface NextTime {
    /** At a moment. */
    record At(Instant at) implements NextTime {}

    /** Not any more, and a person has to know. */
    record Off(String why) implements NextTime {}

    /** Not any more: no date is left. */
    record Over() implements NextTime {}
  }

  /**
   * When a planned text goes by what holds now: the rules of its zone, the hours of its line and
   * its appointment may have changed since it was planned.
   */
  NextTime nextTime(Planned plan, Conversation row) {
    if (plan.rule() != null) {
      return next(plan, row, plan.afterAt())
          .<NextTime>map(NextTime.At::new)
          .orElseGet(NextTime.Over::new);
    }
    Long appointment = plan.appointment();
    if (appointment != null && plan.typed() != null) {
      return told(plan, row, appointment, plan.typed());
    }
    ZoneId zone = ZoneId.of(plan.zone());
    boolean right =
        zone.getRules().getValidOffsets(plan.firstAt()).stream()
            .anyMatch(offset -> isThen(plan, offset.getTotalSeconds()));
    return new NextTime.At(right ? plan.dueAt() : plan.firstAt().atZone(zone).toInstant());
  }

  private static boolean isThen(Planned plan, int offset) {
    long then = plan.firstAt().toEpochSecond(java.time.ZoneOffset.ofTotalSeconds(offset));
    return then == plan.dueAt().getEpochSecond();
  }

  private NextTime told(Planned plan, Conversation row, long id, String typed) {
    Optional<Appointment> appointment =
        appointments.findAppointment(id).filter(one -> one.state() == Appointment.State.AGREED);
    if (appointment.isEmpty()) {
      return new NextTime.Off("The appointment was cancelled.");
    }
    Instant begins = appointment.get().startsAt();
    TimeReader.Reading reading =
        TimeReader.read(typed, hours(row), plan.plannedAt(), Optional.of(begins));
    return reading instanceof TimeReader.Reading.At found
        ? new NextTime.At(found.at())
        : new NextTime.Off("The appointment was moved, and the time for this text has passed.");
  }
}
