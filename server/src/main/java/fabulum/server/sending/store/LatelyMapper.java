package fabulum.server.sending.store;

import fabulum.core.agreement.TextKind;
import java.time.Instant;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** What went to a number and came from it lately. */
@Mapper
public interface LatelyMapper {
  /**
   * The newest text with the same words that went to a number.
   *
   * @param words as they were typed
   * @param length of the words
   * @param butNot the reference of the text that is asked about; null for none
   */
  Optional<SentRow> findSame(
      long numberId, String words, int length, Instant since, @Nullable String butNot);

  /** When the words that must stand under texts of a kind last went to a number. */
  Optional<Instant> findAppended(long numberId, TextKind kind);

  void deleteAppended(long numberId, TextKind kind);

  void insertAppended(long numberId, TextKind kind, long entryId, Instant at);

  /** A text did not leave, so nothing went to a number with it. */
  void deleteAppendedWith(long entryId);

  /** Whether a text came in a conversation since then. */
  boolean existsReceived(long conversationId, Instant since);

  /** Whether any text went or came in a conversation. */
  boolean existsText(long conversationId);
}
