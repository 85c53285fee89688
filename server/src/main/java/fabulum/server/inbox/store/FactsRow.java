package fabulum.server.inbox.store;

import fabulum.core.conversation.Group;
import org.jspecify.annotations.Nullable;

/** What counting needs of a conversation. */
public record FactsRow(
    long id,
    long version,
    Group box,
    long lineId,
    @Nullable Long ownerId,
    @Nullable Long teamId,
    @Nullable Long startedBy,
    boolean toIdentify,
    boolean failed) {}
