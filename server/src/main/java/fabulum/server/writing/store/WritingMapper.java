package fabulum.server.writing.store;

import fabulum.server.conversations.Conversation;
import fabulum.server.conversations.Entry;
import fabulum.server.conversations.SightColumns;
import fabulum.server.writing.NoteBefore;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Notes, and what stands in the way of a text. */
@Mapper
public interface WritingMapper {
  List<Conversation> listOfNumbers(List<Long> ids, SightColumns sight);

  /** The line on which a customer wrote last, in any of these conversations; null for never. */
  @Nullable Long findLastWrittenTo(List<Long> conversations);

  /** The newest answer that another person gave after an entry. */
  Optional<Entry> findAnswerAfter(long conversationId, long after, long butBy);

  /** Keeps what a note says, before it says something else. */
  void keepBefore(long id, Instant at);

  void rewrite(long id, String words, Instant at);

  void withdraw(long id, Instant at);

  List<NoteBefore> listBefore(long id);

  void insertMention(long id, long staffId);

  /** Whom a note names. */
  List<Long> listMentioned(long id);
}
