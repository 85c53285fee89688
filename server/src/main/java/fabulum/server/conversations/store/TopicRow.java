package fabulum.server.conversations.store;

/** A row of conversation_topic. */
public record TopicRow(long conversationId, long topicId) {}
