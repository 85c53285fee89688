package fabulum.server.figures;

import fabulum.core.report.Measure;
import fabulum.core.sentence.ReportSentence;
import fabulum.core.sentence.ReportSentence.By;
import fabulum.core.sentence.ReportSentence.Subject;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.ConversationId;
import fabulum.server.figures.BehindView.CaseView;
import fabulum.server.figures.store.BehindChoice;
import fabulum.server.figures.store.BehindRow;
import fabulum.server.figures.store.CaseRow;
import fabulum.server.figures.store.FigureMapper;
import fabulum.server.inbox.ConversationView;
import fabulum.server.inbox.Inbox;
import fabulum.server.lines.LineView;
import fabulum.server.people.People;
import fabulum.server.people.StaffView;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The conversations behind a figure. */
@Service
public class Behind {
  private static final int MOST = 100;
  private static final int DAYS_A_WEEK = 7;

  private final FigureMapper rows;
  private final FigureKeeper keeper;
  private final Scopes scopes;
  private final Inbox inbox;
  private final People people;

  Behind(FigureMapper rows, FigureKeeper keeper, Scopes scopes, Inbox inbox, People people) {
    this.rows = rows;
    this.keeper = keeper;
    this.scopes = scopes;
    this.inbox = inbox;
    this.people = people;
  }

  /**
   * What stands behind one row of a report, as far as the person who asks sees it.
   *
   * @param key of the row; empty for all rows
   * @param late only what broke its promise
   */
  public BehindView behind(ReportSentence sentence, String key, boolean late, StaffId asking) {
    scopes.requireMayKnow(sentence, asking);
    Scope scope = scope(sentence, key, asking);
    BehindChoice choice = choice(sentence, key, late);
    keeper.upToDate();
    List<CaseRow> found = List.of();
    for (LineView line : scope.lines()) {
      found = furthest(found, line, scope, choice);
    }
    List<CaseRow> listed = found.subList(0, Math.min(MOST, found.size()));
    return new BehindView(views(entries(listed), asking), found.size() > listed.size());
  }

  /** The furthest beyond their promise of those found and those of one more line. */
  private List<CaseRow> furthest(
      List<CaseRow> found, LineView line, Scope scope, BehindChoice choice) {
    ZoneId zone = ZoneId.of(line.zone());
    Instant from = scope.first().atStartOfDay(zone).toInstant();
    Instant to = scope.last().plusDays(1).atStartOfDay(zone).toInstant();
    List<CaseRow> all = found;
    for (int month = CaseRow.month(from); month <= CaseRow.month(to); month++) {
      // What is less far than as many as are wanted need not be read.
      long least = all.size() > MOST ? all.get(MOST).beyond() : Long.MIN_VALUE;
      List<CaseRow> more = rows.listFurthest(line.id(), month, from, to, choice, least, MOST + 1);
      all =
          Stream.concat(all.stream(), more.stream())
              .sorted(CaseRow.FURTHEST_FIRST)
              .limit(MOST + 1L)
              .toList();
    }
    return all;
  }

  private List<BehindRow> entries(List<CaseRow> cases) {
    if (cases.isEmpty()) {
      return List.of();
    }
    List<Long> ids = cases.stream().map(CaseRow::entryId).toList();
    Map<Long, BehindRow> found =
        rows.listBehind(ids).stream()
            .collect(Collectors.toMap(BehindRow::entryId, Function.identity()));
    // Those missing were removed for good just now.
    return ids.stream().filter(found::containsKey).map(found::get).toList();
  }

  private List<CaseView> views(List<BehindRow> found, StaffId asking) {
    List<ConversationId> ids =
        found.stream().map(BehindRow::conversationId).distinct().map(ConversationId::new).toList();
    Map<Long, ConversationView> seen =
        inbox.list(ids, asking).stream()
            .collect(Collectors.toMap(ConversationView::id, Function.identity()));
    Map<Long, StaffView> staff = people.byId();
    List<CaseView> views = new ArrayList<>();
    for (BehindRow row : found) {
      ConversationView conversation = seen.get(row.conversationId());
      if (conversation != null) {
        views.add(view(row, conversation, staff));
      }
    }
    return views;
  }

  private static CaseView view(
      BehindRow row, ConversationView conversation, Map<Long, StaffView> staff) {
    StaffView by = row.speakerId() == null ? null : staff.get(row.speakerId());
    String name = conversation.customerName();
    return new CaseView(
        row.conversationId(),
        row.entryId(),
        name == null ? conversation.number() : name,
        conversation.lineId(),
        row.at(),
        by == null ? null : by.name(),
        row.seconds(),
        row.promiseSeconds(),
        row.reason());
  }

  private static BehindChoice choice(ReportSentence sentence, String key, boolean late) {
    boolean whole = key.isEmpty();
    return new BehindChoice(
        measure(sentence.subject()),
        sentence.subject() == Subject.FIRST_ANSWERS,
        sentence.by() == By.PERSON && !whole ? Long.valueOf(id(key)) : orNull(sentence.person()),
        sentence.by() == By.TOPIC && !whole ? Long.valueOf(id(key)) : orNull(sentence.topic()),
        sentence.by() == By.REASON && !whole ? key : null,
        late);
  }

  private static @Nullable Long orNull(OptionalLong value) {
    return value.isPresent() ? value.getAsLong() : null;
  }

  private static Measure measure(Subject subject) {
    return switch (subject) {
      case ANSWERS, FIRST_ANSWERS, PEOPLE -> Measure.ANSWERED;
      case DONE -> Measure.DONE;
      case UNKNOWN -> Measure.IDENTIFIED;
      case NOT_DELIVERED -> Measure.NOT_DELIVERED;
      case TEXTS, COST, WAITS -> throw bad("Texts are listed by History.");
    };
  }

  private Scope scope(ReportSentence sentence, String key, StaffId asking) {
    Scope scope = scopes.of(sentence, asking);
    if (key.isEmpty()) {
      return scope;
    }
    return switch (sentence.by()) {
      case DAY -> between(scope, date(key), date(key));
      case WEEK -> between(scope, date(key), date(key).plusDays(DAYS_A_WEEK - 1L));
      case MONTH -> {
        YearMonth month = month(key);
        yield between(scope, month.atDay(1), month.atEndOfMonth());
      }
      case LINE -> only(scope, line -> line.id() == id(key));
      case SITE -> only(scope, line -> line.siteId() == id(key));
      case TEAM -> only(scope, line -> line.teamId() == id(key));
      case TOPIC, PERSON, KIND, REASON, HOUR -> scope;
    };
  }

  private static Scope only(Scope scope, Predicate<LineView> which) {
    List<LineView> meant = scope.lines().stream().filter(which).toList();
    return new Scope(meant, scope.first(), scope.last());
  }

  private static Scope between(Scope scope, LocalDate from, LocalDate to) {
    return scope.on(
        from.isBefore(scope.first()) ? scope.first() : from,
        to.isAfter(scope.last()) ? scope.last() : to);
  }

  private static LocalDate date(String key) {
    try {
      return LocalDate.parse(key);
    } catch (DateTimeException notOne) {
      throw bad("There is no row “" + key + "”.");
    }
  }

  private static YearMonth month(String key) {
    try {
      return YearMonth.parse(key);
    } catch (DateTimeException notOne) {
      throw bad("There is no row “" + key + "”.");
    }
  }

  private static long id(String key) {
    try {
      return Long.parseLong(key);
    } catch (NumberFormatException notOne) {
      throw bad("There is no row “" + key + "”.");
    }
  }

  private static Problem bad(String why) {
    return Problem.fields(List.of(new FieldProblem("key", why)));
  }
}
