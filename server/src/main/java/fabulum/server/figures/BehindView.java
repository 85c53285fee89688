package fabulum.server.figures;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What stands behind a figure, those that took longest beyond their promise first.
 *
 * @param more there is more than is listed
 */
public record BehindView(List<CaseView> cases, boolean more) {
  public BehindView {
    cases = List.copyOf(cases);
  }

  /**
   * One of them.
   *
   * @param entryId where it stands in its script
   * @param name of the customer, or their number
   * @param by who did it; null for the program
   * @param seconds how long it took, in working time
   * @param promiseSeconds how long it should have taken at most
   * @param reason why a text did not arrive
   */
  public record CaseView(
      long conversationId,
      long entryId,
      String name,
      long lineId,
      Instant at,
      @Nullable String by,
      @Nullable Long seconds,
      @Nullable Long promiseSeconds,
      @Nullable String reason) {}
}
