package fabulum.server.cost;

import fabulum.core.cost.AllowanceSpan;
import fabulum.core.sending.SendQuestion.Allowance;
import fabulum.server.access.StaffId;
import fabulum.server.cost.store.AllowanceRow;
import fabulum.server.cost.store.CostMapper;
import fabulum.server.cost.store.SentRow;
import fabulum.server.lines.LineView;
import fabulum.server.people.People;
import fabulum.server.people.TeamView;
import fabulum.server.people.Teams;
import fabulum.server.platform.BriefMemory;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Component;

/**
 * How many parts may be sent, and how many have been. What was sent is counted once for each day,
 * line and writer; an allowance is held against the sum of its span, so nobody has to read the
 * texts again to know.
 */
@Component
class Allowances {
  private final CostMapper rows;
  private final People people;
  private final Teams teams;
  private final Clock clock;
  private final BriefMemory<List<AllowanceRow>> all;

  Allowances(CostMapper rows, People people, Teams teams, Clock clock) {
    this.rows = rows;
    this.people = people;
    this.teams = teams;
    this.clock = clock;
    this.all = new BriefMemory<>(rows::listAllowances);
  }

  /** Those a text is counted in, with what was counted so far. */
  List<Allowance> of(StaffId writer, LineView line) {
    LocalDate today = Costs.day(line, clock.instant());
    return counting(writer, line).map(row -> view(row, today)).toList();
  }

  /** All of them, with what was counted until a day. */
  List<Allowance> on(LocalDate today) {
    return all.get().stream().map(row -> view(row, today)).toList();
  }

  private Stream<AllowanceRow> counting(StaffId writer, LineView line) {
    return all.get().stream().filter(row -> row.setup().counts(writer.value(), line.teamId()));
  }

  private Allowance view(AllowanceRow row, LocalDate today) {
    return new Allowance(whose(row), row.span().said(), row.parts(), used(row, today));
  }

  private int used(AllowanceRow row, LocalDate today) {
    AllowanceSpan span = row.span();
    return Math.toIntExact(
        rows.sumSentByPeople(row.staffId(), row.teamId(), span.first(today), span.last(today)));
  }

  private String whose(AllowanceRow row) {
    if (row.staffId() != null) {
      return Objects.requireNonNull(people.byId().get(row.staffId())).name();
    }
    return teams.list().stream()
        .filter(team -> Objects.equals(team.id(), row.teamId()))
        .map(TeamView::name)
        .findFirst()
        .orElse("The business");
  }

  /** Holds those a text is counted in. */
  void hold(StaffId writer, LineView line) {
    List<Long> ids = counting(writer, line).map(AllowanceRow::id).toList();
    if (!ids.isEmpty()) {
      rows.lock(ids);
    }
  }

  /** Counts a text by day, line and writer. */
  void count(Optional<StaffId> writer, LineView line, Instant at, int texts, int parts) {
    LocalDate day = Costs.day(line, at);
    long staff = writer.map(StaffId::value).orElse(0L);
    SentRow sent = new SentRow(day, line.id(), line.teamId(), staff, texts, parts);
    if (rows.addSent(sent) == 0) {
      try {
        rows.insertSent(sent);
      } catch (DuplicateKeyException madeMeanwhile) {
        // By another text of this moment; it is there now.
      }
      rows.addSent(sent);
    }
  }

  List<AllowanceSetup> list() {
    return rows.listAllowances().stream().map(AllowanceRow::setup).toList();
  }

  void set(List<AllowanceSetup> wanted) {
    List<AllowanceRow> had = rows.listAllowances();
    for (AllowanceRow row : had) {
      wanted.stream()
          .filter(each -> isSame(row, each))
          .findFirst()
          .ifPresentOrElse(
              each -> rows.setParts(row.id(), each.parts()), () -> rows.deleteAllowance(row.id()));
    }
    wanted.stream()
        .filter(each -> had.stream().noneMatch(row -> isSame(row, each)))
        .forEach(rows::insertAllowance);
  }

  private static boolean isSame(AllowanceRow row, AllowanceSetup wanted) {
    return row.span() == wanted.span()
        && Objects.equals(row.staffId(), wanted.staffId())
        && Objects.equals(row.teamId(), wanted.teamId());
  }

  void forget() {
    all.forget();
  }
}
