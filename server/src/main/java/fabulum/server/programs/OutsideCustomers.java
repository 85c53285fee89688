package fabulum.server.programs;

import fabulum.core.phone.NumberReader.Typed;
import fabulum.core.phone.PhoneNumber;
import fabulum.core.sending.SendQuestion.NumberState;
import fabulum.core.text.OneLine;
import fabulum.server.conversations.Matching;
import fabulum.server.customers.Changer;
import fabulum.server.customers.CustomerFile;
import fabulum.server.customers.CustomerFiles;
import fabulum.server.customers.CustomerId;
import fabulum.server.customers.Customers;
import fabulum.server.customers.HeldNumber;
import fabulum.server.customers.Holdings;
import fabulum.server.customers.IdentifyingKind;
import fabulum.server.customers.NumberFacts;
import fabulum.server.customers.NumberId;
import fabulum.server.customers.ToldCustomers;
import fabulum.server.customers.ToldCustomers.Told;
import fabulum.server.lines.TypedNumbers;
import fabulum.server.platform.Problem;
import fabulum.server.platform.Problem.FieldProblem;
import fabulum.server.platform.RaceRetry;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Customers and their numbers as other programs read, make and change them. */
@Service
public class OutsideCustomers {
  private static final int LONGEST_ID = 80;
  private static final int MOST_NUMBERS = 20;
  private static final int LONGEST_KIND = 16;
  private static final int LONGEST_WORD = 80;

  private final CustomerFiles files;
  private final ToldCustomers told;
  private final Customers customers;
  private final Numbers numbers;
  private final Described described;
  private final TransactionTemplate transactions;

  OutsideCustomers(
      CustomerFiles files,
      ToldCustomers told,
      Customers customers,
      Numbers numbers,
      Described described,
      TransactionTemplate transactions) {
    this.files = files;
    this.told = told;
    this.customers = customers;
    this.numbers = numbers;
    this.described = described;
    this.transactions = transactions;
  }

  /**
   * A number that a customer has.
   *
   * @param number in E.164; told, it may be written as people do
   * @param kind "mobile", "home", "work" or another word; null for unknown
   * @param word more about it; null for nothing
   */
  public record OutsideNumber(String number, @Nullable String kind, @Nullable String word) {}

  /**
   * What is told of a customer. What is null stays; what is blank or empty is emptied.
   *
   * @param numbers all they have now; those that are missing are given up, and keep their dates
   */
  public record Wanted(Told customer, @Nullable List<OutsideNumber> numbers) {}

  /** A customer as other programs see them. */
  public record OutsideCustomer(
      String outsideId,
      String name,
      @Nullable String kind,
      @Nullable String email,
      @Nullable String site,
      List<String> contacts,
      List<OutsideNumber> numbers,
      Map<String, String> details,
      List<String> lists) {}

  /** A customer who has a number. */
  public record OutsideHolder(
      @Nullable String outsideId, String name, @Nullable String kind, @Nullable String word) {}

  /**
   * What is known of a number.
   *
   * @param state why it cannot be texted; null when it can
   */
  public record NumberKnown(String number, @Nullable String state, List<OutsideHolder> customers) {}

  /**
   * What was done.
   *
   * @param made whether there was none before
   */
  public record Put(boolean made, OutsideCustomer customer) {}

  /** One of them. */
  public OutsideCustomer get(String outsideId, Program asking) {
    Programs.require(asking, ProgramRight.READ_CUSTOMERS);
    CustomerId id = told.find(outsideId).orElseThrow(() -> Problem.notFound("customer"));
    return view(id);
  }

  private OutsideCustomer view(CustomerId id) {
    CustomerFile file = files.find(id).orElseThrow(() -> Problem.notFound("customer"));
    return described.of(file, numbers.of(id));
  }

  /** Those with an outside id, in its order, after one. */
  public List<OutsideCustomer> list(String after, int limit, Program asking) {
    Programs.require(asking, ProgramRight.READ_CUSTOMERS);
    return told.listAfter(after, limit).stream().map(this::view).toList();
  }

  /** Makes a customer, or changes what is told otherwise than it is. */
  public Put put(String outsideId, Wanted wanted, Program by) {
    Programs.require(by, ProgramRight.CHANGE_CUSTOMERS);
    requireGood(outsideId, wanted);
    Changer changer = Changer.program(by.id());
    return RaceRetry.run(() ->
        Objects.requireNonNull(
            transactions.execute(status -> {
              Optional<CustomerId> there = told.find(outsideId);
              Optional<CustomerId> found = there.or(() -> adopted(outsideId, wanted, changer));
              CustomerId id =
                  found.orElseGet(() -> told.add(outsideId, wanted.customer(), changer));
              found.ifPresent(one -> told.change(one, wanted.customer(), changer));
              if (wanted.numbers() != null) {
                numbers.set(id, wanted.numbers(), by);
              }
              return new Put(there.isEmpty(), view(id));
            })));
  }

  /**
   * Somebody on file with the same name and one of the numbers, whom no other program names yet.
   */
  private Optional<CustomerId> adopted(String outsideId, Wanted wanted, Changer by) {
    String name = wanted.customer().name();
    List<OutsideNumber> all = wanted.numbers() == null ? List.of() : wanted.numbers();
    if (name == null) {
      return Optional.empty();
    }
    return all.stream()
        .flatMap(one -> numbers.read(one.number()).stream())
        .flatMap(number -> customers.holders(customers.numberOf(number)).stream())
        .filter(holder -> holder.name().equalsIgnoreCase(name.strip()))
        .map(holder -> new CustomerId(holder.id()))
        .distinct()
        .filter(id -> told.adopt(id, outsideId, by))
        .findFirst();
  }

  private void requireGood(String outsideId, Wanted wanted) {
    List<FieldProblem> bad = new ArrayList<>();
    if (outsideId.isBlank() || outsideId.length() > LONGEST_ID || !OneLine.is(outsideId)) {
      bad.add(new FieldProblem("outsideId", "An outside id has 1 to 80 characters."));
    }
    bad.addAll(told.problems(wanted.customer(), told.find(outsideId).isEmpty()));
    List<OutsideNumber> all = wanted.numbers() == null ? List.of() : wanted.numbers();
    if (all.size() > MOST_NUMBERS) {
      bad.add(new FieldProblem("numbers", "At most " + MOST_NUMBERS + " numbers."));
    }
    for (int i = 0; i < all.size(); i++) {
      numbers.problems("numbers[" + i + "].", all.get(i), bad);
    }
    if (!bad.isEmpty()) {
      throw Problem.fields(bad);
    }
  }

  /** What is known of a number; it need not be on file. */
  public NumberKnown number(String typed, Program asking) {
    Programs.require(asking, ProgramRight.READ_CUSTOMERS);
    PhoneNumber number =
        numbers
            .read(typed)
            .orElseThrow(() ->
                Problem.fields(List.of(new FieldProblem("number", "Not a valid phone number."))));
    Optional<NumberFacts> facts = customers.facts(number);
    List<OutsideHolder> holders =
        facts.isEmpty()
            ? List.of()
            : customers.holders(customers.numberOf(number)).stream()
                .map(holder -> holder(new CustomerId(holder.id()), number))
                .toList();
    return new NumberKnown(
        number.e164(),
        facts
            .map(NumberFacts::state)
            .filter(state -> state != NumberState.GOOD)
            .map(Enum::name)
            .orElse(null),
        holders);
  }

  private OutsideHolder holder(CustomerId id, PhoneNumber number) {
    CustomerFile file = files.find(id).orElseThrow();
    Optional<HeldNumber> held =
        numbers.of(id).stream().filter(one -> one.address().equals(number.e164())).findFirst();
    return new OutsideHolder(
        file.outsideId(),
        file.name(),
        held.map(HeldNumber::kind).orElse(null),
        held.map(HeldNumber::word).orElse(null));
  }

  /** The numbers of customers. */
  @Component
  static class Numbers {
    private final Customers customers;
    private final Holdings holdings;
    private final Matching matching;
    private final TypedNumbers typed;

    Numbers(Customers customers, Holdings holdings, Matching matching, TypedNumbers typed) {
      this.customers = customers;
      this.holdings = holdings;
      this.matching = matching;
      this.typed = typed;
    }

    /** Those they have now. */
    List<HeldNumber> of(CustomerId id) {
      return holdings.of(id).stream().filter(one -> one.heldUntil() == null).toList();
    }

    Optional<PhoneNumber> read(String words) {
      return typed.read(words) instanceof Typed.Understood understood
          ? Optional.of(understood.number())
          : Optional.empty();
    }

    void problems(String before, OutsideNumber told, List<FieldProblem> bad) {
      if (typed.read(told.number()) instanceof Typed.Impossible impossible) {
        bad.add(new FieldProblem(before + "number", impossible.why()));
      }
      length(before + "kind", told.kind(), LONGEST_KIND, bad);
      length(before + "word", told.word(), LONGEST_WORD, bad);
    }

    private static void length(
        String field, @Nullable String words, int longest, List<FieldProblem> bad) {
      if (words != null && (words.length() > longest || !OneLine.is(words))) {
        bad.add(new FieldProblem(field, "At most " + longest + " characters, on one line."));
      }
    }

    /** Gives and ends numbers until they have exactly these. */
    void set(CustomerId id, List<OutsideNumber> told, Program by) {
      Map<String, OutsideNumber> wanted = new LinkedHashMap<>();
      told.forEach(one -> read(one.number()).ifPresent(number -> wanted.put(number.e164(), one)));
      Set<String> there = new HashSet<>();
      for (HeldNumber held : of(id)) {
        there.add(held.address());
        OutsideNumber one = wanted.get(held.address());
        if (one == null) {
          end(id, new NumberId(held.numberId()), by);
        } else if (!Objects.equals(held.kind(), orNull(one.kind()))
            || !Objects.equals(held.word(), orNull(one.word()))) {
          holdings.describe(held.id(), orNull(one.kind()), orNull(one.word()));
        }
      }
      wanted.forEach((address, one) -> {
        if (!there.contains(address)) {
          add(id, new PhoneNumber(address), one, by);
        }
      });
    }

    private static @Nullable String orNull(@Nullable String words) {
      return words == null || words.isBlank() ? null : words.strip();
    }

    private void add(CustomerId id, PhoneNumber number, OutsideNumber one, Program by) {
      NumberId known = customers.numberOf(number);
      holdings.hold(known);
      long act = holdings.begin(IdentifyingKind.ADDED, known, null, id, by.name(), null);
      holdings.add(act, known, id, orNull(one.kind()), orNull(one.word()));
      matching.matchAgain(known, Map.of());
    }

    private void end(CustomerId id, NumberId number, Program by) {
      holdings.hold(number);
      long act = holdings.begin(IdentifyingKind.GIVEN_UP, number, null, id, by.name(), null);
      holdings.endNow(act, number, id);
      matching.matchAgain(number, Map.of());
    }
  }
}
