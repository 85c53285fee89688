package fabulum.server.figures;

import fabulum.core.report.Measure;
import fabulum.core.report.Sum;
import fabulum.core.sentence.ReportSentence.Subject;
import fabulum.server.figures.ReportView.Column;
import fabulum.server.figures.ReportView.Unit;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** The columns of a report that is made from sums of days, and what stands in them. */
final class ReportColumns {
  private final List<Value> values;
  private final List<Measure> measures;

  private ReportColumns(List<Measure> measures, List<Value> values) {
    this.measures = measures;
    this.values = values;
  }

  private record Value(Column column, Function<Sums, @Nullable BigDecimal> of) {}

  /** The sums of one row. */
  record Sums(Map<Measure, Sum> of) {
    Sum get(Measure measure) {
      return of.getOrDefault(measure, Sum.NONE);
    }

    long count(Measure measure) {
      return get(measure).count();
    }
  }

  static ReportColumns of(Subject subject) {
    return switch (subject) {
      case ANSWERS -> timed(Measure.ANSWERED, "Answers");
      case FIRST_ANSWERS -> timed(Measure.FIRST_ANSWERED, "First answers");
      case DONE ->
          new ReportColumns(
              List.of(
                  Measure.DONE,
                  Measure.DONE_UNANSWERED,
                  Measure.NO_ANSWER_NEEDED,
                  Measure.REOPENED),
              List.of(
                  count("Done", Measure.DONE),
                  median(Measure.DONE),
                  ninetieth(Measure.DONE),
                  count("Without an answer", Measure.DONE_UNANSWERED),
                  count("No answer needed", Measure.NO_ANSWER_NEEDED),
                  count("Reopened", Measure.REOPENED)));
      case TEXTS ->
          new ReportColumns(
              List.of(Measure.RECEIVED, Measure.SENT_BY_HAND, Measure.SENT_AUTOMATICALLY),
              List.of(
                  count("Received", Measure.RECEIVED),
                  count("Sent by hand", Measure.SENT_BY_HAND),
                  count("Sent automatically", Measure.SENT_AUTOMATICALLY)));
      case UNKNOWN ->
          new ReportColumns(
              List.of(Measure.NEW_NUMBER, Measure.IDENTIFIED),
              List.of(
                  count("New numbers", Measure.NEW_NUMBER),
                  count("Identified", Measure.IDENTIFIED),
                  median(Measure.IDENTIFIED),
                  ninetieth(Measure.IDENTIFIED)));
      case NOT_DELIVERED ->
          new ReportColumns(
              List.of(Measure.NOT_DELIVERED, Measure.SENT_BY_HAND, Measure.SENT_AUTOMATICALLY),
              List.of(
                  count("Not delivered", Measure.NOT_DELIVERED),
                  share(
                      "Share of texts sent",
                      sums -> sums.count(Measure.NOT_DELIVERED),
                      sums ->
                          sums.count(Measure.SENT_BY_HAND)
                              + sums.count(Measure.SENT_AUTOMATICALLY))));
      case PEOPLE ->
          new ReportColumns(
              List.of(
                  Measure.ANSWERED,
                  Measure.SENT_BY_HAND,
                  Measure.HANDED_OVER,
                  Measure.DONE,
                  Measure.IDENTIFIED),
              List.of(
                  count("Answers", Measure.ANSWERED),
                  median(Measure.ANSWERED),
                  inTime(Measure.ANSWERED),
                  count("Texts sent", Measure.SENT_BY_HAND),
                  count("Handed over", Measure.HANDED_OVER),
                  count("Done", Measure.DONE),
                  count("Identified", Measure.IDENTIFIED)));
      case COST, WAITS -> throw new IllegalArgumentException("Not made from these sums");
    };
  }

  private static ReportColumns timed(Measure measure, String name) {
    return new ReportColumns(
        List.of(measure),
        List.of(
            count(name, measure),
            median(measure),
            ninetieth(measure),
            inTime(measure),
            new Value(
                new Column("Late", Unit.COUNT, null),
                sums -> BigDecimal.valueOf(sums.get(measure).late()))));
  }

  private static Value count(String name, Measure measure) {
    return new Value(
        new Column(name, Unit.COUNT, null), sums -> BigDecimal.valueOf(sums.count(measure)));
  }

  private static Value median(Measure measure) {
    return seconds("Half within", sums -> sums.get(measure).median());
  }

  private static Value ninetieth(Measure measure) {
    return seconds("9 of 10 within", sums -> sums.get(measure).ninetieth());
  }

  private static Value seconds(String name, Function<Sums, OptionalLong> of) {
    return new Value(
        new Column(name, Unit.SECONDS, null),
        sums -> {
          OptionalLong seconds = of.apply(sums);
          return seconds.isPresent() ? BigDecimal.valueOf(seconds.getAsLong()) : null;
        });
  }

  private static Value inTime(Measure measure) {
    return share("In time", sums -> sums.get(measure).kept(), sums -> sums.get(measure).count());
  }

  private static Value share(String name, Function<Sums, Long> part, Function<Sums, Long> whole) {
    return new Value(
        new Column(name, Unit.SHARE, null), sums -> share(part.apply(sums), whole.apply(sums)));
  }

  private static @Nullable BigDecimal share(long part, long whole) {
    return whole == 0
        ? null
        : BigDecimal.valueOf(part).divide(BigDecimal.valueOf(whole), MathContext.DECIMAL32);
  }

  List<Measure> measures() {
    return measures;
  }

  List<Column> columns() {
    return values.stream().map(Value::column).toList();
  }

  List<@Nullable BigDecimal> values(Sums sums) {
    return values.stream()
        .<@Nullable BigDecimal>map(value -> value.of().apply(sums))
        .collect(Collectors.toCollection(ArrayList::new));
  }
}
