package fabulum.server.notices;

import fabulum.core.notice.Rung;
import fabulum.core.notice.Told;
import fabulum.server.lines.LineId;
import fabulum.server.notices.store.LadderMapper;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.people.TeamId;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who is told when an answer nears its promise, is late, and is late by so much more. */
@Service
public class Ladders {
  private static final int MOST = 20;

  private final LadderMapper ladders;
  private final People people;

  Ladders(LadderMapper ladders, People people) {
    this.ladders = ladders;
    this.people = people;
  }

  /** The steps of a line; without any, those of its team hold. */
  public List<Step> of(LineId line) {
    return ladders.listOfLine(line.value());
  }

  /** The steps of a team. */
  public List<Step> of(TeamId team) {
    return ladders.listOfTeam(team.value());
  }

  /** The steps that hold on a line of a team. */
  List<Step> standing(LineId line, TeamId team) {
    List<Step> own = of(line);
    return own.isEmpty() ? of(team) : own;
  }

  /** Gives a line other steps. Refuses what cannot be, with every reason. */
  @Transactional
  public void set(LineId line, List<Step> wanted) {
    require(wanted);
    ladders.deleteOfLine(line.value());
    wanted.forEach(step -> ladders.insertOfLine(line.value(), step));
  }

  /** Gives a team other steps. Refuses what cannot be, with every reason. */
  @Transactional
  public void set(TeamId team, List<Step> wanted) {
    require(wanted);
    ladders.deleteOfTeam(team.value());
    wanted.forEach(step -> ladders.insertOfTeam(team.value(), step));
  }

  private void require(List<Step> wanted) {
    List<FieldProblem> bad = new ArrayList<>();
    Set<Long> here =
        people.list().stream()
            .filter(StaffView::active)
            .map(StaffView::id)
            .collect(Collectors.toSet());
    Set<String> met = new HashSet<>();
    for (Step step : wanted) {
      if (Math.abs((long) step.afterMinutes()) > Rung.FARTHEST.toMinutes()) {
        bad.add(new FieldProblem("steps", "A step lies within a week of the promise."));
      }
      if ((step.told() == Told.PERSON) != (step.staffId() != null)) {
        bad.add(new FieldProblem("steps", "Say who is told."));
      } else if (step.staffId() != null && !here.contains(step.staffId())) {
        bad.add(new FieldProblem("steps", "Who is told is not here any more. Choose another."));
      }
      if (!met.add(step.key())) {
        bad.add(new FieldProblem("steps", "One of the steps is there twice."));
      }
    }
    if (wanted.size() > MOST) {
      bad.add(new FieldProblem("steps", "A ladder has at most 20 steps."));
    }
    if (!bad.isEmpty()) {
      throw Problem.fields(bad.stream().distinct().toList());
    }
  }

  /** The steps in words, for the history of the set-up. */
  public String said(List<Step> steps) {
    return steps.isEmpty()
        ? "nobody"
        : steps.stream().map(this::said).collect(Collectors.joining("; "));
  }

  private String said(Step step) {
    int minutes = step.afterMinutes();
    String when =
        minutes == 0
            ? "when late"
            : minutes < 0 ? -minutes + " min before" : "late by " + minutes + " min";
    return when + ": " + who(step);
  }

  private String who(Step step) {
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
