package fabulum.server.access;

import java.time.Instant;

/**
 * A colleague who was brought into one conversation.
 *
 * @param staff who
 * @param by who brought them in
 * @param mayAnswer whether they may text the customer as well
 */
public record Guest(long conversation, long staff, long by, boolean mayAnswer, Instant since) {}
