package fabulum.server.access;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A change of who may see or do what.
 *
 * @param by who made it; empty for the program itself
 * @param about the person, team or line it concerns
 */
public record AccessChange(
    long id,
    Instant at,
    @Nullable String by,
    String about,
    String what,
    @Nullable String before,
    @Nullable String after) {}
