package fabulum.server.identify;

import fabulum.core.access.Act;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Matching;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Holdings;
import fabulum.server.customers.IdentifyingKind;
import fabulum.server.customers.Joins;
import fabulum.server.customers.NumberId;
import fabulum.server.customers.Profiles;
import fabulum.server.identify.Identify.Done;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.RaceRetry;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Joins a customer who is on file twice. */
@Service
public class CustomerJoining {
  private final Matching matching;
  private final Holdings holdings;
  private final Joins joins;
  private final Profiles profiles;
  private final Permits permits;
  private final TransactionTemplate transactions;

  CustomerJoining(
      Matching matching,
      Holdings holdings,
      Joins joins,
      Profiles profiles,
      Permits permits,
      TransactionTemplate transactions) {
    this.matching = matching;
    this.holdings = holdings;
    this.joins = joins;
    this.profiles = profiles;
    this.permits = permits;
    this.transactions = transactions;
  }

  /**
   * Lets all that is one customer's belong to the other, in every conversation and at once for
   * everyone.
   *
   * @param stays whose name and page remain
   */
  public Done join(CustomerId stays, CustomerId gone, StaffId by) {
    permits.require(by, Act.WORK);
    if (stays.equals(gone)) {
      throw Problem.fields(
          List.of(
              new FieldProblem(
                  "gone", "A customer cannot be joined with itself. Nothing was changed.")));
    }
    return RaceRetry.run(() -> transactions.execute(status -> joinNow(stays, gone, by)));
  }

  private Done joinNow(CustomerId stays, CustomerId gone, StaffId by) {
    if (joins.hold(List.of(stays, gone)).size() < 2) {
      throw Problem.conflict(
          Problem.Kind.CHANGED_MEANWHILE,
          "One of the two is not there any more, or was joined with another customer meanwhile. Nothing was changed; please look again.");
    }
    List<NumberId> numbers =
        Stream.of(stays, gone).flatMap(one -> joins.numbersOf(one).stream()).distinct().toList();
    numbers.forEach(holdings::hold);
    String name = profiles.names(List.of(gone.value())).getOrDefault(gone.value(), "");
    long act = holdings.begin(IdentifyingKind.JOINED, null, null, stays, name, by.value());
    joins.join(act, stays, gone);
    numbers.forEach(number -> matching.matchAgain(number, Map.of()));
    return new Done(act);
  }
}
