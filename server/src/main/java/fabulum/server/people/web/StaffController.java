package fabulum.server.people.web;

import fabulum.core.attendance.Presence;
import fabulum.server.access.StaffId;
import fabulum.server.people.Attendances;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.people.TeamView;
import fabulum.server.people.Teams;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The colleagues. */
@RestController
class StaffController {
  private final People people;
  private final Teams teams;
  private final Attendances attendances;

  StaffController(People people, Teams teams, Attendances attendances) {
    this.people = people;
    this.teams = teams;
    this.attendances = attendances;
  }

  /** All colleagues by name, also those who have left. */
  @GetMapping("/api/staff")
  List<StaffView> list() {
    return people.list();
  }

  /** All teams with their members. */
  @GetMapping("/api/teams")
  List<TeamView> teams() {
    return teams.list();
  }

  /**
   * A person who is away.
   *
   * @param until when that will change by itself; empty when it will not
   * @param cover who receives what would come to them
   */
  record AwayResponse(long staffId, @Nullable Instant until, @Nullable Long cover) {}

  /** Everybody who works here and is away now. */
  @GetMapping("/api/staff/away")
  List<AwayResponse> away() {
    return people.list().stream()
        .filter(StaffView::active)
        .flatMap(staff -> away(staff.id()).stream())
        .toList();
  }

  private Optional<AwayResponse> away(long id) {
    Presence presence = attendances.presence(new StaffId(id));
    OptionalLong cover = presence.cover();
    return presence.in()
        ? Optional.empty()
        : Optional.of(
            new AwayResponse(
                id,
                presence.until().orElse(null),
                cover.isPresent() ? Long.valueOf(cover.getAsLong()) : null));
  }
}
