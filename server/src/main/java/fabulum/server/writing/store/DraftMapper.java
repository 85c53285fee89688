package fabulum.server.writing.store;

import fabulum.server.writing.BegunDraft;
import fabulum.server.writing.Draft;
import fabulum.server.writing.DraftView;
import fabulum.server.writing.Paper;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;

/** Drafts in the database. */
@Mapper
public interface DraftMapper {
  List<DraftView> list(long staffId, long conversationId);

  void keep(long staffId, long conversationId, Draft draft, Instant at);

  /** What those who have left had begun to write here. */
  List<LeftDraftRow> listLeft(long conversationId);

  List<BegunDraft> listOf(long staffId, int limit);

  void delete(long staffId, long conversationId, Paper paper);
}
