package fabulum.server.setup.store;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A row of setup_change. The id of a row not yet inserted is 0. */
public record ChangeRow(
    long id,
    Instant at,
    long staffId,
    String subject,
    String what,
    @Nullable String before,
    @Nullable String after) {}
