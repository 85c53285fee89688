package fabulum.server.writing;

import java.time.Instant;

/** Words that a person who has left had begun to write. */
public record LeftDraft(String by, Paper paper, String words, Instant at) {}
