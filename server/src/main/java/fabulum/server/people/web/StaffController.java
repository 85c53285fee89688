package fabulum.server.people.web;

import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.people.TeamView;
import fabulum.server.people.Teams;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The colleagues. */
@RestController
class StaffController {
  private final People people;
  private final Teams teams;

  StaffController(People people, Teams teams) {
    this.people = people;
    this.teams = teams;
  }

  @GetMapping("/api/staff")
  List<StaffView> list() {
    return people.list();
  }

  @GetMapping("/api/teams")
  List<TeamView> teams() {
    return teams.list();
  }
}
