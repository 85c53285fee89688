package fabulum.server.conversations;

import java.time.Instant;

/** Words begun and not yet sent. */
public record DraftView(Paper paper, String words, Instant at) {}
