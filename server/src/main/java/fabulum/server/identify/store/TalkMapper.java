package fabulum.server.identify.store;

import fabulum.server.conversations.SightColumns;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;

/** What was said lately. */
@Mapper
public interface TalkMapper {
  Optional<Long> findNumber(String address);

  /** The conversations of numbers that someone sees. */
  List<Long> listConversations(List<Long> numbers, SightColumns sight);

  /** Texts of a conversation since a time, the newest first. */
  List<TalkRow> listTexts(long conversationId, Instant since, int limit);

  /** The numbers of customers, also those they gave up. */
  List<Long> listNumbers(List<Long> customers);

  /** Customers who have or had one of the numbers of a conversation. */
  List<Long> listCustomersOf(long conversationId);

  /** Open conversations of which nobody knows who writes, the newest first. */
  List<Long> listToIdentify(int limit);
}
