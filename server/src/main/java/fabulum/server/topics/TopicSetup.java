package fabulum.server.topics;

import org.jspecify.annotations.Nullable;

/**
 * What is set up about a topic.
 *
 * @param name unique within its team, 1 to 30 characters
 * @param promiseMinutes of working time; empty for as the line promises
 * @param retired no longer given
 */
public record TopicSetup(
    String name, TopicColour colour, @Nullable Integer promiseMinutes, boolean retired) {}
