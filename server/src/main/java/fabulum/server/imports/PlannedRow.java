package fabulum.server.imports;

import fabulum.core.imports.RowReader;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A row of a file and what becomes of it.
 *
 * @param said what it says; null when it is refused
 * @param known the customer whom it means, or may mean; null for nobody
 * @param words what changes, or why it is refused or asked about
 */
record PlannedRow(
    long line,
    String shown,
    Fate fate,
    RowReader.@Nullable Row said,
    @Nullable Long known,
    @Nullable String knownName,
    List<String> words) {

  /** What stands in a row, for people. */
  static String shown(Sheet.Row row) {
    String all =
        row.cells().stream().filter(cell -> !cell.isBlank()).collect(Collectors.joining(" · "));
    return all.length() <= 160 ? all : all.substring(0, 159) + "…";
  }

  /** A row that cannot be taken. */
  static PlannedRow refused(Sheet.Row row, List<String> why) {
    return new PlannedRow(row.line(), shown(row), Fate.REFUSED, null, null, null, why);
  }
}
