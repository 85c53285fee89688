package fabulum.server.writing.store;

import fabulum.server.writing.Paper;
import java.time.Instant;

/** Words that a person who has left had begun to write. */
public record LeftDraftRow(long staffId, Paper paper, String words, Instant at) {}
