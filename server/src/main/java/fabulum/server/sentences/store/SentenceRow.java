package fabulum.server.sentences.store;

import fabulum.core.conversation.Group;
import fabulum.server.inbox.ListOrder;
import fabulum.server.sentences.SavedIn;
import org.jspecify.annotations.Nullable;

/** A row of sentence. The id of a row not yet inserted is 0. */
public record SentenceRow(
    long id,
    long staffId,
    @Nullable Long teamId,
    String name,
    String said,
    SavedIn place,
    @Nullable Group box,
    @Nullable ListOrder listOrder) {}
