package fabulum.server.mail;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A mail that could not be sent yet.
 *
 * @param nextAt when it is tried again by itself
 * @param problem what the mail server said last
 */
public record StuckMail(
    long id,
    String address,
    String subject,
    Instant madeAt,
    Instant nextAt,
    int attempts,
    @Nullable String problem) {}
