package fabulum.server.conversations;

import fabulum.core.conversation.ConversationState;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.conversations.store.SpanMapper;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * From when until when something held in a conversation: a customer waited, or it was about a
 * topic. To be used within a transaction.
 */
@Component
class Spans {
  private final SpanMapper waits;
  private final ConversationMapper conversations;

  Spans(SpanMapper waits, ConversationMapper conversations) {
    this.waits = waits;
    this.conversations = conversations;
  }

  /**
   * Keeps waits that end. One that goes on after all, because its answer was lost or taken back, is
   * dropped or cut, so that those of a conversation never overlap.
   */
  void keepWait(Conversation row, ConversationState after, Instant at) {
    Optional<Instant> before = row.state().waitingSince();
    Optional<Instant> now = after.waitingSince();
    if (before.equals(now)) {
      return;
    }
    before.ifPresent(since -> {
      Instant ended = now.orElse(at);
      if (since.isBefore(ended)) {
        waits.deleteFrom(row.id(), since);
        waits.insert(row.id(), since, ended);
      }
    });
    now.ifPresent(since -> {
      waits.deleteFrom(row.id(), since);
      waits.cut(row.id(), since);
    });
  }

  /** Says what it is about, from its opening on. */
  void addTopic(long conversation, long topic) {
    conversations.addTopic(conversation, topic);
    waits.beginTopic(conversation, topic);
  }

  /** It is not about that since its opening; false when it was not so before. */
  boolean removeTopic(long conversation, long topic) {
    waits.dropTopic(conversation, topic);
    waits.endTopic(conversation, topic);
    return conversations.removeTopic(conversation, topic) > 0;
  }
}
