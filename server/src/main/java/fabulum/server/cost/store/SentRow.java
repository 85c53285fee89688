package fabulum.server.cost.store;

import java.time.LocalDate;

/** A row of parts_sent; the writer is 0 for the program itself. */
public record SentRow(
    LocalDate onDay, long lineId, long teamId, long staffId, int texts, int parts) {}
