package fabulum.server.exports.store;

import fabulum.server.exports.ExportFormat;
import fabulum.server.exports.ExportState;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A row of export. The id of a row not yet inserted is 0. */
public record ExportRow(
    long id,
    long staffId,
    String said,
    String title,
    ExportFormat format,
    boolean withFiles,
    ExportState state,
    int done,
    int total,
    @Nullable String why,
    Instant madeAt) {}
