package fabulum.server.messaging.store;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;

/** The outbox in the database. */
@Mapper
public interface OutboxMapper {
  void insert(long entryId, long conversationId, Instant wantedAt);

  /** The first waiting text of each conversation, where it is due. */
  List<OutboxRow> listDue(Instant now, int limit);

  /** The row, where it still waits and is due. */
  Optional<OutboxRow> findDue(long id, Instant now);

  Optional<OutboxRow> find(long id);

  int askFirstForAll();

  void tryAgain(long id, Instant nextAt, boolean askFirst);

  void delete(long id);
}
