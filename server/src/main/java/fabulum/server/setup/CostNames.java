package fabulum.server.setup;

import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.cost.AllowanceSetup;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.people.People;
import fabulum.server.people.Teams;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The names of those for whom prices and allowances hold. */
@Component
class CostNames {
  private final Lines lines;
  private final People people;
  private final Teams teams;

  CostNames(Lines lines, People people, Teams teams) {
    this.lines = lines;
    this.people = people;
    this.teams = teams;
  }

  String line(@Nullable Long id) {
    return id == null ? "all lines" : lines.get(new LineId(id)).name();
  }

  String whose(AllowanceSetup allowance) {
    if (allowance.staffId() != null) {
      return people.get(new StaffId(allowance.staffId())).name();
    }
    return allowance.teamId() == null
        ? "the business"
        : teams.get(new TeamId(allowance.teamId())).name();
  }
}
