package fabulum.server.several;

/**
 * A conversation that is left alone.
 *
 * @param name of the customer, or the number
 * @param why a sentence
 */
public record Skipped(long conversationId, String name, String why) {}
