package fabulum.server.sentences;

import fabulum.core.conversation.Group;
import fabulum.server.inbox.ListOrder;
import org.jspecify.annotations.Nullable;

/**
 * A saved sentence.
 *
 * @param said as addresses carry it
 * @param teamId whose it is; empty for my own
 * @param mine I saved it, so I may change or drop it
 * @param count how many it means now in its group
 * @param many there are at least this number
 */
public record SentenceView(
    long id,
    String name,
    String said,
    Group group,
    ListOrder order,
    @Nullable Long teamId,
    boolean mine,
    int count,
    boolean many) {}
