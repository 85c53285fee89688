package fabulum.server.notices.store;

import fabulum.server.notices.EscalationStep;
import fabulum.server.notices.IdentifyAlert;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;

/** Escalations in the database. */
@Mapper
public interface EscalationMapper {
  List<EscalationStep> listOfLine(long lineId);

  List<EscalationStep> listOfTeam(long teamId);

  /** Of all teams that have any, by team. */
  List<TeamStepRow> listOfTeams();

  void insertOfLine(long lineId, EscalationStep step);

  void insertOfTeam(long teamId, EscalationStep step);

  void deleteOfLine(long lineId);

  void deleteOfTeam(long teamId);

  /** Those on our turn on a line, due in a stretch of time, whose wait has not taken a step yet. */
  List<ReachedRow> listReached(
      long lineId, Instant dueAfter, Instant dueBy, String step, int limit);

  /** Whether a wait has taken a step. */
  boolean isTaken(long conversationId, Instant since, String step);

  void take(long conversationId, Instant since, String step);

  /** Waits on a line for which nobody has said who writes and that have not taken this step. */
  List<ReachedRow> listToIdentify(long lineId, String step, int limit);

  IdentifyAlert getIdentifyAlert();

  void setIdentifyAlert(IdentifyAlert wanted);
}
