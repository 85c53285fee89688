package fabulum.server.work;

import biweekly.Biweekly;
import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.Status;
import biweekly.util.Duration;
import java.time.Instant;
import java.util.Date;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Appointments as a calendar (RFC 5545). Times are told in UTC, so no zone can be misread. */
public final class CalendarFeed {
  private static final Pattern OWN = Pattern.compile("appointment-(\\d{1,18})@fabulum");

  private CalendarFeed() {}

  /** An appointment and whose it is. */
  public record Event(Appointment appointment, String customer) {}

  /** Writes a calendar. */
  public static String write(List<Event> events, Instant now) {
    ICalendar calendar = new ICalendar();
    calendar.setProductId("-//Fabulum//Appointments//EN");
    calendar.setName("Appointments");
    calendar.setRefreshInterval(Duration.builder().minutes(15).build());
    events.forEach(event -> calendar.addEvent(event(event, now)));
    return Biweekly.write(calendar).version(ICalVersion.V2_0).go();
  }

  private static VEvent event(Event one, Instant now) {
    Appointment appointment = one.appointment();
    VEvent event = new VEvent();
    String uid = appointment.outsideId();
    event.setUid(uid == null ? "appointment-" + appointment.id() + "@fabulum" : uid);
    event.setDateTimeStamp(Date.from(now));
    event.setSequence((int) Math.min(appointment.version(), Integer.MAX_VALUE));
    event.setSummary(appointment.what() + ", " + one.customer());
    event.addContact(one.customer());
    event.setDateStart(Date.from(appointment.startsAt()));
    Instant ends = appointment.endsAt();
    if (ends != null) {
      event.setDateEnd(Date.from(ends));
    }
    if (appointment.place() != null) {
      event.setLocation(appointment.place());
    }
    event.setStatus(
        appointment.state() == Appointment.State.CANCELLED
            ? Status.cancelled()
            : Status.confirmed());
    return event;
  }

  /** Which of our appointments a calendar of ours named so. */
  static Optional<Long> ownId(String uid) {
    Matcher own = OWN.matcher(uid);
    return own.matches() ? Optional.of(Long.valueOf(own.group(1))) : Optional.empty();
  }
}
