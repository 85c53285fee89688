package fabulum.server.setup;

import fabulum.server.access.StaffId;
import fabulum.server.access.TeamId;
import fabulum.server.lines.LineId;
import fabulum.server.lines.Lines;
import fabulum.server.notices.EscalationStep;
import fabulum.server.notices.Escalations;
import fabulum.server.people.Teams;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;

/**
 * Sets up who is alerted when an answer is due soon or late. Each change is kept with who made it.
 */
@Service
public class EscalationSetUp {
  private static final String ESCALATION = "who is told";

  private final Escalations escalations;
  private final Lines lines;
  private final Teams teams;
  private final ChangeBook changes;
  private final SetUpChanges all;

  EscalationSetUp(
      Escalations escalations, Lines lines, Teams teams, ChangeBook changes, SetUpChanges all) {
    this.escalations = escalations;
    this.lines = lines;
    this.teams = teams;
    this.changes = changes;
    this.all = all;
  }

  /** Gives a line other escalation steps; without any, those of its team hold. */
  public Outcome set(LineId line, List<EscalationStep> wanted, StaffId by) {
    return all.carryOut(
        by,
        () -> {
          String subject = LineSetUp.subject(lines.setup(line));
          String before = escalations.said(escalations.of(line));
          escalations.set(line, wanted);
          noteEscalation(by, subject, before, escalations.said(escalations.of(line)));
          return line.value();
        });
  }

  /** Gives a team other escalation steps. */
  public Outcome set(TeamId team, List<EscalationStep> wanted, StaffId by) {
    return all.carryOut(
        by,
        () -> {
          String subject = "team " + teams.get(team).name();
          String before = escalations.said(escalations.of(team));
          escalations.set(team, wanted);
          noteEscalation(by, subject, before, escalations.said(escalations.of(team)));
          return team.value();
        });
  }

  private void noteEscalation(StaffId by, String subject, String before, String after) {
    changes.noteAll(by, subject, Map.of(ESCALATION, before), Map.of(ESCALATION, after));
  }
}
