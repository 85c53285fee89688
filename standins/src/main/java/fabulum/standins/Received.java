package fabulum.standins;

import java.time.Instant;

/** A text a handset sent. */
public record Received(String id, String from, String to, String body, Instant receivedAt) {}
