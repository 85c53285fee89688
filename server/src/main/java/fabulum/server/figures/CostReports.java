package fabulum.server.figures;

import fabulum.core.cost.Money;
import fabulum.core.cost.PricePlan;
import fabulum.core.report.Pace;
import fabulum.core.text.OneLine;
import fabulum.server.access.StaffId;
import fabulum.server.cost.Costs;
import fabulum.server.figures.CostOutlook.AllowanceUse;
import fabulum.server.figures.CostOutlook.MoneyView;
import fabulum.server.figures.CostOutlook.MonthView;
import fabulum.server.figures.CostOutlook.PricePlanCost;
import fabulum.server.figures.store.CostRow;
import fabulum.server.figures.store.FigureMapper;
import fabulum.server.lines.LineView;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.ToLongFunction;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What texts cost in time, and what other plans would have cost. */
@Service
public class CostReports {
  private static final int MONTHS = 12;
  private static final int LONGEST_NAME = 60;
  private static final int MOST_PLANS = 20;

  private final FigureMapper rows;
  private final FigureKeeper keeper;
  private final Costs costs;
  private final Scopes scopes;

  CostReports(FigureMapper rows, FigureKeeper keeper, Costs costs, Scopes scopes) {
    this.rows = rows;
    this.keeper = keeper;
    this.costs = costs;
    this.scopes = scopes;
  }

  /**
   * The months and the plans, for leads.
   *
   * @param volume parts in a month for which each plan is reckoned too; null for none
   */
  public CostOutlook outlook(@Nullable Long volume, StaffId asking) {
    scopes.requireLead(asking);
    if (volume != null && volume < 0) {
      throw Problem.fields(List.of(new FieldProblem("volume", "A number of parts is 0 or more.")));
    }
    keeper.upToDate();
    LocalDate today = scopes.today();
    List<LineView> lines = scopes.linesOf(asking);
    YearMonth first = YearMonth.from(today).minusMonths(MONTHS - 1L);
    List<CostRow> all =
        lines.stream()
            .flatMap(line -> rows.listCosts(line.id(), first.atDay(1), today, null).stream())
            .toList();
    List<MonthView> months =
        Stream.iterate(YearMonth.from(today), month -> month.minusMonths(1))
            .limit(MONTHS)
            .map(month -> month(month, all))
            .toList();
    MonthView coming = coming(YearMonth.from(today).plusMonths(1), all, lines, today);
    return new CostOutlook(months, coming, allowances(today), plans(months, coming, volume));
  }

  private static MonthView month(YearMonth month, List<CostRow> all) {
    List<CostRow> of =
        all.stream().filter(row -> YearMonth.from(row.onDay()).equals(month)).toList();
    Map<String, BigDecimal> costs = new TreeMap<>();
    of.stream()
        .filter(row -> !row.currency().isEmpty())
        .forEach(row -> costs.merge(row.currency(), row.cost(), BigDecimal::add));
    return new MonthView(
        month.toString(),
        of.stream().mapToLong(CostRow::parts).sum(),
        costs.entrySet().stream()
            .map(each -> new MoneyView(each.getValue(), each.getKey()))
            .toList());
  }

  private MonthView coming(
      YearMonth month, List<CostRow> all, List<LineView> lines, LocalDate today) {
    LocalDate firstDay =
        lines.stream()
            .map(line -> rows.findFirstSum(line.id()))
            .flatMap(Stream::ofNullable)
            .min(Comparator.naturalOrder())
            .orElse(today);
    List<MoneyView> money =
        all.stream()
            .map(CostRow::currency)
            .filter(currency -> !currency.isEmpty())
            .distinct()
            .sorted()
            .map(currency -> {
              List<CostRow> in =
                  all.stream().filter(row -> row.currency().equals(currency)).toList();
              long amount =
                  Pace.month(
                      month,
                      byDay(in, row -> row.cost().movePointRight(Money.SCALE).longValue()),
                      firstDay,
                      today);
              return new MoneyView(BigDecimal.valueOf(amount, Money.SCALE), currency);
            })
            .filter(each -> each.amount().signum() > 0)
            .toList();
    long parts = Pace.month(month, byDay(all, CostRow::parts), firstDay, today);
    return new MonthView(month.toString(), parts, money);
  }

  private static Map<LocalDate, Long> byDay(List<CostRow> some, ToLongFunction<CostRow> of) {
    Map<LocalDate, Long> days = new HashMap<>();
    some.forEach(row -> days.merge(row.onDay(), of.applyAsLong(row), Long::sum));
    return days;
  }

  private List<AllowanceUse> allowances(LocalDate today) {
    return costs.allowancesOn(today).stream()
        .map(each -> new AllowanceUse(each.whose(), each.span(), each.limit(), each.used()))
        .toList();
  }

  private List<PricePlanCost> plans(
      List<MonthView> months, MonthView coming, @Nullable Long volume) {
    List<PricePlanCost> costs = new ArrayList<>();
    for (PricePlanView view : rows.listPlans()) {
      PricePlan plan = plan(view);
      costs.add(
          new PricePlanCost(
              view,
              months.stream().map(month -> plan.month(month.parts()).amount()).toList(),
              plan.month(coming.parts()).amount(),
              volume == null ? null : plan.month(volume).amount()));
    }
    return costs;
  }

  private static PricePlan plan(PricePlanView view) {
    return new PricePlan(
        new Money(view.fee(), view.currency()),
        view.included(),
        new Money(view.overPrice(), view.currency()));
  }

  /**
   * Keeps a plan, a new one where its id is 0.
   *
   * @return its id
   */
  @Transactional
  public long keep(PricePlanView wanted, StaffId by) {
    scopes.requireLead(by);
    List<PricePlanView> known = rows.listPlans();
    List<FieldProblem> wrong = problems(wanted, known);
    if (!wrong.isEmpty()) {
      throw Problem.fields(wrong);
    }
    PricePlanView plan =
        new PricePlanView(
            wanted.id(),
            wanted.name().strip(),
            wanted.currency(),
            wanted.fee(),
            wanted.included(),
            wanted.overPrice());
    if (plan.id() == 0) {
      return rows.insertPlan(plan);
    }
    if (rows.updatePlan(plan) == 0) {
      throw Problem.notFound("price plan");
    }
    return plan.id();
  }

  private static List<FieldProblem> problems(PricePlanView wanted, List<PricePlanView> known) {
    List<FieldProblem> wrong = new ArrayList<>();
    String name = wanted.name().strip();
    if (name.isEmpty() || name.length() > LONGEST_NAME) {
      wrong.add(new FieldProblem("name", "Give it a name of at most 60 characters."));
    }
    OneLine.objection(name).ifPresent(why -> wrong.add(new FieldProblem("name", why)));
    boolean taken =
        known.stream()
            .anyMatch(each -> each.id() != wanted.id() && each.name().equalsIgnoreCase(name));
    if (taken) {
      wrong.add(new FieldProblem("name", "There is already a plan with this name."));
    }
    if (wanted.id() == 0 && known.size() >= MOST_PLANS) {
      wrong.add(new FieldProblem("name", "There are 20 plans already. Delete one first."));
    }
    if (!Money.isCurrency(wanted.currency())) {
      wrong.add(new FieldProblem("currency", "Not a currency, for example USD."));
    }
    if (isNoPrice(wanted.fee())) {
      wrong.add(new FieldProblem("fee", "A fee is 0 to 999,999."));
    }
    if (isNoPrice(wanted.overPrice())) {
      wrong.add(new FieldProblem("overPrice", "A price is 0 to 999,999."));
    }
    if (wanted.included() < 0) {
      wrong.add(new FieldProblem("included", "A number of parts is 0 or more."));
    }
    return wrong;
  }

  private static boolean isNoPrice(BigDecimal amount) {
    return amount.signum() < 0 || amount.compareTo(BigDecimal.valueOf(1_000_000)) >= 0;
  }

  /** Deletes a plan. */
  @Transactional
  public void drop(long id, StaffId by) {
    scopes.requireLead(by);
    if (rows.deletePlan(id) == 0) {
      throw Problem.notFound("price plan");
    }
  }
}
