package fabulum.server.attachments;

import java.time.Instant;

/**
 * What someone has put to a text that they have not sent.
 *
 * @param at when the latest was put there
 */
public record BegunPaper(long conversationId, int attached, Instant at) {}
