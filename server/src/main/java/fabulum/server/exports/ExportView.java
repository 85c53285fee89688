package fabulum.server.exports;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * An export of mine.
 *
 * @param said what it is of, as a sentence of History
 * @param title the same in words
 * @param withFiles whether what goes or came with the texts is taken out as well
 * @param done lines that are written
 * @param total lines there are, as far as known
 * @param why it failed
 * @param until when its file can be fetched
 */
public record ExportView(
    long id,
    String said,
    String title,
    ExportFormat format,
    boolean withFiles,
    ExportState state,
    int done,
    int total,
    @Nullable String why,
    Instant madeAt,
    Instant until) {}
