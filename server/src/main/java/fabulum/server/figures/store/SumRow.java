package fabulum.server.figures.store;

import fabulum.core.report.Measure;
import fabulum.core.report.Seconds;
import fabulum.core.report.Sum;
import java.time.LocalDate;

/** One sum of a day. */
public record SumRow(
    long lineId,
    long topicId,
    Measure measure,
    LocalDate onDay,
    long staffId,
    long n,
    long kept,
    byte[] seconds) {
  /** What was counted. */
  public Sum sum() {
    return new Sum(n, kept, Seconds.read(seconds));
  }
}
