package fabulum.server.conversations;

/** How many conversations stand where. {@code toIdentify} counts the open ones only. */
public record InboxCounts(int ourTurn, int theirTurn, int done, int toIdentify) {}
