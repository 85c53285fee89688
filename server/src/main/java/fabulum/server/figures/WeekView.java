package fabulum.server.figures;

import fabulum.core.sentence.ReportSentence.By;
import fabulum.core.sentence.ReportSentence.Subject;
import fabulum.server.figures.ReportView.Column;
import fabulum.server.figures.ReportView.FigureRow;
import fabulum.server.figures.ReportView.Unit;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * The team's week: how customers wait at each hour.
 *
 * @param hours 168 of them, from Monday 00:00
 * @param percent how much of all days is summed up
 */
public record WeekView(
    String said, LocalDate first, LocalDate last, List<HourView> hours, int percent) {
  public WeekView {
    hours = List.copyOf(hours);
  }

  /** The same as a table: a row for each hour in which anybody waited or began to wait. */
  ReportView report() {
    List<FigureRow> rows =
        hours.stream()
            .filter(hour -> hour.waiting().signum() > 0 || hour.answers() > 0)
            .map(HourView::row)
            .toList();
    return new ReportView(
        said,
        Subject.WAITS,
        By.HOUR,
        first,
        last,
        List.of(
            new Column("Waiting on average", Unit.NUMBER, null),
            new Column("Answers", Unit.COUNT, null),
            new Column("Half within", Unit.SECONDS, null)),
        rows,
        new FigureRow("", "All", Arrays.asList(null, answers(), null)),
        percent);
  }

  private BigDecimal answers() {
    return BigDecimal.valueOf(hours.stream().mapToLong(HourView::answers).sum());
  }

  /**
   * An hour of the week.
   *
   * @param weekday 1 for Monday to 7
   * @param hour 0 to 23
   * @param waiting how many customers waited at a time, on average over all such hours of the days
   * @param answers to customers whose wait began in such an hour
   * @param halfWithin half of those answers took no longer, in seconds of working time
   * @param open whether a line is open then
   */
  public record HourView(
      int weekday,
      int hour,
      BigDecimal waiting,
      int answers,
      @Nullable Long halfWithin,
      boolean open) {

    private FigureRow row() {
      String day = DayOfWeek.of(weekday).getDisplayName(TextStyle.SHORT, Locale.ENGLISH);
      return new FigureRow(
          String.format(Locale.ROOT, "%d %02d", weekday, hour),
          String.format(Locale.ROOT, "%s %02d:00", day, hour),
          Arrays.asList(
              waiting,
              BigDecimal.valueOf(answers),
              halfWithin == null ? null : BigDecimal.valueOf(halfWithin)));
    }
  }
}
