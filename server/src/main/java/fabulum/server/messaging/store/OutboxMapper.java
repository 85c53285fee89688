package fabulum.server.messaging.store;

import fabulum.core.sending.Author.Lane;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** The outbox in the database. A process claims a text before it takes it to the network. */
@Mapper
public interface OutboxMapper {
  /** Adds a text; {@code owed} when it goes also to someone who opted out. */
  void insert(long entryId, long conversationId, Lane lane, Instant wantedAt, boolean owed);

  /**
   * What waits to go to a number and nobody has, but for what is owed to someone who opted out.
   *
   * @param lineId from which line; null for all
   */
  List<WaitingRow> listWaitingFor(long numberId, @Nullable Long lineId, Instant now);

  /** Returns 0 when a process has it by now, or it is gone. */
  int deleteUnclaimed(long id, Instant now);

  /**
   * Takes a text out that was never on its way.
   *
   * @return 0 when it is gone, or a process has or had it
   */
  int deleteUntried(long entryId);

  /** All that waits in a conversation waits in the lane of single texts from now on. */
  void moveUp(long conversationId);

  /** The first waiting text of each conversation in a lane, where it is due and nobody has it. */
  List<OutboxRow> listDue(Lane lane, Instant now, int limit);

  /**
   * Claims a text that is due for a process.
   *
   * @return 0 when another has it, or it is gone or not due
   */
  int claim(long id, String by, Instant now, Instant until);

  OutboxRow get(long id);

  Optional<OutboxRow> findClaimed(long id, String by);

  void release(long id, String by);

  /**
   * What this process had claimed when it ended is free again, and is asked about first, like
   * everything that nobody has.
   *
   * @return how many texts wait
   */
  int takeBackAll(String by);

  /** Plans the next attempt of a text this process has, and frees it. */
  int tryAgain(long id, String by, Instant nextAt, boolean askFirst);

  int delete(long id, String by);

  int count();

  /** When the first that waits is or was due; null for none. */
  @Nullable Instant findFirstDue();
}
