package fabulum.server.figures.store;

import java.time.LocalDate;

/** How many texts did not arrive on a day for a reason. */
public record FailureRow(long lineId, LocalDate onDay, String reason, long texts) {
  /** Said for those of which the network gave no reason. */
  public static final String NO_REASON = "no reason given";
}
