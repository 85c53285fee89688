package fabulum.server.conversations.changes;

import fabulum.server.topics.TopicId;

/** Every conversation that had one topic has the other instead. */
public record TopicsMerged(TopicId from, TopicId into) {}
