package fabulum.server.cost;

import fabulum.core.cost.AllowanceSpan;
import org.jspecify.annotations.Nullable;

/**
 * How many parts may be sent in a time.
 *
 * @param staffId by whom; null for anyone
 * @param teamId from the lines of which team; null for all
 * @param parts 0 for none at all
 */
public record AllowanceSetup(
    @Nullable Long staffId, @Nullable Long teamId, AllowanceSpan span, int parts) {

  /** Whether a text is counted in it. */
  boolean counts(long writer, long team) {
    boolean byThem = staffId == null || staffId == writer;
    boolean fromThere = teamId == null || teamId == team;
    return byThem && fromThere;
  }
}
