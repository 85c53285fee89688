package fabulum.server.conversations.store;

import fabulum.server.conversations.EntryKind;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** SQL for texts of the time before. */
@Mapper
public interface PastTextMapper {
  /** Who wrote a text of ours who is nobody on the staff. */
  record AuthorRow(long entryId, String author) {}

  boolean exists(String mark);

  /** Whether the script has such a text between two times. */
  boolean existsLike(
      long lineId, String address, EntryKind kind, Instant from, Instant until, String words);

  void insert(long entryId, long act, String mark, @Nullable String author);

  List<AuthorRow> listAuthors(List<Long> ids);

  List<Long> listOf(long act, int limit);

  void delete(List<Long> ids);

  void deleteEntries(List<Long> ids);

  /** Works out anew when the last text came in. */
  void setHeardAgain(long conversationId);

  /** Works out anew when the first text came from a number. */
  void setFirstWroteAgain(long numberId);
}
