package fabulum.server.figures;

import fabulum.core.delivery.DeliveryState;
import fabulum.core.report.ByHour;
import fabulum.core.report.Fact;
import fabulum.core.report.Measure;
import fabulum.server.conversations.EntryKind;
import fabulum.server.conversations.EventKind;
import fabulum.server.figures.store.CaseRow;
import fabulum.server.figures.store.CostRow;
import fabulum.server.figures.store.FactRow;
import fabulum.server.figures.store.FailureRow;
import fabulum.server.figures.store.HoursRow;
import fabulum.server.figures.store.TopicSpanRow;
import fabulum.server.figures.store.WaitRow;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What the entries of one day on one line mean for figures. */
final class DayFacts {
  private static final Set<EventKind> TIMED =
      Set.of(EventKind.DONE, EventKind.DONE_UNANSWERED, EventKind.IDENTIFIED);

  /** What is listed behind its figure. An entry is one of them at most. */
  private static final Set<Measure> LISTED =
      Set.of(Measure.ANSWERED, Measure.DONE, Measure.IDENTIFIED, Measure.NOT_DELIVERED);

  private final DayOfLine day;
  private final List<FactRow> rows;
  private final Map<Long, List<TopicSpanRow>> topics;
  private final List<Fact> facts = new ArrayList<>();
  private final List<CaseRow> cases = new ArrayList<>();

  DayFacts(DayOfLine day, List<FactRow> rows, List<TopicSpanRow> topics) {
    this.day = day;
    this.rows = rows;
    this.topics = topics.stream().collect(Collectors.groupingBy(TopicSpanRow::conversationId));
    rows.forEach(this::read);
  }

  List<Fact> facts() {
    return facts;
  }

  private void read(FactRow row) {
    switch (row.kind()) {
      case IN -> {
        count(row, Measure.RECEIVED, null);
        if (row.newNumber()) {
          count(row, Measure.NEW_NUMBER, null);
        }
      }
      case OUT -> readSent(row);
      case EVENT -> readEvent(row);
      case NOTE -> {}
    }
  }

  private void readSent(FactRow row) {
    count(row, row.automatic() ? Measure.SENT_AUTOMATICALLY : Measure.SENT_BY_HAND, null);
    if (row.delivery() == DeliveryState.NOT_DELIVERED) {
      // Nobody got it, so the customer waits on.
      count(row, Measure.NOT_DELIVERED, null);
      return;
    }
    Long waited = row.workingSeconds();
    if (waited != null) {
      count(row, Measure.ANSWERED, waited);
      if (row.firstAnswer()) {
        count(row, Measure.FIRST_ANSWERED, waited);
      }
    }
  }

  private void readEvent(FactRow row) {
    EventKind event = row.event();
    boolean untimed = event != null && TIMED.contains(event) && row.workingSeconds() == null;
    if (event == null || row.undone() || untimed) {
      return;
    }
    switch (event) {
      case DONE -> count(row, Measure.DONE, row.workingSeconds());
      case DONE_UNANSWERED -> {
        count(row, Measure.DONE, row.workingSeconds());
        count(row, Measure.DONE_UNANSWERED, null);
      }
      case NO_ANSWER_NEEDED -> count(row, Measure.NO_ANSWER_NEEDED, null);
      case REOPENED -> count(row, Measure.REOPENED, null);
      case HANDED_OVER -> count(row, Measure.HANDED_OVER, null);
      case IDENTIFIED -> count(row, Measure.IDENTIFIED, row.workingSeconds());
      default -> throw new IllegalStateException("Not a fact: " + event);
    }
  }

  private void count(FactRow row, Measure measure, @Nullable Long seconds) {
    boolean kept =
        row.promiseSeconds() == null || seconds == null || seconds <= row.promiseSeconds();
    Set<Long> about =
        topics.getOrDefault(row.conversationId(), List.of()).stream()
            .filter(span -> span.holds(row.at()))
            .map(TopicSpanRow::topicId)
            .collect(Collectors.toSet());
    facts.add(
        new Fact(
            measure,
            local(row.at()),
            staff(row),
            about,
            seconds == null ? OptionalLong.empty() : OptionalLong.of(seconds),
            kept));
    if (LISTED.contains(measure)) {
      cases.add(caseOf(row, measure));
    }
  }

  private static long staff(FactRow row) {
    return row.speakerId() == null ? Fact.NOBODY : row.speakerId();
  }

  private LocalDateTime local(Instant at) {
    return LocalDateTime.ofInstant(at, day.zone());
  }

  HoursRow hours(List<WaitRow> ended) {
    List<ByHour.Cell> waiting =
        ended.stream()
            .flatMap(wait -> ByHour.spread(wait.since(), wait.endedAt(), day.zone()).stream())
            .toList();
    return new HoursRow(
        day.line(),
        day.day(),
        texts(row -> row.kind() == EntryKind.IN),
        texts(row -> row.kind() == EntryKind.OUT && !row.automatic()),
        texts(row -> row.kind() == EntryKind.OUT && row.automatic()),
        new ByHour(waiting).summed().bytes(),
        begun().bytes());
  }

  private byte[] texts(Predicate<FactRow> which) {
    return new ByHour(
            rows.stream().filter(which).map(row -> ByHour.Cell.of(local(row.at()), 1)).toList())
        .summed()
        .bytes();
  }

  /** How long answers took, by the hour in which their wait began. */
  private ByHour begun() {
    List<ByHour.Cell> cells = new ArrayList<>();
    for (FactRow row : rows) {
      Instant since = row.answeredSince();
      Long waited = row.workingSeconds();
      boolean answers =
          row.kind() == EntryKind.OUT && row.delivery() != DeliveryState.NOT_DELIVERED;
      if (answers && since != null && waited != null) {
        cells.add(ByHour.Cell.of(local(since), waited));
      }
    }
    return new ByHour(cells);
  }

  private record CostKey(long staff, CostKind kind, String currency) {}

  List<CostRow> costs() {
    Map<CostKey, CostRow> sums = new HashMap<>();
    for (FactRow row : rows) {
      if (row.kind() == EntryKind.IN || row.kind() == EntryKind.OUT) {
        CostRow cost = cost(row);
        sums.merge(new CostKey(cost.staffId(), cost.kind(), cost.currency()), cost, DayFacts::plus);
      }
    }
    return List.copyOf(sums.values());
  }

  private CostRow cost(FactRow row) {
    return new CostRow(
        day.line(),
        day.day(),
        staff(row),
        costKind(row),
        row.currency() == null ? "" : row.currency(),
        1,
        row.kind() == EntryKind.IN || row.parts() == null ? 0 : row.parts(),
        row.cost() == null ? BigDecimal.ZERO : row.cost());
  }

  private static CostKind costKind(FactRow row) {
    if (row.kind() == EntryKind.IN) {
      return CostKind.RECEIVED;
    }
    if (row.automatic()) {
      return CostKind.AUTOMATIC;
    }
    return row.oneOfMany() ? CostKind.SEVERAL : CostKind.BY_HAND;
  }

  private static CostRow plus(CostRow one, CostRow other) {
    return new CostRow(
        one.lineId(),
        one.onDay(),
        one.staffId(),
        one.kind(),
        one.currency(),
        one.texts() + other.texts(),
        one.parts() + other.parts(),
        one.cost().add(other.cost()));
  }

  /** What stands behind the figures of the day. */
  List<CaseRow> cases() {
    return cases;
  }

  private CaseRow caseOf(FactRow row, Measure measure) {
    long took = row.workingSeconds() == null ? 0 : row.workingSeconds();
    Long promise = row.promiseSeconds();
    return new CaseRow(
        row.id(),
        row.conversationId(),
        day.line(),
        measure,
        CaseRow.month(row.at()),
        took - (promise == null ? 0 : promise),
        row.at(),
        staff(row),
        promise != null && took > promise,
        row.firstAnswer());
  }

  List<FailureRow> failures() {
    Map<String, Long> reasons =
        rows.stream()
            .filter(row -> row.delivery() == DeliveryState.NOT_DELIVERED)
            .collect(
                Collectors.groupingBy(
                    row -> row.failureReason() == null ? FailureRow.NO_REASON : row.failureReason(),
                    Collectors.counting()));
    return reasons.entrySet().stream()
        .map(each -> new FailureRow(day.line(), day.day(), each.getKey(), each.getValue()))
        .toList();
  }
}
