package fabulum.server.topics;

/** Names one topic. */
public record TopicId(long value) {}
