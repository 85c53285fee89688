package fabulum.server.clientele;

import fabulum.core.agreement.Agreement;
import fabulum.core.phone.Sender;
import fabulum.core.sending.SendQuestion.NumberState;
import fabulum.server.access.StaffId;
import fabulum.server.clientele.CustomerPageView.Allowed;
import fabulum.server.clientele.CustomerPageView.PageNumber;
import fabulum.server.clientele.store.ClienteleMapper;
import fabulum.server.clientele.store.IndexedRow.HeardRow;
import fabulum.server.conversations.SightColumns;
import fabulum.server.customers.CustomerFile;
import fabulum.server.customers.CustomerFiles;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Customers;
import fabulum.server.customers.HeldNumber;
import fabulum.server.customers.Holder;
import fabulum.server.customers.Holdings;
import fabulum.server.customers.NumberFacts;
import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.lines.Sights;
import fabulum.server.lines.TypedNumbers;
import fabulum.server.numbers.NumberCheck;
import fabulum.server.numbers.NumberChecks;
import fabulum.server.platform.Problem;
import fabulum.server.sending.Agreements;
import fabulum.server.work.Works;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.stereotype.Service;

/** Each customer's page. */
@Service
public class CustomerPages {
  private final CustomerFiles files;
  private final HeldBy held;
  private final Works works;
  private final ClienteleMapper rows;
  private final Sights sights;

  CustomerPages(
      CustomerFiles files, HeldBy held, Works works, ClienteleMapper rows, Sights sights) {
    this.files = files;
    this.held = held;
    this.works = works;
    this.rows = rows;
    this.sights = sights;
  }

  /** The page. */
  public CustomerPageView of(CustomerId id, StaffId asking) {
    CustomerFile file = files.find(id).orElseThrow(() -> Problem.notFound("customer"));
    String joined =
        Optional.ofNullable(file.joinedInto())
            .flatMap(other -> files.find(new CustomerId(other)))
            .map(CustomerFile::name)
            .orElse(null);
    return new CustomerPageView(
        file,
        joined,
        held.of(id, asking),
        works.of(id),
        rows.listLastHeard(List.of(id.value()), SightColumns.of(sights.of(asking))).stream()
            .findFirst()
            .map(HeardRow::at)
            .orElse(null));
  }

  /** The numbers of a customer, and what may be sent to them. */
  @Component
  static class HeldBy {
    private final Customers customers;
    private final Holdings holdings;
    private final TypedNumbers numbers;
    private final Agreements agreements;
    private final NumberChecks checks;
    private final Lines lines;
    private final Sights sights;

    HeldBy(
        Customers customers,
        Holdings holdings,
        TypedNumbers numbers,
        Agreements agreements,
        NumberChecks checks,
        Lines lines,
        Sights sights) {
      this.customers = customers;
      this.holdings = holdings;
      this.numbers = numbers;
      this.agreements = agreements;
      this.checks = checks;
      this.lines = lines;
      this.sights = sights;
    }

    List<PageNumber> of(CustomerId id, StaffId asking) {
      List<HeldNumber> all = holdings.of(id);
      Map<Long, NumberCheck> checked =
          checks.of(all.stream().map(one -> new NumberId(one.numberId())).distinct().toList());
      return all.stream().map(one -> number(id, one, checked.get(one.numberId()), asking)).toList();
    }

    private PageNumber number(
        CustomerId id, HeldNumber one, @Nullable NumberCheck check, StaffId asking) {
      NumberId number = new NumberId(one.numberId());
      List<String> others =
          customers.holders(number).stream()
              .filter(other -> other.id() != id.value())
              .map(Holder::name)
              .toList();
      return new PageNumber(
          one.numberId(),
          one.address(),
          numbers.local(one.address()),
          numbers.international(one.address()),
          one.kind(),
          one.word(),
          one.preferred(),
          others,
          one.heldFrom(),
          one.heldUntil(),
          one.heldUntil() == null ? allowed(one.address(), asking) : List.of(),
          customers
              .facts(Sender.ofAddress(one.address()), id)
              .map(NumberFacts::state)
              .orElse(NumberState.GOOD),
          check);
    }

    private List<Allowed> allowed(String address, StaffId asking) {
      Optional<NumberFacts> facts = customers.facts(Sender.ofAddress(address));
      return facts
          .map(known ->
              lines.list().stream()
                  .filter(LineView::inUse)
                  .filter(line -> sights.of(asking).seesLine(line.id()))
                  .map(line -> allowed(known, line.id()))
                  .toList())
          .orElse(List.of());
    }

    private Allowed allowed(NumberFacts facts, long line) {
      Agreement agreement = agreements.of(facts, new LineId(line));
      return new Allowed(line, agreement.service().answer(), agreement.news().answer());
    }
  }
}
