package fabulum.server.conversations;

import fabulum.server.conversations.changes.TopicsMerged;
import fabulum.server.conversations.store.ConversationMapper;
import fabulum.server.conversations.store.SpanMapper;
import fabulum.server.feed.Change;
import fabulum.server.feed.ChangeFeed;
import fabulum.server.topics.TopicId;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts one topic in the place of another. */
@Service
public class TopicMerging {
  private final ConversationMapper conversations;
  private final SpanMapper spans;
  private final ChangeFeed feed;
  private final ApplicationEventPublisher events;

  TopicMerging(
      ConversationMapper conversations,
      SpanMapper spans,
      ChangeFeed feed,
      ApplicationEventPublisher events) {
    this.conversations = conversations;
    this.spans = spans;
    this.feed = feed;
    this.events = events;
  }

  /**
   * Replaces one topic by another on every conversation.
   *
   * @return how many had it
   */
  @Transactional
  public int mergeTopic(long from, long into) {
    conversations.copyTopic(from, into);
    int had = conversations.nextVersionByTopic(from);
    conversations.dropTopic(from);
    spans.mergeTopic(from, into);
    feed.append(Change.Kind.TOPICS, from, into, null);
    events.publishEvent(new TopicsMerged(new TopicId(from), new TopicId(into)));
    return had;
  }
}
