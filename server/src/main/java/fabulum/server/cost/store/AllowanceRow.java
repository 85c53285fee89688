package fabulum.server.cost.store;

import fabulum.core.cost.AllowanceSpan;
import fabulum.server.cost.AllowanceSetup;
import org.jspecify.annotations.Nullable;

/** A row of allowance. */
public record AllowanceRow(
    long id, @Nullable Long staffId, @Nullable Long teamId, AllowanceSpan span, int parts) {

  /** What it says. */
  public AllowanceSetup setup() {
    return new AllowanceSetup(staffId, teamId, span, parts);
  }
}
