package fabulum.standins;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A text a handset sent.
 *
 * @param group the other numbers it went to; null for a text to the line alone
 */
public record Received(
    String id,
    String from,
    String to,
    String body,
    Instant receivedAt,
    @Nullable List<Media> media,
    @Nullable List<String> group) {}
