package fabulum.server.ownership.store;

/** How many of an owner's. */
public record OwnerCountRow(long ownerId, int waiting) {}
