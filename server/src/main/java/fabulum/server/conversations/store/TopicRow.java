package fabulum.server.conversations.store;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** A topic of a conversation. */
public record TopicRow(long conversationId, long topicId) {

  /** The topics of each conversation that has any. */
  public static Map<Long, Set<Long>> byConversation(List<TopicRow> rows) {
    return rows.stream()
        .collect(
            Collectors.groupingBy(
                TopicRow::conversationId,
                Collectors.mapping(TopicRow::topicId, Collectors.toSet())));
  }
}
