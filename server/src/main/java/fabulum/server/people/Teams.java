package fabulum.server.people;

import fabulum.core.text.OneLine;
import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.people.store.MemberRow;
import fabulum.server.people.store.TeamMapper;
import fabulum.server.people.store.TeamRow;
import fabulum.server.platform.BriefMemory;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Teams: staff who share lines. There is always at least one. */
@Service
public class Teams {
  private static final int LONGEST_NAME = 60;

  private final TeamMapper teams;
  private final BriefMemory<List<TeamView>> all;

  Teams(TeamMapper teams) {
    this.teams = teams;
    this.all = new BriefMemory<>(this::read);
  }

  /** All teams, by name. */
  public List<TeamView> list() {
    return all.get();
  }

  /** The teams someone is in. */
  public Set<Long> of(StaffId staff) {
    return list().stream()
        .filter(team -> team.members().contains(staff.value()))
        .map(TeamView::id)
        .collect(Collectors.toUnmodifiableSet());
  }

  /** The team. */
  public TeamView get(TeamId id) {
    return read().stream()
        .filter(team -> team.id() == id.value())
        .findFirst()
        .orElseThrow(() -> Problem.notFound("team"));
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
            .orElseGet(() -> {
              all.forget();
              return teams.insert(name);
            }));
  }

  /** Adds a team without people. */
  @Transactional
  public TeamId add(String name) {
    long id = teams.insert(checked(name, 0));
    all.forget();
    return new TeamId(id);
  }

  /** Gives a team another name. */
  @Transactional
  public void rename(TeamId id, String name) {
    get(id);
    teams.rename(id.value(), checked(name, id.value()));
    all.forget();
  }

  private String checked(String name, long butNot) {
    String kept = name.strip();
    if (kept.isEmpty() || kept.length() > LONGEST_NAME) {
      throw bad("Give the team a name of at most 60 characters.");
    }
    OneLine.objection(kept)
        .ifPresent(why -> {
          throw bad(why);
        });
    if (teams.list().stream()
        .anyMatch(team -> team.id() != butNot && team.name().equalsIgnoreCase(kept))) {
      throw bad("Another team has this name.");
    }
    return kept;
  }

  private static Problem bad(String why) {
    return Problem.fields(List.of(new FieldProblem("name", why)));
  }

  /** Makes someone a member; being one twice is being one. */
  @Transactional
  public void join(TeamId team, StaffId staff) {
    get(team);
    teams.addMember(team.value(), staff.value());
    all.forget();
  }

  /** Makes someone a member of these teams and no others. */
  @Transactional
  public void setTeams(StaffId staff, Set<Long> wanted) {
    teams.removeFromAll(staff.value());
    wanted.forEach(team -> join(new TeamId(team), staff));
    all.forget();
  }

  /** Reads teams again the next time. */
  void forget() {
    all.forget();
  }
}
