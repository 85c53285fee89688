package fabulum.server.imports;

import fabulum.core.identify.Profile;
import fabulum.core.imports.RowReader.Customer;
import fabulum.core.phone.PhoneNumber;
import fabulum.server.access.StaffId;
import fabulum.server.clientele.CustomerLookup;
import fabulum.server.clientele.CustomerLookup.Known;
import fabulum.server.conversations.Matching;
import fabulum.server.customers.Changer;
import fabulum.server.customers.CustomerChanges;
import fabulum.server.customers.CustomerFile.Field;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Customers;
import fabulum.server.customers.Holdings;
import fabulum.server.customers.NumberId;
import fabulum.server.customers.Profiles;
import fabulum.server.imports.Differences.FieldDiffers;
import fabulum.server.imports.store.ImportMapper;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Takes a row in. All that it changes is remembered, so that it can be taken back. */
@Component
class ImportTaking {
  private final ImportMapper rows;
  private final Numbers numbers;
  private final CustomerLookup lookup;
  private final Profiles profiles;
  private final CustomerChanges changes;
  private final Clock clock;

  ImportTaking(
      ImportMapper rows,
      Numbers numbers,
      CustomerLookup lookup,
      Profiles profiles,
      CustomerChanges changes,
      Clock clock) {
    this.rows = rows;
    this.numbers = numbers;
    this.lookup = lookup;
    this.profiles = profiles;
    this.changes = changes;
    this.clock = clock;
  }

  /**
   * Of which import a row is.
   *
   * @param list on which its customers are put; null for none
   */
  record Of(long act, String fileName, StaffId by, @Nullable Long list) {}

  /** Takes a new customer in, within a transaction. */
  void add(Customer customer, Of of) {
    long id =
        rows.insertCustomer(
            customer.name(),
            customer.email().orElse(null),
            customer.kind().orElse(null),
            customer.site().orElse(null),
            customer.outsideId().orElse(null),
            customer.language().orElse(null),
            of.act());
    if (!customer.details().isEmpty()) {
      rows.insertDetails(id, customer.details());
      rows.insertChangesOfDetails(of.act(), id);
    }
    more(id, customer.contacts(), customer.notes(), of);
    numbers.give(of.act(), new CustomerId(id), customer.numbers());
    if (customer.numbers().isEmpty()) {
      log(id, of);
    } else {
      // Who is given a number is told of already.
      changes.keep(new CustomerId(id), Changer.person(of.by()), "imported", null, of.fileName());
    }
  }

  private void log(long id, Of of) {
    changes.log(new CustomerId(id), Optional.of(of.by()), "imported", null, of.fileName());
  }

  /** Changes a customer on file, within a transaction; what is as the row says by now stays. */
  boolean change(long id, Customer customer, Of of) {
    Optional<Known> known = lookup.find(id);
    List<Profile> there = profiles.list(List.of(new CustomerId(id)));
    if (known.isEmpty() || there.isEmpty()) {
      return false;
    }
    Differences differences = new Differences(customer, there.get(0), known.get(), clock.instant());
    differences.fields().forEach(one -> field(id, one, of));
    details(id, differences.details(), known.get().details(), of);
    more(id, differences.contacts(), differences.notes(), of);
    numbers.give(of.act(), new CustomerId(id), differences.numbers());
    log(id, of);
    return true;
  }

  private void field(long id, FieldDiffers one, Of of) {
    int changed =
        one.field() == Field.SITE
            ? rows.setSite(id, idOf(one.before()), idOf(one.after()))
            : rows.setField(id, one.field(), one.before(), one.after());
    if (changed > 0) {
      rows.insertChange(of.act(), id, one.field().name(), 0, one.before(), one.after());
    }
  }

  private static @Nullable Long idOf(@Nullable String words) {
    return words == null ? null : Long.valueOf(words);
  }

  private void details(long id, Map<Long, String> now, Map<Long, String> before, Of of) {
    now.forEach((kind, words) -> {
      if (rows.updateDetail(id, kind, words) == 0) {
        rows.insertDetail(id, kind, words);
      }
      rows.insertChange(of.act(), id, "DETAIL", kind, before.get(kind), words);
    });
  }

  private void more(long id, List<String> contacts, List<String> notes, Of of) {
    for (String name : contacts) {
      rows.insertChange(of.act(), id, "CONTACT", rows.insertContact(id, name), null, null);
    }
    for (String words : notes) {
      long note = rows.insertNote(id, words, clock.instant(), of.by().value());
      rows.insertChange(of.act(), id, "NOTE", note, null, beginning(words));
    }
    if (of.list() != null && rows.putOnList(id, of.list()) > 0) {
      rows.insertChange(of.act(), id, "LIST", of.list(), null, null);
    }
  }

  private static String beginning(String words) {
    return words.length() <= 400 ? words : words.substring(0, 400);
  }

  /** Gives numbers to customers. */
  @Component
  static class Numbers {
    private final Customers customers;
    private final Holdings holdings;
    private final Matching matching;

    Numbers(Customers customers, Holdings holdings, Matching matching) {
      this.customers = customers;
      this.holdings = holdings;
      this.matching = matching;
    }

    void give(long act, CustomerId customer, Map<PhoneNumber, String> numbers) {
      numbers.forEach((number, kind) -> {
        Optional<NumberId> there = customers.known(number);
        NumberId id = there.orElseGet(() -> customers.numberOf(number));
        there.ifPresent(holdings::hold);
        holdings.add(act, id, customer, kind.isEmpty() ? null : kind, null);
        // With a number that was not there before, nobody has written yet.
        there.ifPresent(known -> matching.matchAgain(known, Map.of()));
      });
    }

    /** Works out anew whose conversations with a number are. */
    void matchAgain(NumberId number) {
      holdings.hold(number);
      matching.matchAgain(number, Map.of());
    }
  }
}
