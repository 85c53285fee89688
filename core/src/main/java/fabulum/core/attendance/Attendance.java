package fabulum.core.attendance;

import fabulum.core.attendance.Presence.Why;
import fabulum.core.hours.Hours;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;

/**
 * When someone is in. What they say by hand holds until their timetable or a day known ahead would
 * next change it, and is told to last for as long as the plan then says the same; days known ahead
 * go before the timetable; without either the person is in.
 *
 * @param active false for who has left: never in
 * @param byHand what they said last
 * @param timetable when they are usually in; no working hours in it for always
 * @param absences days known ahead
 * @param cover who covers usually
 */
public record Attendance(
    boolean active,
    Optional<ByHand> byHand,
    Hours timetable,
    List<Absence> absences,
    OptionalLong cover) {

  public Attendance {
    absences = absences.stream().sorted(Comparator.comparing(Absence::first)).toList();
  }

  /** A person who is always in until they say otherwise. */
  public static Attendance always(ZoneId zone) {
    return new Attendance(
        true, Optional.empty(), Hours.always(zone), List.of(), OptionalLong.empty());
  }

  /** How it stands at an instant. */
  public Presence at(Instant now) {
    if (!active) {
      return new Presence(false, Why.LEFT, Optional.empty(), coverOn(now));
    }
    Presence planned = planned(now);
    Optional<ByHand> holds = byHand.filter(said -> holds(said, now));
    return holds
        .map(said ->
            new Presence(
                said.in(),
                Why.BY_HAND,
                endOf(said),
                said.in() ? OptionalLong.empty() : coverOn(now)))
        .orElse(planned);
  }

  /**
   * Until when someone is in, or away, after they said so by hand. Their word holds until the plan
   * next changes; where the plan then says the same as they did, it goes on until the plan says
   * otherwise. So who leaves at three is back when they come next morning, not at five.
   */
  private Optional<Instant> endOf(ByHand said) {
    return nextChange(said.at())
        .flatMap(
            change -> plannedIn(change) == said.in() ? nextChange(change) : Optional.of(change));
  }

  private boolean holds(ByHand said, Instant now) {
    return !said.at().isAfter(now)
        && nextChange(said.at()).map(change -> change.isAfter(now)).orElse(true);
  }

  private Presence planned(Instant now) {
    Optional<Instant> until = nextChange(now);
    if (absenceOn(now).isPresent()) {
      return new Presence(false, Why.DATES, until, coverOn(now));
    }
    boolean in = timetable.isOpen(now);
    Why why = timetable.week().isEmpty() ? Why.ALWAYS : Why.TIMETABLE;
    return new Presence(in, why, until, in ? OptionalLong.empty() : coverOn(now));
  }

  private Optional<Absence> absenceOn(Instant at) {
    LocalDate day = dateOf(at);
    return absences.stream().filter(absence -> absence.covers(day)).findFirst();
  }

  private OptionalLong coverOn(Instant at) {
    return absenceOn(at).map(Absence::cover).filter(OptionalLong::isPresent).orElse(cover);
  }

  /** When dates or timetable next say otherwise than at an instant; empty for never. */
  private Optional<Instant> nextChange(Instant at) {
    List<Instant> candidates = new ArrayList<>();
    timetable.nextChange(at).ifPresent(candidates::add);
    for (Absence absence : absences) {
      candidates.add(startOf(absence.first()));
      candidates.add(startOf(absence.last().plusDays(1)));
    }
    boolean inNow = plannedIn(at);
    // The timetable can change within an absence without changing anything; what counts is the next
    // change of the outcome.
    Instant from = at;
    for (int looked = 0; looked < MOST_LOOKED; looked++) {
      Instant after = from;
      Optional<Instant> next =
          candidates.stream().filter(c -> c.isAfter(after)).min(Comparator.naturalOrder());
      if (next.isEmpty() || plannedIn(next.get()) != inNow) {
        return next;
      }
      from = next.get();
      timetable.nextChange(from).ifPresent(candidates::add);
    }
    return Optional.empty();
  }

  /** More changes than these without effect do not happen within an absence of a year. */
  private static final int MOST_LOOKED = 3_000;

  private boolean plannedIn(Instant at) {
    return absenceOn(at).isEmpty() && timetable.isOpen(at);
  }

  private LocalDate dateOf(Instant at) {
    return at.atZone(timetable.zone()).toLocalDate();
  }

  private Instant startOf(LocalDate day) {
    return day.atStartOfDay(timetable.zone()).toInstant();
  }
}
