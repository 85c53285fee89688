package fabulum.server.imports;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.mapping;
import static java.util.stream.Collectors.toList;
import static java.util.stream.Collectors.toMap;

import fabulum.core.identify.Profile;
import fabulum.core.identify.Twins;
import fabulum.core.imports.RowReader;
import fabulum.core.imports.RowReader.Customer;
import fabulum.core.imports.RowReader.DetailOf;
import fabulum.core.imports.RowReader.Refused;
import fabulum.core.phone.PhoneNumber;
import fabulum.server.clientele.CustomerLookup;
import fabulum.server.clientele.CustomerLookup.Known;
import fabulum.server.clientele.CustomerLookup.Snapshot;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.DetailKind;
import fabulum.server.customers.DetailKinds;
import fabulum.server.customers.Profiles;
import fabulum.server.imports.FileReading.Read;
import fabulum.server.imports.store.ImportMapper;
import fabulum.server.imports.store.ImportMapper.HeldRow;
import fabulum.server.lines.LineView;
import fabulum.server.lines.Lines;
import fabulum.server.lines.SiteView;
import fabulum.server.lines.TypedNumbers;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Works out what becomes of the rows of a file with customers; nothing is changed. */
@Component
class CustomerPlan {
  private static final int CHUNK = 500;

  private final CustomerLookup lookup;
  private final Profiles profiles;
  private final DetailKinds kinds;
  private final ImportMapper rows;
  private final Lines lines;
  private final TypedNumbers numbers;
  private final Clock clock;

  CustomerPlan(
      CustomerLookup lookup,
      Profiles profiles,
      DetailKinds kinds,
      ImportMapper rows,
      Lines lines,
      TypedNumbers numbers,
      Clock clock) {
    this.lookup = lookup;
    this.profiles = profiles;
    this.kinds = kinds;
    this.rows = rows;
    this.lines = lines;
    this.numbers = numbers;
    this.clock = clock;
  }

  /** What becomes of each row. */
  List<PlannedRow> plan(Read read, ImportChoice choice) {
    RowReader reader = new RowReader(terms());
    Matcher matcher = new Matcher(lookup.now(), holders(), choice);
    List<PlannedRow> planned = new ArrayList<>();
    for (Sheet.Row row : read.body()) {
      RowReader.Row said = reader.read(read.titles(), read.targets(), row.cells());
      planned.add(
          said instanceof Customer customer
              ? matcher.match(row, customer)
              : PlannedRow.refused(row, ((Refused) said).why()));
    }
    return compared(planned, choice);
  }

  private RowReader.Terms terms() {
    Map<String, Long> sites =
        lines.listSites().stream()
            .collect(
                toMap(site -> site.name().toLowerCase(Locale.ROOT), SiteView::id, (a, b) -> a));
    Map<Long, DetailOf> details =
        kinds.list().stream()
            .collect(
                toMap(
                    DetailKind::id,
                    kind -> new DetailOf(kind.name(), kind.type(), kind.listChoices())));
    Set<PhoneNumber> own =
        lines.list().stream()
            .map(LineView::number)
            .map(PhoneNumber::new)
            .collect(Collectors.toSet());
    return new RowReader.Terms(sites, details, own, numbers.region());
  }

  private Map<String, List<Long>> holders() {
    return rows.listHeld().stream()
        .collect(groupingBy(HeldRow::address, mapping(HeldRow::customerId, toList())));
  }

  /** Finds whom rows mean; a row that says what an earlier one says is refused. */
  private static final class Matcher {
    private final Snapshot known;
    private final Map<String, List<Long>> holders;
    private final ImportChoice choice;
    private final Map<String, Long> seen = new HashMap<>();
    private final Set<Long> met = new HashSet<>();

    Matcher(Snapshot known, Map<String, List<Long>> holders, ImportChoice choice) {
      this.known = known;
      this.holders = holders;
      this.choice = choice;
    }

    PlannedRow match(Sheet.Row row, Customer customer) {
      Optional<Long> twin = seenBefore(row.line(), customer);
      if (twin.isPresent()) {
        return PlannedRow.refused(
            row, List.of("The same customer stands in line " + twin.get() + "."));
      }
      Long answer = choice.answer(row.line());
      if (answer != null) {
        return answer == 0
            ? planned(row, customer, Fate.NEW, null, List.of())
            : known
                .find(answer)
                .map(one -> meets(row, customer, one))
                .orElseGet(
                    () -> PlannedRow.refused(row, List.of("The customer you chose is gone.")));
      }
      Optional<Known> sure = sure(customer);
      if (sure.isPresent()) {
        return meets(row, customer, sure.get());
      }
      Optional<Question> question = question(customer);
      if (question.isPresent()) {
        return planned(
            row, customer, Fate.ASKED, question.get().perhaps(), List.of(question.get().why()));
      }
      return customer.name().isEmpty()
          ? PlannedRow.refused(row, List.of("A new customer needs a name."))
          : planned(row, customer, Fate.NEW, null, List.of());
    }

    private PlannedRow meets(Sheet.Row row, Customer customer, Known one) {
      return met.add(one.id())
          ? planned(row, customer, Fate.SAME, one, List.of())
          : PlannedRow.refused(
              row, List.of("An earlier line is about " + one.name() + " as well."));
    }

    private static PlannedRow planned(
        Sheet.Row row, Customer customer, Fate fate, @Nullable Known known, List<String> words) {
      return new PlannedRow(
          row.line(),
          PlannedRow.shown(row),
          fate,
          customer,
          known == null ? null : known.id(),
          known == null ? null : known.name(),
          words);
    }

    private Optional<Long> seenBefore(long line, Customer customer) {
      List<String> marks = new ArrayList<>();
      customer.outsideId().ifPresent(id -> marks.add("id " + id));
      if (customer.outsideId().isEmpty()) {
        customer
            .numbers()
            .keySet()
            .forEach(number ->
                marks.add(number.e164() + " " + customer.name().toLowerCase(Locale.ROOT)));
      }
      for (String mark : marks) {
        Long before = seen.putIfAbsent(mark, line);
        if (before != null) {
          return Optional.of(before);
        }
      }
      return Optional.empty();
    }

    private static boolean fits(Customer customer, Known one) {
      return customer.name().isEmpty()
          || customer.name().equalsIgnoreCase(one.name())
          || Twins.areNear(customer.name(), one.name());
    }

    private Optional<Known> sure(Customer customer) {
      Optional<Known> byId = customer.outsideId().flatMap(known::byOutsideId);
      if (byId.isPresent()) {
        return byId;
      }
      List<Known> byNumber =
          byNumber(customer).stream().filter(one -> fits(customer, one)).toList();
      if (byNumber.size() == 1) {
        return Optional.of(byNumber.get(0));
      }
      return byNumber.isEmpty()
          ? customer.email().flatMap(known::byMail).filter(one -> fits(customer, one))
          : Optional.empty();
    }

    private List<Known> byNumber(Customer customer) {
      return customer.numbers().keySet().stream()
          .flatMap(number -> holders.getOrDefault(number.e164(), List.of()).stream())
          .distinct()
          .flatMap(id -> known.find(id).stream())
          .toList();
    }

    private record Question(Known perhaps, String why) {}

    private Optional<Question> question(Customer customer) {
      List<Known> near = customer.name().isEmpty() ? List.of() : known.near(customer.name());
      if (!near.isEmpty()) {
        return Optional.of(
            new Question(near.get(0), "Is it " + near.get(0).name() + ", who is on file?"));
      }
      Optional<Known> same =
          byNumber(customer).stream().findFirst().or(() -> customer.email().flatMap(known::byMail));
      return same.map(one ->
          new Question(
              one,
              one.name() + " is on file with the same number or e-mail. Is it the same customer?"));
    }
  }

  /** Of those on file, what changes. */
  private List<PlannedRow> compared(List<PlannedRow> planned, ImportChoice choice) {
    List<PlannedRow> met = planned.stream().filter(row -> row.fate() == Fate.SAME).toList();
    Map<Long, Profile> known = new HashMap<>();
    for (int i = 0; i < met.size(); i += CHUNK) {
      List<CustomerId> some =
          met.subList(i, Math.min(met.size(), i + CHUNK)).stream()
              .map(PlannedRow::known)
              .filter(java.util.Objects::nonNull)
              .map(CustomerId::new)
              .toList();
      profiles.list(some).forEach(one -> known.put(one.id(), one));
    }
    return planned.stream()
        .map(row -> row.fate() == Fate.SAME ? compared(row, known, choice) : row)
        .toList();
  }

  private PlannedRow compared(PlannedRow row, Map<Long, Profile> known, ImportChoice choice) {
    Customer customer = row.said() instanceof Customer said ? said : null;
    Long id = row.known();
    Profile profile = id == null ? null : known.get(id);
    Optional<Known> there = id == null ? Optional.empty() : lookup.find(id);
    if (customer == null || profile == null || there.isEmpty()) {
      return row;
    }
    Differences differences = new Differences(customer, profile, there.get(), clock.instant());
    List<String> words = differences.words(kindNames(), choice.list());
    return words.isEmpty()
        ? row
        : new PlannedRow(
            row.line(), row.shown(), Fate.CHANGED, customer, id, row.knownName(), words);
  }

  private Map<Long, String> kindNames() {
    return kinds.list().stream().collect(toMap(DetailKind::id, DetailKind::name));
  }
}
