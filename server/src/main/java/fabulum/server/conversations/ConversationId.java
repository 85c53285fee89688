package fabulum.server.conversations;

/** Names one conversation. */
public record ConversationId(long value) {}
