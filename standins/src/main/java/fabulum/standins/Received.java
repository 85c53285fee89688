package fabulum.standins;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A text a handset sent. */
public record Received(
    String id,
    String from,
    String to,
    String body,
    Instant receivedAt,
    @Nullable List<Media> media) {}
