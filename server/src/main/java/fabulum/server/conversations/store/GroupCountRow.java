package fabulum.server.conversations.store;

import fabulum.core.conversation.Group;

/** How many conversations stand in a group. */
public record GroupCountRow(Group box, int conversations) {}
