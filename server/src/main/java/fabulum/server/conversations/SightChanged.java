package fabulum.server.conversations;

import fabulum.core.access.Spot;

/** Who sees a conversation may have changed with it. */
public record SightChanged(ConversationId id, Spot before) {}
