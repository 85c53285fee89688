package fabulum.server.sentences.store;

import fabulum.core.conversation.Group;
import fabulum.server.inbox.ListOrder;
import fabulum.server.sentences.SavedIn;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A row of sentence. The id of a row not yet inserted is 0.
 *
 * @param mailedSince since when its maker gets it by mail each Monday; null for not
 */
public record SentenceRow(
    long id,
    long staffId,
    @Nullable Long teamId,
    String name,
    String said,
    SavedIn place,
    @Nullable Group box,
    @Nullable ListOrder listOrder,
    @Nullable Instant mailedSince) {}
