package fabulum.server.notices;

import fabulum.core.notice.Alerted;
import fabulum.core.notice.EscalationPoint;
import fabulum.server.access.TeamId;
import fabulum.server.lines.LineId;
import fabulum.server.notices.store.EscalationMapper;
import fabulum.server.notices.store.TeamStepRow;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who is told when an answer nears its promise, is late, and is late by so much more. */
@Service
public class Escalations {
  private static final int MOST = 20;

  private final EscalationMapper escalations;
  private final People people;

  Escalations(EscalationMapper escalations, People people) {
    this.escalations = escalations;
    this.people = people;
  }

  /** The steps of a line; without any, those of its team hold. */
  public List<EscalationStep> of(LineId line) {
    return escalations.listOfLine(line.value());
  }

  /** The steps of a team. */
  public List<EscalationStep> of(TeamId team) {
    return escalations.listOfTeam(team.value());
  }

  /** The steps of all teams that have any, in one query. */
  public Map<TeamId, List<EscalationStep>> ofTeams() {
    return escalations.listOfTeams().stream()
        .collect(
            Collectors.groupingBy(
                row -> new TeamId(row.teamId()),
                LinkedHashMap::new,
                Collectors.mapping(TeamStepRow::step, Collectors.toList())));
  }

  /** The steps that hold on a line of a team. */
  List<EscalationStep> standing(LineId line, TeamId team) {
    List<EscalationStep> own = of(line);
    return own.isEmpty() ? of(team) : own;
  }

  /** Gives a line other steps. Refuses what cannot be, with every reason. */
  @Transactional
  public void set(LineId line, List<EscalationStep> wanted) {
    require(wanted);
    escalations.deleteOfLine(line.value());
    wanted.forEach(step -> escalations.insertOfLine(line.value(), step));
  }

  /** Gives a team other steps. Refuses what cannot be, with every reason. */
  @Transactional
  public void set(TeamId team, List<EscalationStep> wanted) {
    require(wanted);
    escalations.deleteOfTeam(team.value());
    wanted.forEach(step -> escalations.insertOfTeam(team.value(), step));
  }

  private void require(List<EscalationStep> wanted) {
    List<FieldProblem> bad = new ArrayList<>();
    Set<Long> here =
        people.list().stream()
            .filter(StaffView::active)
            .map(StaffView::id)
            .collect(Collectors.toSet());
    Set<String> met = new HashSet<>();
    for (EscalationStep step : wanted) {
      if (Math.abs((long) step.afterMinutes()) > EscalationPoint.FARTHEST.toMinutes()) {
        bad.add(new FieldProblem("steps", "A step lies within a week of the promise."));
      }
      if ((step.told() == Alerted.PERSON) != (step.staffId() != null)) {
        bad.add(new FieldProblem("steps", "Say who is told."));
      } else if (step.staffId() != null && !here.contains(step.staffId())) {
        bad.add(new FieldProblem("steps", "This colleague is no longer here. Choose another."));
      }
      if (!met.add(step.key())) {
        bad.add(new FieldProblem("steps", "One of the steps is there twice."));
      }
    }
    if (wanted.size() > MOST) {
      bad.add(new FieldProblem("steps", "An alert list has at most 20 steps."));
    }
    if (!bad.isEmpty()) {
      throw Problem.fields(bad.stream().distinct().toList());
    }
  }

  /** The steps in words, for the history of the set-up. */
  public String said(List<EscalationStep> steps) {
    return steps.isEmpty()
        ? "nobody"
        : steps.stream().map(this::said).collect(Collectors.joining("; "));
  }

  private String said(EscalationStep step) {
    int minutes = step.afterMinutes();
    String when =
        minutes == 0
            ? "when late"
            : minutes < 0 ? -minutes + " min before" : "late by " + minutes + " min";
    return when + ": " + who(step);
  }

  private String who(EscalationStep step) {
    Long one = step.staffId();
    return switch (step.told()) {
      case OWNER -> "the owner";
      case TEAM -> "the team";
      case LEADS -> "the leads";
      case PERSON ->
          people.list().stream()
              .filter(staff -> one != null && staff.id() == one)
              .map(StaffView::name)
              .findFirst()
              .orElse("");
    };
  }
}
