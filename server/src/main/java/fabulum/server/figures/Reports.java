package fabulum.server.figures;

import fabulum.core.report.DaySums;
import fabulum.core.report.Measure;
import fabulum.core.report.Sum;
import fabulum.core.sentence.ReportSentence;
import fabulum.core.sentence.ReportSentence.By;
import fabulum.core.sentence.ReportSentence.Subject;
import fabulum.server.access.StaffId;
import fabulum.server.figures.ReportColumns.Sums;
import fabulum.server.figures.ReportView.Column;
import fabulum.server.figures.ReportView.FigureRow;
import fabulum.server.figures.ReportView.Unit;
import fabulum.server.figures.store.CostRow;
import fabulum.server.figures.store.FigureMapper;
import fabulum.server.figures.store.SumRow;
import fabulum.server.inbox.Workload;
import fabulum.server.inbox.Workload.Load;
import fabulum.server.platform.Problem;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Reports: what a sentence means, in figures. Leads see all; everyone sees their own. */
@Service
public class Reports {
  private final FigureMapper rows;
  private final FigureKeeper keeper;
  private final Labels labels;
  private final Scopes scopes;
  private final WaitingWeek week;
  private final Workload workload;

  Reports(
      FigureMapper rows,
      FigureKeeper keeper,
      Labels labels,
      Scopes scopes,
      WaitingWeek week,
      Workload workload) {
    this.rows = rows;
    this.keeper = keeper;
    this.labels = labels;
    this.scopes = scopes;
    this.week = week;
    this.workload = workload;
  }

  /** Reads a sentence about figures; the problem says what cannot be read. */
  public static ReportSentence read(String said) {
    return Problem.reading("sentence", () -> ReportSentence.read(said));
  }

  /** The figures a sentence means, up to this moment. */
  public ReportView report(ReportSentence sentence, StaffId asking) {
    if (sentence.subject() == Subject.WAITS) {
      return week.week(sentence, asking).report();
    }
    scopes.requireMayKnow(sentence, asking);
    keeper.upToDate();
    Scope scope = scopes.of(sentence, asking);
    Keys keys = new Keys(sentence.by(), scope);
    if (sentence.subject() == Subject.COST) {
      return costs(sentence, scope, keys);
    }
    if (sentence.by() == By.HOUR) {
      return hours(sentence, scope, keys);
    }
    ReportView sums = sums(sentence, scope, keys);
    return sentence.subject() == Subject.PEOPLE ? withDesks(sums, workload.list(asking)) : sums;
  }

  /** Sums all days again from the entries, in the background; for leads. */
  public void sumAgain(StaffId asking) {
    scopes.requireLead(asking);
    keeper.sumAgainLater();
  }

  /** What each has now stands beside what they did. */
  private static ReportView withDesks(ReportView report, Map<Long, Load> desks) {
    Map<String, Integer> open = new HashMap<>();
    desks.forEach((owner, desk) ->
        open.put(String.valueOf(owner), desk.ourTurn() + desk.theirTurn() + desk.setAside()));
    List<FigureRow> rows =
        report.rows().stream().map(row -> with(row, open.getOrDefault(row.key(), 0))).toList();
    int all = report.rows().stream().mapToInt(row -> open.getOrDefault(row.key(), 0)).sum();
    List<Column> columns = new ArrayList<>(report.columns());
    columns.add(new Column("Open now", Unit.COUNT, null));
    return new ReportView(
        report.said(),
        report.subject(),
        report.by(),
        report.first(),
        report.last(),
        columns,
        rows,
        with(report.total(), all),
        report.percent());
  }

  private static FigureRow with(FigureRow row, int more) {
    List<@Nullable BigDecimal> values = new ArrayList<>(row.values());
    values.add(BigDecimal.valueOf(more));
    return new FigureRow(row.key(), row.label(), values);
  }

  private ReportView sums(ReportSentence sentence, Scope scope, Keys keys) {
    ReportColumns columns = ReportColumns.of(sentence.subject());
    boolean byTopic = sentence.by() == By.TOPIC;
    List<SumRow> all = list(sentence, scope, columns, sentence.topic().orElse(DaySums.ALL_TOPICS));
    List<SumRow> split =
        byTopic && sentence.topic().isEmpty() ? list(sentence, scope, columns, null) : all;
    boolean byReason = sentence.by() == By.REASON;
    Map<String, List<SumRow>> sorted =
        byReason
            ? Map.of()
            : split.stream()
                .collect(
                    Collectors.groupingBy(row ->
                        keys.of(
                            row.lineId(),
                            row.onDay(),
                            String.valueOf(byTopic ? row.topicId() : row.staffId()))));
    Map<String, Sums> byKey = new HashMap<>();
    sorted.forEach((key, some) -> byKey.put(key, added(some)));
    if (byReason) {
      byKey.putAll(reasons(scope, added(all)));
    }
    return view(
        sentence,
        scope,
        keys,
        columns.columns(),
        byKey,
        columns::values,
        added(all),
        new Sums(Map.of()));
  }

  private List<SumRow> list(
      ReportSentence sentence, Scope scope, ReportColumns columns, @Nullable Long topic) {
    Long person = sentence.person().isPresent() ? sentence.person().getAsLong() : null;
    List<SumRow> found = new ArrayList<>();
    for (long line : scope.lineIds()) {
      found.addAll(
          rows.listSums(line, scope.first(), scope.last(), columns.measures(), topic, person));
    }
    return found;
  }

  private static Sums added(List<SumRow> some) {
    Map<Measure, List<Sum>> byMeasure = new EnumMap<>(Measure.class);
    some.forEach(row ->
        byMeasure.computeIfAbsent(row.measure(), anyMeasure -> new ArrayList<>()).add(row.sum()));
    Map<Measure, Sum> sums = new EnumMap<>(Measure.class);
    byMeasure.forEach((measure, all) -> sums.put(measure, Sum.of(all)));
    return new Sums(sums);
  }

  /** Each reason, as a share of all that was sent. */
  private Map<String, Sums> reasons(Scope scope, Sums all) {
    Map<String, Long> counts = new HashMap<>();
    for (long line : scope.lineIds()) {
      rows.listFailures(line, scope.first(), scope.last())
          .forEach(row -> counts.merge(row.reason(), row.texts(), Long::sum));
    }
    Map<String, Sums> reasons = new HashMap<>();
    counts.forEach((reason, count) -> {
      Map<Measure, Sum> sums = new EnumMap<>(Measure.class);
      sums.putAll(all.of());
      sums.put(Measure.NOT_DELIVERED, new Sum(count, count, Sum.NONE.seconds()));
      reasons.put(reason, new Sums(sums));
    });
    return reasons;
  }

  private ReportView hours(ReportSentence sentence, Scope scope, Keys keys) {
    ReportColumns columns = ReportColumns.of(Subject.TEXTS);
    Map<String, Sums> byHour = DayHours.texts(rows, scope);
    Sums total = DayHours.total(byHour.values());
    return view(
        sentence,
        scope,
        keys,
        columns.columns(),
        byHour,
        columns::values,
        total,
        new Sums(Map.of()));
  }

  private ReportView costs(ReportSentence sentence, Scope scope, Keys keys) {
    Long person = sentence.person().isPresent() ? sentence.person().getAsLong() : null;
    List<CostRow> all =
        scope.lineIds().stream()
            .flatMap(line -> rows.listCosts(line, scope.first(), scope.last(), person).stream())
            .toList();
    CostTable table = new CostTable(all);
    return view(
        sentence,
        scope,
        keys,
        table.columns(),
        table.byKey(sentence, keys),
        table::values,
        all,
        List.of());
  }

  private <T> ReportView view(
      ReportSentence sentence,
      Scope scope,
      Keys keys,
      List<Column> columns,
      Map<String, T> byKey,
      Function<T, List<@Nullable BigDecimal>> values,
      T all,
      T none) {
    Map<String, String> names = labels.of(sentence.by());
    Map<String, T> shown = new LinkedHashMap<>();
    keys.always(scope).forEach(key -> shown.put(key, byKey.getOrDefault(key, none)));
    byKey.forEach(shown::putIfAbsent);
    Comparator<FigureRow> order =
        sentence.by().isTime() || sentence.by() == By.HOUR
            ? Comparator.comparing(FigureRow::key)
            : Comparator.comparing(FigureRow::label, String.CASE_INSENSITIVE_ORDER);
    List<FigureRow> made =
        shown.entrySet().stream()
            .map(each ->
                new FigureRow(
                    each.getKey(),
                    names.getOrDefault(each.getKey(), each.getKey()),
                    values.apply(each.getValue())))
            .sorted(order)
            .toList();
    return new ReportView(
        sentence.text(),
        sentence.subject(),
        sentence.by(),
        scope.first(),
        scope.last(),
        columns,
        made,
        new FigureRow("", "All", values.apply(all)),
        keeper.percent());
  }
}
