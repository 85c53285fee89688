package fabulum.server.sending.store;

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
   * @param butNot the reference of the text that is asked about; null for none
   */
  Optional<SentRow> findSame(long numberId, String words, Instant since, @Nullable String butNot);

  /** Whether a text came in a conversation since then. */
  boolean existsReceived(long conversationId, Instant since);
}
