package fabulum.server.conversations.store;

import fabulum.core.conversation.Group;
import fabulum.core.conversation.Turn;
import fabulum.server.conversations.InboxQuery.Whose;
import fabulum.server.conversations.SpokeLast;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Conversations in the database. */
@Mapper
public interface ConversationMapper {
  Optional<ConversationRow> find(long id);

  /** Holds the row until the transaction ends; read it afterwards. */
  Optional<Long> lock(long id);

  /** Holds the row until the transaction ends; read it afterwards. */
  Optional<Long> lockByLineAndNumber(long lineId, long numberId);

  long insert(
      long lineId,
      long numberId,
      @Nullable Long customerId,
      Group box,
      Turn turn,
      Instant since,
      @Nullable Instant dueAt,
      Instant sortAt,
      boolean toIdentify,
      Instant lastAt,
      String lastWords,
      SpokeLast lastSpeaker);

  void setState(
      long id,
      Group box,
      Turn turn,
      Instant since,
      boolean finishedUnanswered,
      @Nullable Instant dueAt,
      Instant sortAt);

  void setLast(long id, Instant at, String words, SpokeLast speaker);

  void setOwner(long id, @Nullable Long staffId);

  void setFailed(long id, boolean failed);

  void nextVersion(long id);

  List<ConversationRow> list(
      Group box,
      boolean oldestFirst,
      Whose whose,
      long asking,
      @Nullable Long lineId,
      boolean toIdentify,
      @Nullable Instant afterSort,
      @Nullable Long afterId,
      int limit);

  /** Everyone who waits on us. */
  List<ConversationRow> listWaiting();

  List<GroupCountRow> count(Whose whose, long asking, @Nullable Long lineId, boolean toIdentify);

  int countToIdentify();

  List<ConversationRow> listMatching(String pattern, @Nullable String digits, int limit);
}
