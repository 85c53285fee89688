package fabulum.server.presence.store;

import java.time.Instant;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Read marks in the database. */
@Mapper
public interface SeenMapper {
  @Nullable Instant find(long staffId, long conversationId);

  /** Nothing when there is one: two tabs may open it at once. */
  void insert(long staffId, long conversationId, Instant at);

  void moveOn(long staffId, long conversationId, Instant at);
}
