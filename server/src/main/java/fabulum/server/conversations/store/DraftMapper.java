package fabulum.server.conversations.store;

import fabulum.server.conversations.DraftView;
import fabulum.server.conversations.Paper;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;

/** Drafts in the database. */
@Mapper
public interface DraftMapper {
  List<DraftView> list(long staffId, long conversationId);

  void keep(long staffId, long conversationId, Paper paper, String words, Instant at);

  void delete(long staffId, long conversationId, Paper paper);
}
