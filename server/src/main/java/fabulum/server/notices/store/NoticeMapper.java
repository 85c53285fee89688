package fabulum.server.notices.store;

import fabulum.core.notice.Kind;
import fabulum.core.notice.NoticeChannel;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;

/** Notices in the database. */
@Mapper
public interface NoticeMapper {
  boolean exists(long staffId, long conversationId, Kind kind, String about);

  long insert(NoticeRow row, String about, boolean shown);

  Optional<NoticeRow> find(long id);

  /** Takes back what was told of one occasion, from everybody. */
  void delete(long conversationId, String about);

  /** Those that stand in the application's list, the newest first. */
  List<NoticeRow> list(long staffId, int limit);

  void setSeen(long staffId, List<Long> ids, Instant at);

  void setSeenOfConversation(long staffId, long conversationId, Instant at);

  void setAllSeen(long staffId, Instant at);

  List<ChosenRow> listChosen(long staffId);

  void choose(long staffId, Kind kind, NoticeChannel channel, boolean chosen);
}
