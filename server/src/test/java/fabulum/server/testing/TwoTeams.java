package fabulum.server.testing;

import fabulum.core.access.Role;
import fabulum.core.hours.Hours;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.phone.Region;
import fabulum.core.promise.Promise;
import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.lines.Lines;
import fabulum.server.lines.NewLine;
import fabulum.server.people.NewStaff;
import fabulum.server.people.People;
import fabulum.server.people.Teams;
import java.time.Duration;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The small business of {@link Fabulum#startInBusiness()} with a second team: Maren (lead), Priya,
 * Tom (staff) and Vera (viewer) answer the dock and the yard, Otto and Ines (staff) a line of their
 * own.
 */
public final class TwoTeams implements AutoCloseable {
  public static final String FAR = "+19205550109";

  public final Fabulum fabulum;
  public final long team = 1;
  public final long farTeam;
  public final long farLine;
  private final People people;

  private TwoTeams(Fabulum fabulum) {
    this.fabulum = fabulum;
    this.people = fabulum.context.getBean(People.class);
    Teams teams = fabulum.context.getBean(Teams.class);
    Hours always = Hours.always(ZoneId.of("America/Chicago"));
    NewLine line =
        new NewLine(
            "Far site",
            "Far team",
            "Far line",
            new PhoneNumber(FAR),
            new Region("US"),
            always,
            new Promise(Duration.ofHours(1)));
    this.farLine = fabulum.context.getBean(Lines.class).add(line).value();
    this.farTeam = teams.named("Far team").value();
    add("tom", "Tom Ferry", Role.STAFF, 1);
    add("vera", "Vera Quill", Role.VIEWER, 1);
    add("otto", "Otto Farr", Role.STAFF, farTeam);
    add("ines", "Ines Weit", Role.STAFF, farTeam);
    // The lead that the very first start makes; here Maren is the only one.
    fabulum.tables.update("update staff set standing = 'OFF' where sign_in_name = 'lead'");
    people.forget();
  }

  /** Starts again. */
  public static TwoTeams start(String... more) {
    return new TwoTeams(Fabulum.startInNewBusiness(more));
  }

  /** Takes someone on into a team. */
  public long add(String signInName, String name, Role role, long into) {
    String initials =
        name.substring(0, 1) + name.substring(name.indexOf(' ') + 1, name.indexOf(' ') + 2);
    StaffId id =
        people.add(new NewStaff(signInName, name, initials, role, Fabulum.PASSWORD, false));
    fabulum.context.getBean(Teams.class).join(new TeamId(into), id);
    return id.value();
  }

  /** A person's id. */
  public long id(String signInName) {
    Long id =
        fabulum.tables.queryForObject(
            "select id from staff where sign_in_name = ?", Long.class, signInName);
    return id == null ? 0 : id;
  }

  /** A new conversation that a customer begins on a line; its id. */
  public long text(String line, String words) {
    return textFrom(fabulum.freshNumber(), line, words);
  }

  /** A text from a number; says in which conversation it is. */
  public long textFrom(String number, String line, String words) {
    fabulum.webhook().text(number, line, words).require(200);
    Long id =
        fabulum.tables.queryForObject(
            "select c.id from conversation c join number n on n.id = c.number_id"
                + " join line l on l.id = c.line_id where n.address = ? and l.number = ?",
            Long.class,
            number,
            line);
    return id == null ? 0 : id;
  }

  /** The other side's number of a conversation. */
  public String numberOf(long conversation) {
    return String.valueOf(
        fabulum.tables.queryForObject(
            "select n.address from conversation c join number n on n.id = c.number_id where c.id = ?",
            String.class,
            conversation));
  }

  /** A line as the set-up takes it: always open, of the first team, nothing special about it. */
  public static Map<String, Object> line(String name, String number) {
    Map<String, Object> line = new HashMap<>();
    line.put("name", name);
    line.put("number", number);
    line.put("region", "US");
    line.put("siteId", 1);
    line.put("teamId", 1);
    line.put("zone", "America/Chicago");
    line.put("inUse", true);
    line.put("promiseMinutes", 60);
    line.put("narrowed", false);
    for (String none : List.of("week", "closedDays", "openHolidays")) {
      line.put(none, List.of());
    }
    return line;
  }

  /** When someone is in, and away, and who covers for them; without a cover, nobody. */
  public static Map<String, Object> plan(List<?> week, List<?> absences, @Nullable Long cover) {
    Map<String, Object> plan = new HashMap<>();
    plan.put("zone", "America/Chicago");
    plan.put("week", week);
    plan.put("absences", absences);
    if (cover != null) {
      plan.put("coverId", cover);
    }
    return plan;
  }

  /** Nothing but who covers for someone. */
  public Map<String, Object> coveredBy(String signInName) {
    return plan(List.of(), List.of(), id(signInName));
  }

  /** Whose it is; 0 for nobody's. */
  public long owner(long conversation) {
    Long id =
        fabulum.tables.queryForObject(
            "select coalesce(owner_id, 0) from conversation where id = ?",
            Long.class,
            conversation);
    return id == null ? 0 : id;
  }

  @Override
  public void close() {
    fabulum.close();
  }
}
