package fabulum.server.imports;

import fabulum.server.customers.CustomerChanges;
import fabulum.server.customers.CustomerFiles.Field;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Holdings;
import fabulum.server.customers.NumberId;
import fabulum.server.imports.store.ImportMapper;
import fabulum.server.imports.store.ImportMapper.ChangeRow;
import fabulum.server.platform.RaceRetry;
import java.util.List;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Takes an import back, some of it at a time: begun again after a crash it goes on. What people
 * changed since stays, and so do customers of whom more was said since.
 */
@Component
class ImportUndoing {
  private static final int CHUNK = 200;

  private final ImportMapper rows;
  private final ImportTaking.Numbers numbers;
  private final Holdings holdings;
  private final CustomerChanges changes;
  private final TransactionTemplate transactions;

  ImportUndoing(
      ImportMapper rows,
      ImportTaking.Numbers numbers,
      Holdings holdings,
      CustomerChanges changes,
      TransactionTemplate transactions) {
    this.rows = rows;
    this.numbers = numbers;
    this.holdings = holdings;
    this.changes = changes;
    this.transactions = transactions;
  }

  /**
   * Takes it back.
   *
   * @return how many customers whom it added stay, because more was said of them since
   */
  int undo(long act, long staff) {
    while (run(() -> fieldsOf(act))) {
      // The next ones.
    }
    long last = 0;
    while (last >= 0) {
      long after = last;
      last = run(() -> numbersOf(act, after));
    }
    last = 0;
    while (last >= 0) {
      long after = last;
      last = run(() -> customersOf(act, after));
    }
    return run(() -> {
      holdings.setUndone(act, staff);
      return rows.countMade(act);
    });
  }

  private <T> T run(Supplier<T> some) {
    return RaceRetry.run(() -> transactions.execute(status -> some.get()));
  }

  private boolean fieldsOf(long act) {
    List<ChangeRow> some = rows.listChanges(act, CHUNK);
    some.forEach(change -> {
      restore(change);
      rows.deleteChange(change.id());
    });
    some.stream()
        .map(ChangeRow::customerId)
        .distinct()
        .forEach(id -> changes.tell(new CustomerId(id)));
    return !some.isEmpty();
  }

  private void restore(ChangeRow change) {
    long customer = change.customerId();
    String now = change.after() == null ? "" : change.after();
    switch (change.kind()) {
      case "DETAIL" -> {
        if (change.before() == null) {
          rows.deleteDetail(customer, change.ref(), now);
        } else {
          rows.restoreDetail(customer, change.ref(), change.before(), now);
        }
      }
      case "CONTACT" -> rows.deleteContact(change.ref());
      case "NOTE" -> rows.deleteNote(change.ref(), now);
      case "LIST" -> rows.deleteFromList(customer, change.ref());
      case "SITE" -> rows.setSite(customer, idOf(change.after()), idOf(change.before()));
      default ->
          rows.setField(customer, Field.valueOf(change.kind()), change.after(), change.before());
    }
  }

  private static @Nullable Long idOf(@Nullable String words) {
    return words == null ? null : Long.valueOf(words);
  }

  /** The next numbers; -1 when there are no more. */
  private long numbersOf(long act, long after) {
    List<Long> some = rows.listNumbers(act, after, CHUNK);
    for (long number : some) {
      rows.deleteEnds(act, number);
      rows.deleteHoldings(act, number);
      numbers.matchAgain(new NumberId(number));
    }
    return some.isEmpty() ? -1 : some.get(some.size() - 1);
  }

  /** The next customers; -1 when there are no more. */
  private long customersOf(long act, long after) {
    List<Long> some = rows.listMade(act, after, CHUNK);
    for (long customer : some) {
      rows.deleteCustomer(customer);
      changes.tell(new CustomerId(customer));
    }
    return some.isEmpty() ? -1 : some.get(some.size() - 1);
  }
}
