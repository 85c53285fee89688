package fabulum.server.figures;

import fabulum.core.sentence.ReportSentence;
import fabulum.server.lines.LineView;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalLong;

/**
 * The lines and days a sentence means.
 *
 * @param first the first day, by the clocks of each line
 * @param last the last day, today at most
 */
record Scope(List<LineView> lines, LocalDate first, LocalDate last) {

  /**
   * @param earliest the first day there is anything of
   */
  static Scope of(
      ReportSentence sentence, List<LineView> lines, LocalDate today, LocalDate earliest) {
    List<LineView> meant =
        lines.stream()
            .filter(line -> isOrOpen(sentence.line(), line.id()))
            .filter(line -> isOrOpen(sentence.site(), line.siteId()))
            .filter(line -> isOrOpen(sentence.team(), line.teamId()))
            .toList();
    if (meant.isEmpty()) {
      throw Problem.fields(
          List.of(new FieldProblem("sentence", "There is no line like that any more.")));
    }
    LocalDate last = sentence.last(today);
    LocalDate first = sentence.first(today).orElse(earliest);
    return new Scope(
        meant, first.isBefore(earliest) ? earliest(first, earliest, last) : first, last);
  }

  /** Nothing is said of the time before anything happened, unless the span ends there. */
  private static LocalDate earliest(LocalDate first, LocalDate earliest, LocalDate last) {
    return earliest.isAfter(last) ? first : earliest;
  }

  private static boolean isOrOpen(OptionalLong wanted, long id) {
    return wanted.isEmpty() || wanted.getAsLong() == id;
  }

  /** The latest day it is on any line. */
  static LocalDate today(List<LineView> lines, Instant now) {
    return lines.stream()
        .map(line -> LocalDate.ofInstant(now, ZoneId.of(line.zone())))
        .max(Comparator.naturalOrder())
        .orElseGet(() -> LocalDate.ofInstant(now, ZoneOffset.UTC));
  }

  /** The same lines on other days. */
  Scope on(LocalDate otherFirst, LocalDate otherLast) {
    return new Scope(lines, otherFirst, otherLast);
  }

  List<Long> lineIds() {
    return lines.stream().map(LineView::id).toList();
  }
}
