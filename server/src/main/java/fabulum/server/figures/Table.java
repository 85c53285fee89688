package fabulum.server.figures;

import fabulum.server.figures.ReportView.Column;
import fabulum.server.figures.ReportView.FigureRow;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** A report as lines of values. */
public final class Table {
  private static final int DECIMALS = 4;
  private static final int MOST_ROWS = 100;

  private Table() {}

  /** Titles, rows and the total; times in whole seconds, shares from 0 to 1. */
  public static List<List<String>> of(ReportView report) {
    List<List<String>> lines = new ArrayList<>();
    lines.add(
        Stream.concat(
                Stream.of(report.by().name().toLowerCase(Locale.ROOT)),
                report.columns().stream().map(Table::title))
            .toList());
    report.rows().forEach(row -> lines.add(line(row)));
    lines.add(line(report.total()));
    return lines;
  }

  /** As a mail tells it: a line for each row that is not empty, at most 100 of the last ones. */
  public static String words(ReportView report) {
    StringBuilder words = new StringBuilder();
    words
        .append(report.subject().clause())
        .append(", ")
        .append(report.first())
        .append(" to ")
        .append(report.last())
        .append("\n\n")
        .append(told(report, report.total()));
    List<FigureRow> filled =
        report.rows().stream().filter(row -> row.values().stream().anyMatch(Table::says)).toList();
    filled.stream()
        .skip(Math.max(0, filled.size() - MOST_ROWS))
        .forEach(row -> words.append(told(report, row)));
    return words.toString();
  }

  private static boolean says(@Nullable BigDecimal value) {
    return value != null && value.signum() != 0;
  }

  private static String told(ReportView report, FigureRow row) {
    List<String> values = new ArrayList<>();
    for (int i = 0; i < report.columns().size(); i++) {
      BigDecimal value = row.values().get(i);
      if (value != null) {
        Column column = report.columns().get(i);
        values.add(column.name().toLowerCase(Locale.ROOT) + " " + told(column, value));
      }
    }
    return row.label() + ": " + String.join(", ", values) + "\n";
  }

  private static String told(Column column, BigDecimal value) {
    return switch (column.unit()) {
      case COUNT, NUMBER -> value.toPlainString();
      case SECONDS -> time(value.longValue());
      case SHARE -> value.movePointRight(2).setScale(0, RoundingMode.DOWN) + " %";
      case MONEY -> column.currency() + " " + value.setScale(2, RoundingMode.HALF_UP);
    };
  }

  /** 45 s, 12 min, 1 h 05. */
  private static String time(long seconds) {
    if (seconds < 60) {
      return seconds + " s";
    }
    long minutes = seconds / 60;
    return minutes < 60
        ? minutes + " min"
        : String.format(Locale.ROOT, "%d h %02d", minutes / 60, minutes % 60);
  }

  private static String title(Column column) {
    return switch (column.unit()) {
      case COUNT, NUMBER -> column.name();
      case SECONDS -> column.name() + " (seconds)";
      case SHARE -> column.name() + " (share)";
      case MONEY -> column.name() + " (" + column.currency() + ")";
    };
  }

  private static List<String> line(FigureRow row) {
    return Stream.concat(Stream.of(row.label()), row.values().stream().map(Table::plain)).toList();
  }

  private static String plain(@Nullable BigDecimal value) {
    if (value == null) {
      return "";
    }
    BigDecimal cut =
        value.scale() > DECIMALS ? value.setScale(DECIMALS, RoundingMode.HALF_UP) : value;
    return cut.toPlainString();
  }
}
