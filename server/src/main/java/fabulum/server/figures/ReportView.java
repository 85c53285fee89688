package fabulum.server.figures;

import fabulum.core.sentence.ReportSentence.By;
import fabulum.core.sentence.ReportSentence.Subject;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Figures as a table.
 *
 * @param said the sentence, as addresses carry it
 * @param first the first day that counts
 * @param last the last day that counts
 * @param total of everything the sentence means; rows may overlap, those of topics do
 * @param percent how much of all days is summed up; below 100 only while all are summed again
 */
public record ReportView(
    String said,
    Subject subject,
    By by,
    LocalDate first,
    LocalDate last,
    List<Column> columns,
    List<FigureRow> rows,
    FigureRow total,
    int percent) {
  public ReportView {
    columns = List.copyOf(columns);
    rows = List.copyOf(rows);
  }

  /** What the values of a column are. */
  public enum Unit {
    COUNT,
    /** A number with a fraction. */
    NUMBER,
    /** Seconds of working time. */
    SECONDS,
    /** A share of one, from 0 to 1. */
    SHARE,
    MONEY
  }

  /**
   * A column.
   *
   * @param currency ISO 4217; only for money
   */
  public record Column(String name, Unit unit, @Nullable String currency) {}

  /**
   * A row.
   *
   * @param key names it in an address: a date, the Monday of a week, a month, an hour or an id
   * @param label as people say it; of times the key
   * @param values one for each column; null where there is nothing to say
   */
  public record FigureRow(String key, String label, List<@Nullable BigDecimal> values) {}
}
