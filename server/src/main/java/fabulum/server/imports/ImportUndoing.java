package fabulum.server.imports;

import fabulum.server.customers.CustomerChanges;
import fabulum.server.customers.CustomerFile.Field;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Holdings;
import fabulum.server.customers.NumberId;
import fabulum.server.imports.store.ImportMapper;
import fabulum.server.imports.store.ImportMapper.ChangeRow;
import fabulum.server.platform.RaceRetry;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Takes an import back, some of it at a time: begun again after a crash it goes on. What people
 * changed since stays, and so do customers of whom more was said since, and what those who were
 * joined since have one of.
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
   * @return how many customers stay: whom it added and of whom more was said since, and whom it
   *     changed and who were joined with another since
   */
  int undo(long act, long staff) {
    while (run(() -> fieldsOf(act))) {
      // The next ones.
    }
    inChunks(rows.listNumbers(act), some -> backOf(act, some));
    inChunks(rows.listMade(act), some -> away(act, some));
    return run(() -> {
      holdings.setUndone(act, staff);
      int stay = rows.countStaying(act);
      rows.forgetChanges(act);
      return stay;
    });
  }

  private <T> T run(Supplier<T> some) {
    return RaceRetry.run(() -> transactions.execute(status -> some.get()));
  }

  private boolean fieldsOf(long act) {
    List<ChangeRow> some = rows.listChanges(act, CHUNK);
    some.forEach(this::restore);
    if (!some.isEmpty()) {
      // The newest first, so these are all from the last one on.
      rows.deleteChanges(act, some.get(some.size() - 1).id());
    }
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

  private void inChunks(List<Long> all, Consumer<List<Long>> act) {
    for (int i = 0; i < all.size(); i += CHUNK) {
      List<Long> some = all.subList(i, Math.min(all.size(), i + CHUNK));
      run(() -> {
        act.accept(some);
        return some.size();
      });
    }
  }

  /** Takes back who was said to hold numbers. */
  private void backOf(long act, List<Long> some) {
    for (long number : some) {
      List<Long> held = rows.listHoldings(act, number);
      for (long holding : held) {
        rows.deleteEnds(holding);
        rows.deleteHolding(holding);
      }
      if (!held.isEmpty()) {
        numbers.matchAgain(new NumberId(number));
      }
    }
  }

  /** Customers of whom nothing more was said are not there any more. */
  private void away(long act, List<Long> some) {
    for (long customer : some) {
      if (rows.deleteUnspoken(act, customer) > 0) {
        changes.tell(new CustomerId(customer));
      }
    }
  }
}
