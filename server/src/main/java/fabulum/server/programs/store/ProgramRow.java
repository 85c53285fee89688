package fabulum.server.programs.store;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A row of the table of programs, with its use. */
public record ProgramRow(
    long id,
    String name,
    String keyStart,
    String rights,
    long madeBy,
    Instant madeAt,
    @Nullable Instant endedAt,
    @Nullable Instant lastUsedAt,
    long reads,
    long changes,
    long refused) {}
