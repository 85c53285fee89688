package fabulum.server.identify;

import fabulum.core.access.Act;
import fabulum.core.phone.NumberReader.Typed;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.text.OneLine;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.conversations.Matching;
import fabulum.server.customers.CustomerChanges;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Customers;
import fabulum.server.customers.HeldNumber;
import fabulum.server.customers.Holdings;
import fabulum.server.customers.IdentifyingKind;
import fabulum.server.customers.NumberId;
import fabulum.server.identify.Identify.Done;
import fabulum.server.lines.TypedNumbers;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.RaceRetry;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** The numbers of a customer, as people change them on the customer's page. */
@Service
public class HeldNumbers {
  private static final int LONGEST_KIND = 16;
  private static final int LONGEST_WORD = 80;

  private final Customers customers;
  private final Holdings holdings;
  private final Matching matching;
  private final TypedNumbers numbers;
  private final CustomerChanges changes;
  private final Permits permits;
  private final TransactionTemplate transactions;

  HeldNumbers(
      Customers customers,
      Holdings holdings,
      Matching matching,
      TypedNumbers numbers,
      CustomerChanges changes,
      Permits permits,
      TransactionTemplate transactions) {
    this.customers = customers;
    this.holdings = holdings;
    this.matching = matching;
    this.numbers = numbers;
    this.changes = changes;
    this.permits = permits;
    this.transactions = transactions;
  }

  /**
   * What is said about a number that a customer holds.
   *
   * @param kind "mobile", "home", "work" or another word, at most 16 characters; blank for unknown
   * @param word "shared", "only in summer", at most 80 characters; blank for nothing
   */
  public record Described(String kind, String word) {
    public Described {
      kind = kind.strip();
      word = word.strip();
    }

    @Nullable String kindOrNull() {
      return kind.isEmpty() ? null : kind;
    }

    @Nullable String wordOrNull() {
      return word.isEmpty() ? null : word;
    }
  }

  /** Adds a number to a customer; others who hold it keep it. */
  public Done add(CustomerId customer, String typed, Described described, StaffId by) {
    permits.require(by, Act.WORK);
    require(described);
    PhoneNumber number = read(typed);
    return run(() -> {
      NumberId id = customers.numberOf(number);
      requireThere(customer);
      holdings.hold(id);
      if (holdings.holders(id).contains(customer.value())) {
        throw field("number", "They have this number already.");
      }
      long act = holdings.begin(IdentifyingKind.ADDED, id, null, customer, null, by.value());
      holdings.add(act, id, customer, described.kindOrNull(), described.wordOrNull());
      matching.matchAgain(id, Map.of());
      return new Done(act);
    });
  }

  private PhoneNumber read(String typed) {
    Typed read = numbers.read(typed);
    if (read instanceof Typed.Understood understood) {
      return understood.number();
    }
    throw field("number", ((Typed.Impossible) read).why() + " Nothing was changed.");
  }

  private <T> T run(Supplier<T> work) {
    return RaceRetry.run(() -> transactions.execute(status -> work.get()));
  }

  /** A number is no longer a customer's; what they wrote from it until now stays theirs. */
  public Done giveUp(CustomerId customer, NumberId number, StaffId by) {
    permits.require(by, Act.WORK);
    return run(() -> {
      holdings.hold(number);
      if (!holdings.holders(number).contains(customer.value())) {
        throw Problem.conflict(
            Problem.Kind.CHANGED_MEANWHILE,
            "They do not have this number any more. Nothing was changed.");
      }
      long act = holdings.begin(IdentifyingKind.GIVEN_UP, number, null, customer, null, by.value());
      holdings.endNow(act, number, customer);
      matching.matchAgain(number, Map.of());
      return new Done(act);
    });
  }

  /** Changes what is said about a number. */
  public void describe(CustomerId customer, NumberId number, Described described, StaffId by) {
    permits.require(by, Act.WORK);
    require(described);
    run(() -> {
      HeldNumber held = held(customer, number);
      holdings.describe(held.id(), described.kindOrNull(), described.wordOrNull());
      changes.log(
          customer,
          Optional.of(by),
          "number",
          said(held.address(), held.kind(), held.word()),
          said(held.address(), described.kindOrNull(), described.wordOrNull()));
      return held;
    });
  }

  /** Makes a number the one to text first. */
  public void prefer(CustomerId customer, NumberId number, StaffId by) {
    permits.require(by, Act.WORK);
    run(() -> {
      HeldNumber held = held(customer, number);
      holdings.prefer(customer, held.id());
      changes.log(customer, Optional.of(by), "preferred number", null, held.address());
      return held;
    });
  }

  private HeldNumber held(CustomerId customer, NumberId number) {
    return holdings.of(customer).stream()
        .filter(one -> one.numberId() == number.value() && one.heldUntil() == null)
        .findFirst()
        .orElseThrow(() -> Problem.notFound("number"));
  }

  private static String said(String address, @Nullable String kind, @Nullable String word) {
    return address + (kind == null ? "" : ", " + kind) + (word == null ? "" : ", " + word);
  }

  private void requireThere(CustomerId customer) {
    if (customers.isGone(customer)) {
      throw Problem.notFound("customer");
    }
  }

  private static void require(Described described) {
    if (described.kind().length() > LONGEST_KIND || !OneLine.is(described.kind())) {
      throw field("kind", "At most " + LONGEST_KIND + " characters, on one line.");
    }
    if (described.word().length() > LONGEST_WORD || !OneLine.is(described.word())) {
      throw field("word", "At most " + LONGEST_WORD + " characters, on one line.");
    }
  }

  private static Problem field(String field, String why) {
    return Problem.fields(List.of(new FieldProblem(field, why)));
  }
}
