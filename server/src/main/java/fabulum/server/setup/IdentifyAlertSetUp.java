package fabulum.server.setup;

import fabulum.core.access.Act;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.notices.IdentifyAlert;
import fabulum.server.notices.IdentifyAlerts;
import fabulum.server.people.People;
import java.util.Map;
import org.springframework.stereotype.Service;

/** Sets up who is alerted when nobody says who writes. Each change is kept with who made it. */
@Service
public class IdentifyAlertSetUp {
  private final IdentifyAlerts alerts;
  private final People people;
  private final ChangeBook changes;
  private final SetUpChanges all;
  private final Permits permits;

  IdentifyAlertSetUp(
      IdentifyAlerts alerts, People people, ChangeBook changes, SetUpChanges all, Permits permits) {
    this.alerts = alerts;
    this.people = people;
    this.changes = changes;
    this.all = all;
    this.permits = permits;
  }

  /** Who is alerted, and when. */
  public IdentifyAlert get(StaffId asking) {
    permits.require(asking, Act.LEAD);
    return alerts.get();
  }

  /** Alerts another person, or at another time. */
  public Outcome set(IdentifyAlert wanted, StaffId by) {
    return all.carryOut(
        by,
        () -> {
          if (wanted.staffId() != null) {
            people.get(new StaffId(wanted.staffId()));
          }
          String before = said(alerts.get());
          alerts.set(wanted);
          changes.noteAll(
              by, "unknown numbers", Map.of("alert", before), Map.of("alert", said(alerts.get())));
          return 1L;
        });
  }

  private String said(IdentifyAlert alert) {
    Long who = alert.staffId();
    return who == null
        ? "nobody"
        : people.get(new StaffId(who)).name()
            + " after "
            + alert.afterMinutes()
            + " working minutes";
  }
}
