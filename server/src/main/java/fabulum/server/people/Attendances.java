package fabulum.server.people;

import fabulum.core.attendance.Absence;
import fabulum.core.attendance.Attendance;
import fabulum.core.attendance.ByHand;
import fabulum.core.attendance.Presence;
import fabulum.core.hours.EnteredSpan;
import fabulum.core.hours.Hours;
import fabulum.core.hours.PossibleDates;
import fabulum.server.access.StaffId;
import fabulum.server.people.store.AbsenceRow;
import fabulum.server.people.store.StaffMapper;
import fabulum.server.people.store.StaffRow;
import fabulum.server.people.store.StaffSpanRow;
import fabulum.server.platform.BriefMemory;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who is in, who is away and until when, and who covers for them. */
@Service
public class Attendances {
  private static final int MOST_ABSENCES = 40;

  private final StaffMapper staff;
  private final ApplicationEventPublisher events;
  private final Clock clock;
  private final BriefMemory<Map<Long, Attendance>> all;

  Attendances(StaffMapper staff, ApplicationEventPublisher events, Clock clock) {
    this.staff = staff;
    this.events = events;
    this.clock = clock;
    this.all = new BriefMemory<>(this::read);
  }

  private Map<Long, Attendance> read() {
    Map<Long, List<StaffSpanRow>> spans =
        staff.listSpans().stream().collect(Collectors.groupingBy(StaffSpanRow::staffId));
    Map<Long, List<AbsenceRow>> absences =
        staff.listAbsences().stream().collect(Collectors.groupingBy(AbsenceRow::staffId));
    return staff.list().stream()
        .collect(
            Collectors.toMap(
                StaffRow::id,
                row ->
                    attendance(
                        row,
                        spans.getOrDefault(row.id(), List.of()),
                        absences.getOrDefault(row.id(), List.of()))));
  }

  private static Attendance attendance(
      StaffRow row, List<StaffSpanRow> spans, List<AbsenceRow> absences) {
    Hours timetable =
        new Hours(zone(row), stretches(spans).stream().map(EnteredSpan::span).toList(), Set.of());
    Boolean in = row.inByHand();
    Optional<ByHand> byHand =
        in == null || row.byHandAt() == null
            ? Optional.empty()
            : Optional.of(new ByHand(in, row.byHandAt()));
    return new Attendance(
        row.isActive(),
        byHand,
        timetable,
        absences.stream()
            .map(a -> new Absence(a.firstDay(), a.lastDay(), maybe(a.coverId())))
            .toList(),
        maybe(row.coverId()));
  }

  private static ZoneId zone(StaffRow row) {
    return ZoneId.of(row.zone() == null ? "UTC" : row.zone());
  }

  private static List<EnteredSpan> stretches(List<StaffSpanRow> spans) {
    return spans.stream()
        .map(span ->
            new EnteredSpan(
                DayOfWeek.of(span.dayOfWeek()),
                span.fromMinute(),
                span.fromMinute() + span.minutes()))
        .toList();
  }

  private static OptionalLong maybe(@Nullable Long id) {
    return id == null ? OptionalLong.empty() : OptionalLong.of(id);
  }

  /** Whether someone is in now. */
  public Presence presence(StaffId id) {
    Attendance known = all.get().get(id.value());
    return (known == null ? Attendance.always(ZoneId.of("UTC")) : known).at(clock.instant());
  }

  /** The signed-in person says that they are in, or away. */
  @Transactional
  public void setByHand(StaffId me, boolean in) {
    staff.setByHand(me.value(), in, clock.instant());
    changed();
  }

  /**
   * When someone is usually in, and who covers for them.
   *
   * @param zone IANA name, in which week and dates are meant
   * @param week empty for always in
   * @param coverId who covers usually
   * @param absences days known ahead
   */
  public record Plan(
      String zone, List<EnteredSpan> week, @Nullable Long coverId, List<Away> absences) {
    public Plan {
      week = List.copyOf(week);
      absences = List.copyOf(absences);
    }
  }

  /**
   * Days away.
   *
   * @param coverId who covers on those days; empty for the usual cover
   */
  public record Away(LocalDate first, LocalDate last, @Nullable Long coverId) {}

  /** What someone has planned. Absences that are over are left out. */
  public Plan plan(StaffId id) {
    StaffRow row = staff.find(id.value()).orElseThrow(() -> Problem.notFound("member of staff"));
    LocalDate today = clock.instant().atZone(zone(row)).toLocalDate();
    List<StaffSpanRow> spans =
        staff.listSpans().stream().filter(span -> span.staffId() == row.id()).toList();
    List<Away> absences =
        staff.listAbsences().stream()
            .filter(a -> a.staffId() == row.id() && !a.lastDay().isBefore(today))
            .map(a -> new Away(a.firstDay(), a.lastDay(), a.coverId()))
            .toList();
    return new Plan(zone(row).getId(), stretches(spans), row.coverId(), absences);
  }

  /** Plans otherwise. Refuses what cannot be, with every reason. */
  @Transactional
  public void setPlan(StaffId id, Plan wanted) {
    List<FieldProblem> bad = objections(id, wanted);
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
    staff.setUsual(id.value(), wanted.zone(), wanted.coverId());
    staff.deleteSpans(id.value());
    wanted
        .week()
        .forEach(span ->
            staff.insertSpan(
                id.value(), span.day().getValue(), span.from(), span.to() - span.from()));
    staff.deleteAbsences(id.value());
    wanted
        .absences()
        .forEach(a -> staff.insertAbsence(id.value(), a.first(), a.last(), a.coverId()));
    changed();
  }

  private List<FieldProblem> objections(StaffId id, Plan wanted) {
    List<FieldProblem> bad = new ArrayList<>();
    try {
      ZoneId.of(wanted.zone());
    } catch (DateTimeException none) {
      bad.add(new FieldProblem("zone", "Not a known time zone."));
    }
    EnteredSpan.objections(wanted.week()).forEach(why -> bad.add(new FieldProblem("week", why)));
    Map<Long, StaffRow> everyone =
        staff.list().stream().collect(Collectors.toMap(StaffRow::id, Function.identity()));
    coverObjection(id, wanted.coverId(), everyone)
        .ifPresent(why -> bad.add(new FieldProblem("coverId", why)));
    circle(id, wanted.coverId(), everyone)
        .ifPresent(why -> bad.add(new FieldProblem("coverId", why)));
    for (Away away : wanted.absences()) {
      if (!PossibleDates.isOne(away.first()) || !PossibleDates.isOne(away.last())) {
        bad.add(new FieldProblem("absences", "Dates lie between 1900 and 2199."));
      } else if (away.last().isBefore(away.first())) {
        bad.add(new FieldProblem("absences", "An absence ends on or after its first day."));
      } else if (away.first().plusDays(Absence.LONGEST_DAYS).isBefore(away.last())) {
        bad.add(new FieldProblem("absences", "An absence is at most a year long."));
      }
      coverObjection(id, away.coverId(), everyone)
          .ifPresent(why -> bad.add(new FieldProblem("absences", why)));
    }
    if (wanted.absences().size() > MOST_ABSENCES) {
      bad.add(new FieldProblem("absences", "At most 40 absences can be known ahead."));
    }
    return bad;
  }

  private static Optional<String> coverObjection(
      StaffId id, @Nullable Long cover, Map<Long, StaffRow> everyone) {
    if (cover == null) {
      return Optional.empty();
    }
    if (cover == id.value()) {
      return Optional.of("A colleague cannot cover for themselves. Choose another.");
    }
    StaffRow row = everyone.get(cover);
    return row == null || !row.isActive()
        ? Optional.of("This colleague is no longer here. Choose another.")
        : Optional.empty();
  }

  /** The usual covers must not lead back to where they began. */
  private static Optional<String> circle(
      StaffId id, @Nullable Long cover, Map<Long, StaffRow> everyone) {
    List<String> names = new ArrayList<>();
    Set<Long> met = new HashSet<>();
    StaffRow me = everyone.get(id.value());
    for (Long next = cover; next != null && met.add(next); ) {
      if (next == id.value()) {
        String way = String.join(", then ", names);
        return names.isEmpty() || me == null
            ? Optional.empty()
            : Optional.of(
                "The covers would lead in a circle: " + way + ", then " + me.fullName() + ".");
      }
      StaffRow row = everyone.get(next);
      names.add(row == null ? "?" : row.fullName());
      next = row == null ? null : row.coverId();
    }
    return Optional.empty();
  }

  private void changed() {
    forget();
    events.publishEvent(new ColleaguesChanged());
  }

  void forget() {
    all.forget();
  }
}
