package fabulum.server.figures;

import fabulum.core.sentence.ReportSentence;
import fabulum.core.sentence.ReportSentence.By;
import fabulum.server.figures.ReportView.Column;
import fabulum.server.figures.ReportView.Unit;
import fabulum.server.figures.store.CostRow;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** The columns of costs: texts, parts, and the amount in each currency there is. */
final class CostTable {
  private final List<CostRow> costs;
  private final List<String> currencies;

  CostTable(List<CostRow> costs) {
    this.costs = costs;
    this.currencies =
        costs.stream()
            .map(CostRow::currency)
            .filter(currency -> !currency.isEmpty())
            .distinct()
            .sorted()
            .toList();
  }

  List<Column> columns() {
    List<Column> columns = new ArrayList<>();
    columns.add(new Column("Texts", Unit.COUNT, null));
    columns.add(new Column("Parts sent", Unit.COUNT, null));
    currencies.forEach(currency -> columns.add(new Column("Cost", Unit.MONEY, currency)));
    return columns;
  }

  Map<String, List<CostRow>> byKey(ReportSentence sentence, Keys keys) {
    Function<CostRow, String> own =
        row -> sentence.by() == By.KIND ? row.kind().name() : String.valueOf(row.staffId());
    return costs.stream()
        .collect(Collectors.groupingBy(row -> keys.of(row.lineId(), row.onDay(), own.apply(row))));
  }

  List<@Nullable BigDecimal> values(List<CostRow> rows) {
    List<@Nullable BigDecimal> values = new ArrayList<>();
    values.add(BigDecimal.valueOf(rows.stream().mapToLong(CostRow::texts).sum()));
    values.add(BigDecimal.valueOf(rows.stream().mapToLong(CostRow::parts).sum()));
    for (String currency : currencies) {
      values.add(
          rows.stream()
              .filter(row -> row.currency().equals(currency))
              .map(CostRow::cost)
              .reduce(BigDecimal.ZERO, BigDecimal::add));
    }
    return values;
  }
}
