package fabulum.server.inbox.store;

/**
 * How many answers of an owner are late.
 *
 * @param ownerId 0 for what nobody owns
 */
public record LateRow(long ownerId, int late) {}
