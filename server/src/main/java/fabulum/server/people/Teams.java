package fabulum.server.people;

import fabulum.server.people.store.MemberRow;
import fabulum.server.people.store.TeamMapper;
import fabulum.server.people.store.TeamRow;
import fabulum.server.platform.BriefMemory;
import fabulum.server.platform.Problem;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Teams: staff who share lines. There is always at least one. */
@Service
public class Teams {
  private final TeamMapper teams;
  private final BriefMemory<List<TeamView>> all;

  Teams(TeamMapper teams) {
    this.teams = teams;
    this.all = new BriefMemory<>(this::read);
  }

  /** All teams, by name; a change is in it a second later at most. */
  public List<TeamView> list() {
    return all.get();
  }

  private List<TeamView> read() {
    List<MemberRow> members = teams.listMembers();
    return teams.list().stream().map(team -> view(team, members)).toList();
  }

  private static TeamView view(TeamRow team, List<MemberRow> members) {
    List<Long> ids =
        members.stream().filter(m -> m.teamId() == team.id()).map(MemberRow::staffId).toList();
    return new TeamView(team.id(), team.name(), ids);
  }

  /** The team of this name, made when there is none. */
  @Transactional
  public TeamId named(String name) {
    return new TeamId(
        teams.list().stream()
            .filter(team -> team.name().equals(name))
            .map(TeamRow::id)
            .findFirst()
            .orElseGet(() -> teams.insert(name)));
  }

  /** Makes somebody a member; being one twice is being one. */
  @Transactional
  public void join(TeamId team, StaffId staff) {
    if (teams.list().stream().noneMatch(row -> row.id() == team.value())) {
      throw Problem.notFound("team");
    }
    teams.addMember(team.value(), staff.value());
    all.forget();
  }
}
