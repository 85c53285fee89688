package fabulum.server.figures.store;

import fabulum.core.report.Measure;
import org.jspecify.annotations.Nullable;

/**
 * Which entries stand behind a figure.
 *
 * @param firstAnswer only first answers
 * @param topicId -1 for about nothing
 * @param late only those that broke their promise
 */
public record BehindChoice(
    Measure measure,
    boolean firstAnswer,
    @Nullable Long staffId,
    @Nullable Long topicId,
    @Nullable String reason,
    boolean late) {

  /** Those of which the network gave no reason. */
  public boolean withoutReason() {
    return FailureRow.NO_REASON.equals(reason);
  }
}
