package fabulum.server.figures.store;

import fabulum.core.report.Measure;
import java.time.Instant;
import java.time.YearMonth;
import java.time.ZoneOffset;
import java.util.Comparator;

/**
 * An entry that stands behind a figure.
 *
 * @param inMonth of the year in UTC, as {@link #month} says it
 * @param beyond seconds beyond what was promised; where nothing was promised, how long it took
 * @param staffId who did it; 0 for nobody
 * @param late it broke its promise
 */
public record CaseRow(
    long entryId,
    long conversationId,
    long lineId,
    Measure measure,
    int inMonth,
    long beyond,
    Instant at,
    long staffId,
    boolean late,
    boolean firstAnswer) {

  /** Those furthest beyond their promise first, then the latest. */
  public static final Comparator<CaseRow> FURTHEST_FIRST =
      Comparator.comparingLong(CaseRow::beyond)
          .thenComparing(CaseRow::at)
          .thenComparingLong(CaseRow::entryId)
          .reversed();

  /** A month as a number that grows by one with each. */
  public static int month(Instant at) {
    YearMonth month = YearMonth.from(at.atOffset(ZoneOffset.UTC));
    return month.getYear() * 12 + month.getMonthValue() - 1;
  }
}
