package fabulum.server.inbox;

/**
 * How many conversations stand where.
 *
 * @param toIdentify open ones to identify, whatever else is chosen
 * @param notDelivered open ones with a text of ours that was not delivered, whatever else is chosen
 * @param most counts that reach this are only known to be at least this number; 0 when all are
 *     exact
 */
public record InboxCounts(
    int ourTurn,
    int theirTurn,
    int setAside,
    int done,
    int toIdentify,
    int notDelivered,
    int most) {}
