package fabulum.server.clientele;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.toMap;

import fabulum.core.sentence.CustomerSentence;
import fabulum.core.sentence.Days;
import fabulum.server.access.StaffId;
import fabulum.server.clientele.IndexedCustomer.Sought;
import fabulum.server.clientele.store.ClienteleMapper;
import fabulum.server.clientele.store.IndexedRow.HeardRow;
import fabulum.server.conversations.SightColumns;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Profiles;
import fabulum.server.customers.Reachable;
import fabulum.server.lines.Lines;
import fabulum.server.lines.Sights;
import fabulum.server.lines.TypedNumbers;
import fabulum.server.platform.Problem;
import fabulum.server.sending.Agreements;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** All customers in one place, narrowed by a sentence. */
@Service
public class CustomerPlace {
  private final CustomerIndex index;
  private final ClienteleMapper rows;
  private final Profiles profiles;
  private final Agreements agreements;
  private final Sights sights;
  private final Reading reading;

  CustomerPlace(
      CustomerIndex index,
      ClienteleMapper rows,
      Profiles profiles,
      Agreements agreements,
      Sights sights,
      Reading reading) {
    this.index = index;
    this.rows = rows;
    this.profiles = profiles;
    this.agreements = agreements;
    this.sights = sights;
    this.reading = reading;
  }

  /** Reads a sentence. */
  public static CustomerSentence read(String text) {
    return Problem.reading("sentence", () -> CustomerSentence.read(text));
  }

  /**
   * Customers that a sentence means, by name.
   *
   * @param after the id of the last one of the page before; 0 for the first page
   */
  public CustomerPage page(CustomerSentence sentence, long after, int limit, StaffId asking) {
    Predicate<IndexedCustomer> meant = meant(sentence, asking);
    Optional<IndexedCustomer> place = after == 0 ? Optional.empty() : index.find(after);
    ByName byName = index.byName();
    BitSet found = byName.find(Sought.of(sentence.called()));
    boolean all = sentence.equals(CustomerSentence.EVERYONE);
    List<IndexedCustomer> page = new ArrayList<>();
    boolean more = false;
    int count = 0;
    int first = place.map(byName::after).orElse(0);
    for (int i = found.nextSetBit(first); i >= 0; i = found.nextSetBit(i + 1)) {
      IndexedCustomer one = byName.all().get(i);
      if (!meant.test(one)) {
        continue;
      }
      count++;
      if (page.size() < limit) {
        page.add(one);
      } else {
        more = true;
        if (all || after != 0) {
          break;
        }
      }
    }
    return new CustomerPage(
        views(page, asking),
        after != 0 ? null : all ? Integer.valueOf(byName.all().size()) : count,
        more);
  }

  /** The ids of all customers that a sentence means, by name. */
  public List<CustomerId> list(CustomerSentence sentence, StaffId asking) {
    Predicate<IndexedCustomer> meant = meant(sentence, asking);
    List<CustomerId> ids = new ArrayList<>();
    ByName byName = index.byName();
    byName.find(Sought.of(sentence.called())).stream()
        .mapToObj(byName.all()::get)
        .filter(meant)
        .forEach(one -> ids.add(new CustomerId(one.id())));
    return ids;
  }

  /** Those of whom all but what they are called agrees. */
  private Predicate<IndexedCustomer> meant(CustomerSentence sentence, StaffId asking) {
    Predicate<IndexedCustomer> meant = one -> one.agrees(sentence);
    SightColumns sight = SightColumns.of(sights.of(asking));
    if (sentence.heard().isPresent()) {
      Set<Long> heard = heard(sentence.heard().get(), sight);
      meant = meant.and(one -> heard.contains(one.id()));
    }
    if (sentence.notHeard().isPresent()) {
      Instant since = reading.startOf(reading.today().minusDays(sentence.notHeard().get() - 1L));
      Set<Long> heard = new HashSet<>(rows.listHeard(since, null, sight));
      meant = meant.and(one -> !heard.contains(one.id()));
    }
    if (sentence.agreement().isPresent()) {
      Set<Long> agreed =
          switch (sentence.agreement().get()) {
            case OPTED_OUT -> holders(agreements.listOptedOut());
            case NEWS -> holders(agreements.listAgreedToNews());
            case NOT_SAID -> new HashSet<>(rows.listNothingSaid());
          };
      meant = meant.and(one -> agreed.contains(one.id()));
    }
    return meant;
  }

  private Set<Long> heard(Days days, SightColumns sight) {
    LocalDate today = reading.today();
    Instant from = days.first(today).map(reading::startOf).orElse(null);
    Instant to = days.to().map(day -> reading.startOf(day.plusDays(1))).orElse(null);
    return new HashSet<>(rows.listHeard(from, to, sight));
  }

  private Set<Long> holders(List<Long> numbers) {
    Set<Long> holders = new HashSet<>();
    int chunk = 1_000;
    for (int i = 0; i < numbers.size(); i += chunk) {
      holders.addAll(rows.listHolders(numbers.subList(i, Math.min(numbers.size(), i + chunk))));
    }
    return holders;
  }

  private List<CustomerRowView> views(List<IndexedCustomer> page, StaffId asking) {
    if (page.isEmpty()) {
      return List.of();
    }
    List<Long> ids = page.stream().map(IndexedCustomer::id).toList();
    Map<Long, Instant> heard =
        rows.listLastHeard(ids, SightColumns.of(sights.of(asking))).stream()
            .collect(toMap(HeardRow::customerId, HeardRow::at));
    Map<Long, List<String>> numbers =
        profiles.numbers(ids).stream()
            .collect(
                groupingBy(
                    Reachable::customerId,
                    java.util.stream.Collectors.mapping(
                        one -> reading.local(one.address()),
                        java.util.stream.Collectors.toList())));
    return page.stream()
        .map(one ->
            new CustomerRowView(
                one.id(),
                one.row().name(),
                one.row().kind(),
                one.row().siteId(),
                one.row().email(),
                numbers.getOrDefault(one.id(), List.of()),
                one.details().entrySet().stream()
                    .map(each -> new CustomerRowView.RowDetail(each.getKey(), each.getValue()))
                    .toList(),
                List.copyOf(one.lists()),
                heard.get(one.id())))
        .toList();
  }

  /**
   * A page of customers.
   *
   * @param count of all that are meant; only on the first page
   * @param more whether there is another page
   */
  public record CustomerPage(
      List<CustomerRowView> customers, @Nullable Integer count, boolean more) {}

  /** Days and numbers as people of the business read them. */
  @org.springframework.stereotype.Component
  static class Reading {
    private final Lines lines;
    private final TypedNumbers numbers;
    private final Clock clock;

    Reading(Lines lines, TypedNumbers numbers, Clock clock) {
      this.lines = lines;
      this.numbers = numbers;
      this.clock = clock;
    }

    private ZoneId zone() {
      return lines.list().stream()
          .findFirst()
          .map(line -> ZoneId.of(line.zone()))
          .orElse(ZoneId.of("UTC"));
    }

    LocalDate today() {
      return LocalDate.ofInstant(clock.instant(), zone());
    }

    Instant startOf(LocalDate day) {
      return day.atStartOfDay(zone()).toInstant();
    }

    String local(String address) {
      return numbers.local(address);
    }
  }
}
