package fabulum.server.inbox;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A stretch of the list.
 *
 * @param next where the following stretch begins; empty at the end
 */
public record InboxPage(List<ConversationView> rows, @Nullable String next) {}
