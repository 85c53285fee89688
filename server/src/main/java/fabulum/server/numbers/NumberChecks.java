package fabulum.server.numbers;

import fabulum.core.access.Act;
import fabulum.core.cost.Money;
import fabulum.core.phone.PhoneNumber;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Customers;
import fabulum.server.customers.NumberFailed;
import fabulum.server.customers.NumberId;
import fabulum.server.numbers.store.NumberCheckMapper;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import java.math.BigDecimal;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * What an outside service says of numbers. Each is asked about once; again when a person wants it,
 * or when a text was not delivered because of the number.
 */
@Service
public class NumberChecks {
  private static final int CHUNK = 500;
  private static final BigDecimal DEAREST = BigDecimal.valueOf(1000);

  private final NumberCheckMapper rows;
  private final Checker checker;
  private final Customers customers;
  private final Permits permits;
  private final Clock clock;

  NumberChecks(
      NumberCheckMapper rows, Checker checker, Customers customers, Permits permits, Clock clock) {
    this.rows = rows;
    this.checker = checker;
    this.customers = customers;
    this.permits = permits;
    this.clock = clock;
  }

  /**
   * What checking would come to.
   *
   * @param isThere whether a service is set up
   * @param numbers how many would be asked about
   * @param cost what they cost together, as people say it; empty for nothing
   */
  public record Estimate(boolean isThere, int numbers, String cost) {}

  /** What is known of numbers, by id; none of those that nobody asked about. */
  public Map<Long, NumberCheck> of(List<NumberId> numbers) {
    Map<String, NumberCheck> said =
        numbers.isEmpty()
            ? Map.of()
            : rows.list(numbers.stream().map(NumberId::value).toList()).stream()
                .collect(Collectors.toMap(NumberCheck::number, Function.identity()));
    return customers.addresses(numbers).entrySet().stream()
        .filter(one -> said.containsKey(one.getValue()))
        .collect(Collectors.toMap(Map.Entry::getKey, one -> said.get(one.getValue())));
  }

  /** How numbers are checked, and whether a service is set up. */
  public Setting setting() {
    return rows.getSetting();
  }

  /** Whether a service is set up. */
  public boolean isThere() {
    return checker.isThere();
  }

  /** Changes how numbers are checked, within a transaction. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void change(Setting wanted) {
    List<FieldProblem> bad = new ArrayList<>();
    if (wanted.price().signum() < 0
        || wanted.price().compareTo(DEAREST) >= 0
        || wanted.price().stripTrailingZeros().scale() > Money.SCALE) {
      bad.add(new FieldProblem("price", "A price from 0 to 999 with at most five decimals."));
    }
    if (!Money.isCurrency(wanted.currency())) {
      bad.add(new FieldProblem("currency", "Not a currency, such as USD."));
    }
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
    rows.setSetting(wanted);
  }

  /** Asks about one number, whatever was said of it before. */
  @Transactional
  public void ask(PhoneNumber number, StaffId by) {
    permits.require(by, Act.WORK);
    requireService();
    want(customers.numberOf(number).value(), false);
  }

  private void requireService() {
    if (!checker.isThere()) {
      throw Problem.conflict(Problem.Kind.NOT_OPEN, "No service that checks numbers is set up.");
    }
  }

  private void want(long number, boolean afterFailure) {
    if (rows.want(number, clock.instant(), afterFailure) == 0) {
      rows.insertWanted(number, clock.instant(), afterFailure);
    }
  }

  /** What it would come to, to ask about all numbers of customers that were never checked. */
  public Estimate estimate(List<CustomerId> wanted, StaffId asking) {
    permits.require(asking, Act.WORK);
    return estimate(unchecked(wanted).size());
  }

  private Estimate estimate(int numbers) {
    Setting setting = rows.getSetting();
    BigDecimal cost = setting.price().multiply(BigDecimal.valueOf(numbers));
    return new Estimate(
        checker.isThere(),
        numbers,
        cost.signum() == 0 ? "" : new Money(cost, setting.currency()).said());
  }

  private List<Long> unchecked(List<CustomerId> wanted) {
    List<Long> ids = wanted.stream().map(CustomerId::value).distinct().toList();
    List<Long> numbers = new ArrayList<>();
    for (int i = 0; i < ids.size(); i += CHUNK) {
      numbers.addAll(rows.listUnchecked(ids.subList(i, Math.min(ids.size(), i + CHUNK))));
    }
    return numbers.stream().distinct().toList();
  }

  /**
   * Asks about all numbers of customers that were never checked.
   *
   * @param seen how many the person saw that it would be; when it is more by now, nothing is asked
   */
  @Transactional
  public Estimate askAll(List<CustomerId> wanted, int seen, StaffId by) {
    permits.require(by, Act.WORK);
    requireService();
    List<Long> numbers = unchecked(wanted);
    if (numbers.size() > seen) {
      throw Problem.conflict(
          Problem.Kind.CHANGED_MEANWHILE,
          "It would be more numbers by now ("
              + numbers.size()
              + "). Nothing was asked; please look again.");
    }
    numbers.forEach(number -> want(number, false));
    return estimate(numbers.size());
  }

  /** A text was not delivered because of its number: what was said of it may not hold any more. */
  @EventListener
  void failed(NumberFailed failed) {
    if (checker.isThere()) {
      want(failed.number().value(), true);
    }
  }
}
