package fabulum.server.topics;

import org.jspecify.annotations.Nullable;

/**
 * A topic.
 *
 * @param promiseMinutes of working time within which it is answered; empty for as the line promises
 * @param retired no longer given; conversations keep it
 * @param mergedInto the topic that stands for it since
 * @param version grows with each change
 */
public record TopicView(
    long id,
    long teamId,
    String name,
    TopicColour colour,
    @Nullable Integer promiseMinutes,
    boolean retired,
    @Nullable Long mergedInto,
    long version) {}
