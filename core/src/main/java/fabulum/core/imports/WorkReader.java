package fabulum.core.imports;

import fabulum.core.imports.RowReader.Refused;
import fabulum.core.imports.RowReader.Row;
import fabulum.core.imports.Target.What;
import fabulum.core.phone.Region;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Reads appointments and jobs out of rows. */
public final class WorkReader {
  private static final int LONGEST_ID = 255;

  private static final Map<String, Kept> STATES =
      Map.ofEntries(
          Map.entry("agreed", Kept.AGREED),
          Map.entry("confirmed", Kept.AGREED),
          Map.entry("tentative", Kept.AGREED),
          Map.entry("planned", Kept.AGREED),
          Map.entry("open", Kept.AGREED),
          Map.entry("kept", Kept.KEPT),
          Map.entry("done", Kept.KEPT),
          Map.entry("completed", Kept.KEPT),
          Map.entry("closed", Kept.KEPT),
          Map.entry("finished", Kept.KEPT),
          Map.entry("missed", Kept.MISSED),
          Map.entry("no show", Kept.MISSED),
          Map.entry("cancelled", Kept.CANCELLED),
          Map.entry("canceled", Kept.CANCELLED));

  private final ZoneId zone;
  private final Region region;

  /**
   * Begins.
   *
   * @param zone by whose clocks times without one are told
   * @param region in whose habits numbers and dates are written
   */
  public WorkReader(ZoneId zone, Region region) {
    this.zone = zone;
    this.region = region;
  }

  /** How something agreed, or a job, stands. */
  public enum Kept {
    AGREED,
    KEPT,
    MISSED,
    CANCELLED
  }

  /**
   * An appointment.
   *
   * @param place blank where the file does not say
   * @param state empty where the file does not say
   */
  public record AppointmentRow(
      CustomerRef customer,
      Optional<String> outsideId,
      String what,
      Instant startsAt,
      Optional<Instant> endsAt,
      String place,
      Optional<Kept> state)
      implements Row {}

  /**
   * A job. Texts are blank where the file does not say.
   *
   * @param closed whether it is; empty where the file does not say
   */
  public record JobRow(
      CustomerRef customer,
      Optional<String> outsideId,
      String number,
      String what,
      String standing,
      Optional<Boolean> closed,
      String place,
      Optional<Instant> openedAt,
      Optional<Instant> closedAt)
      implements Row {}

  /** Reads an appointment. */
  public Row appointment(List<Target> targets, List<String> values) {
    Cells cells = new Cells(targets, values);
    CustomerRef customer = cells.customer(region);
    Optional<Instant> starts = cells.time(What.STARTS, "Starts", zone, region);
    Optional<Instant> ends = cells.time(What.ENDS, "Ends", zone, region);
    if (cells.find(What.STARTS).isEmpty()) {
      cells.refuse("When does it start?");
    }
    if (cells.find(What.WHAT).isEmpty()) {
      cells.refuse("What is agreed?");
    }
    Optional<String> id = id(cells);
    Optional<Kept> state = state(cells);
    return starts.isEmpty() || !cells.problems().isEmpty()
        ? new Refused(cells.problems())
        : new AppointmentRow(
            customer,
            id,
            cells.get(What.WHAT),
            starts.get(),
            // Calendars give what takes no time an end at its beginning.
            ends.filter(end -> !end.equals(starts.get())),
            cells.get(What.PLACE),
            state);
  }

  /** Reads a job. */
  public Row job(List<Target> targets, List<String> values) {
    Cells cells = new Cells(targets, values);
    CustomerRef customer = cells.customer(region);
    Optional<Instant> opened = cells.time(What.OPENED, "Opened", zone, region);
    Optional<Instant> closed = cells.time(What.CLOSED, "Closed", zone, region);
    if (cells.find(What.WHAT).isEmpty()) {
      cells.refuse("What is to be done?");
    }
    Optional<String> id = id(cells);
    Optional<Boolean> state =
        state(cells).map(one -> one != Kept.AGREED).or(() -> closed.map(at -> true));
    return cells.problems().isEmpty()
        ? new JobRow(
            customer,
            id,
            cells.get(What.JOB_NUMBER),
            cells.get(What.WHAT),
            cells.get(What.STANDING),
            state,
            cells.get(What.PLACE),
            opened,
            closed)
        : new Refused(cells.problems());
  }

  private static Optional<String> id(Cells cells) {
    Optional<String> id = cells.find(What.OUTSIDE_ID);
    if (id.isPresent() && id.get().length() > LONGEST_ID) {
      cells.refuse("Id: at most " + LONGEST_ID + " characters.");
    }
    return id;
  }

  private static Optional<Kept> state(Cells cells) {
    Optional<Kept> state =
        cells.find(What.STATE).map(words -> STATES.get(words.toLowerCase(Locale.ROOT)));
    if (state.isEmpty() && cells.find(What.STATE).isPresent()) {
      cells.refuse(
          "State: “"
              + Cells.beginning(cells.get(What.STATE))
              + "” is not known. Use agreed, kept, missed or cancelled; for a job open or closed.");
    }
    return state;
  }
}
