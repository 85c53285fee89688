package fabulum.server.imports;

import fabulum.core.imports.RowReader.Customer;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A row of a file and what becomes of it.
 *
 * @param customer what it says; null when it is refused
 * @param known whom it means, or may mean; null for nobody
 * @param words what changes, or why it is refused or asked about
 */
record PlannedRow(
    long line,
    String shown,
    Fate fate,
    @Nullable Customer customer,
    @Nullable Long known,
    @Nullable String knownName,
    List<String> words) {}
