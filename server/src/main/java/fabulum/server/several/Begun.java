package fabulum.server.several;

import java.time.Instant;

/** Words begun, and under which reference they will be sent. */
public record Begun(String words, String reference, Instant at) {}
