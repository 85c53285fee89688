package fabulum.server.inbox;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A stretch of the list.
 *
 * @param seen up to when whoever asks has read these conversations; those they never opened are
 *     left out
 * @param next where the following stretch begins; empty at the end
 */
public record InboxPage(List<ConversationView> rows, List<Seen> seen, @Nullable String next) {}
