package fabulum.server.people.store;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A row of absence. */
public record AbsenceRow(
    long staffId, LocalDate firstDay, LocalDate lastDay, @Nullable Long coverId) {}
