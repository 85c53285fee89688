package fabulum.server.programs;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Another program and what it did lately.
 *
 * @param keyStart the first characters of its key, to tell keys apart
 * @param madeBy the lead who made it
 * @param endedAt since when its key holds no more; null while it does
 * @param reads what it read in the last 30 days, in requests
 * @param changes what it changed in the last 30 days, in requests
 * @param refused what was refused to it in the last 30 days, in requests
 */
public record ProgramView(
    long id,
    String name,
    String keyStart,
    List<ProgramRight> rights,
    long madeBy,
    Instant madeAt,
    @Nullable Instant endedAt,
    @Nullable Instant lastUsedAt,
    long reads,
    long changes,
    long refused) {}
