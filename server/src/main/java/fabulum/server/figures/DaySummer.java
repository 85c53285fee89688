package fabulum.server.figures;

import fabulum.core.report.DaySums;
import fabulum.server.figures.store.CaseRow;
import fabulum.server.figures.store.FactRow;
import fabulum.server.figures.store.FigureMapper;
import fabulum.server.figures.store.HoursRow;
import fabulum.server.figures.store.SumRow;
import fabulum.server.figures.store.TopicSpanRow;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Makes the sums of a day from its entries. Doing it again gives the same sums. */
@Component
class DaySummer {
  private static final int CHUNK = 200;

  private final FigureMapper rows;
  private final TransactionTemplate transactions;

  DaySummer(FigureMapper rows, TransactionTemplate transactions) {
    this.rows = rows;
    this.transactions = transactions;
  }

  void sum(DayOfLine day) {
    transactions.executeWithoutResult(status -> {
      rows.lock();
      List<FactRow> found = rows.listFacts(day.line(), day.begins(), day.ends());
      DayFacts facts = new DayFacts(day, found, topics(found));
      HoursRow hours = facts.hours(rows.listEndedWaits(day.line(), day.begins(), day.ends()));
      rows.deleteSums(day.line(), day.day());
      rows.deleteHours(day.line(), day.day());
      rows.deleteCosts(day.line(), day.day());
      rows.deleteFailures(day.line(), day.day());
      inChunks(sums(day, DaySums.of(facts.facts())), rows::insertSums);
      if (!found.isEmpty() || hours.waiting().length > 0) {
        rows.insertHours(hours);
      }
      inChunks(facts.costs(), rows::insertCosts);
      inChunks(facts.failures(), rows::insertFailures);
      keepCases(found, facts.cases());
    });
  }

  /** Only what is new or has changed is written: the others of the day are many. */
  private void keepCases(List<FactRow> found, List<CaseRow> wanted) {
    Set<CaseRow> kept = new HashSet<>();
    inChunks(found.stream().map(FactRow::id).toList(), some -> kept.addAll(rows.listCases(some)));
    Set<CaseRow> all = Set.copyOf(wanted);
    List<Long> gone =
        kept.stream().filter(one -> !all.contains(one)).map(CaseRow::entryId).toList();
    inChunks(gone, rows::deleteCases);
    inChunks(wanted.stream().filter(one -> !kept.contains(one)).toList(), rows::insertCases);
  }

  private List<TopicSpanRow> topics(List<FactRow> found) {
    List<Long> conversations = found.stream().map(FactRow::conversationId).distinct().toList();
    List<TopicSpanRow> spans = new ArrayList<>();
    inChunks(conversations, some -> spans.addAll(rows.listTopicSpans(some)));
    return spans;
  }

  private static List<SumRow> sums(DayOfLine day, DaySums sums) {
    return sums.sums().entrySet().stream()
        .map(each ->
            new SumRow(
                day.line(),
                each.getKey().topic(),
                each.getKey().measure(),
                day.day(),
                each.getKey().staff(),
                each.getValue().count(),
                each.getValue().kept(),
                each.getValue().seconds().bytes()))
        .toList();
  }

  static <T> void inChunks(List<T> all, Consumer<List<T>> each) {
    for (int i = 0; i < all.size(); i += CHUNK) {
      each.accept(all.subList(i, Math.min(all.size(), i + CHUNK)));
    }
  }
}
