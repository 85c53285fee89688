package fabulum.core.access;

import java.util.OptionalLong;

/**
 * Where a conversation is, as far as that decides who sees it.
 *
 * @param team it was handed to, other than the line's
 */
public record Spot(long line, OptionalLong owner, OptionalLong team) {}
