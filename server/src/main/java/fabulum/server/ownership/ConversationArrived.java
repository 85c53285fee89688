package fabulum.server.ownership;

import fabulum.server.conversations.ConversationId;
import fabulum.server.lines.LineId;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A customer began to wait for us, and it was given out if it could be. Told within the
 * transaction, once a wait.
 *
 * @param owner whose it is then
 * @param team it was handed to, other than the line's
 * @param since when the wait began
 * @param notGiven why the line could give it to nobody, where it tried
 */
public record ConversationArrived(
    ConversationId id,
    LineId line,
    @Nullable Long owner,
    @Nullable Long team,
    Instant since,
    @Nullable String notGiven) {}
