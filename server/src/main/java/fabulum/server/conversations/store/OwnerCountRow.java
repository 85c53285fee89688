package fabulum.server.conversations.store;

/** How many of an owner's. */
public record OwnerCountRow(long ownerId, int waiting) {}
