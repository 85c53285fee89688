package fabulum.server.notices.store;

import fabulum.server.notices.Step;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;

/** Ladders in the database. */
@Mapper
public interface LadderMapper {
  List<Step> listOfLine(long lineId);

  List<Step> listOfTeam(long teamId);

  void insertOfLine(long lineId, Step step);

  void insertOfTeam(long teamId, Step step);

  void deleteOfLine(long lineId);

  void deleteOfTeam(long teamId);

  /** Those on our turn on a line, due in a stretch of time, whose wait has not taken a step yet. */
  List<ReachedRow> listReached(
      long lineId, Instant dueAfter, Instant dueBy, String step, int limit);

  /** Whether a wait has taken a step. */
  boolean isTaken(long conversationId, Instant since, String step);

  void take(long conversationId, Instant since, String step);
}
