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
 * @param place where it was saved
 * @param group of the inbox; null for one of History
 * @param order of the inbox; null for one of History
 * @param count how many it means now in its group; null for one of History, which is not counted
 * @param many there are at least this number
 * @param mailed I get its report by mail each Monday
 */
public record SentenceView(
    long id,
    String name,
    String said,
    SavedIn place,
    @Nullable Group group,
    @Nullable ListOrder order,
    @Nullable Long teamId,
    boolean mine,
    @Nullable Integer count,
    boolean many,
    boolean mailed) {}
