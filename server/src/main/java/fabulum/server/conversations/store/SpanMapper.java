package fabulum.server.conversations.store;

import java.time.Instant;
import org.apache.ibatis.annotations.Mapper;

/** For how long something held in a conversation: a customer waited, or it was about a topic. */
@Mapper
public interface SpanMapper {
  void insert(long conversationId, Instant since, Instant endedAt);

  /** Drops the waits that began then or later. */
  void deleteFrom(long conversationId, Instant since);

  /** Lets waits that ended later end then. */
  void cut(long conversationId, Instant at);

  /** It is about the topic from its opening on, if it is not already. */
  void beginTopic(long conversationId, long topicId);

  /** What began with this opening was never so. */
  void dropTopic(long conversationId, long topicId);

  /** What began before this opening was so until then. */
  void endTopic(long conversationId, long topicId);

  void mergeTopic(long from, long into);
}
