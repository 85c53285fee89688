package fabulum.server.customers;

import fabulum.core.identify.WhoWrote;
import fabulum.core.identify.WhoWrote.Holding;
import fabulum.core.identify.WhoWrote.Said;
import fabulum.server.customers.store.HoldingMapper;
import fabulum.server.customers.store.SaidRow;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/**
 * Who holds which number, and what people said of who writes. Every row names the act that made or
 * ended it, so that an act can be taken back exactly. To be used within a transaction that has
 * {@linkplain #hold(NumberId) held} the number.
 */
@Service
public class Holdings {
  private final HoldingMapper holdings;
  private final CustomerChanges changes;
  private final Clock clock;

  Holdings(HoldingMapper holdings, CustomerChanges changes, Clock clock) {
    this.holdings = holdings;
    this.changes = changes;
    this.clock = clock;
  }

  /**
   * Holds a number until the transaction ends, so that two who say whose it is follow each other.
   */
  public void hold(NumberId number) {
    holdings.lockNumber(number.value());
  }

  /** The customers a number belongs to now, by id. */
  public List<Long> holders(NumberId number) {
    return holdings.listOfNumber(number.value()).stream()
        .filter(one -> one.heldUntil() == null)
        .map(HeldNumber::customerId)
        .distinct()
        .sorted()
        .toList();
  }

  /** Everyone who holds or ever held a number. */
  public List<CustomerId> everHeld(NumberId number) {
    return holdings.listOfNumber(number.value()).stream()
        .map(HeldNumber::customerId)
        .distinct()
        .map(CustomerId::new)
        .toList();
  }

  /** The numbers a customer holds and held. */
  public List<HeldNumber> of(CustomerId customer) {
    return holdings.listOfCustomer(customer.value());
  }

  /** What is needed to work out who wrote from a number. */
  public WhoWrote whoWrote(NumberId number) {
    List<Holding> held =
        holdings.listOfNumber(number.value()).stream()
            .map(one ->
                new Holding(
                    one.customerId(),
                    Optional.ofNullable(one.heldFrom()),
                    Optional.ofNullable(one.weakBefore()),
                    Optional.ofNullable(one.heldUntil())))
            .toList();
    List<Said> said = holdings.listSaid(number.value()).stream().map(Holdings::said).toList();
    return new WhoWrote(held, said);
  }

  private static Said said(SaidRow row) {
    return new Said(
        row.customerId(),
        optional(row.entryId()),
        optional(row.conversationId()),
        Optional.ofNullable(row.saidFrom()));
  }

  private static OptionalLong optional(@Nullable Long id) {
    return id == null ? OptionalLong.empty() : OptionalLong.of(id);
  }

  /**
   * Whose a conversation with a number is now.
   *
   * @param conversation 0 for one that is not there yet
   * @param phone whether the number is one that can belong to a customer
   */
  public Match match(NumberId number, long conversation, boolean phone) {
    OptionalLong writer = whoWrote(number).of(conversation, clock.instant());
    boolean notForUs = holdings.isNotForUs(number.value());
    return new Match(
        writer.isPresent() ? writer.getAsLong() : null,
        notForUs,
        phone && writer.isEmpty() && !notForUs);
  }

  /**
   * Begins an act.
   *
   * @param number null where it is about none
   * @param conversation null where it was done on the customer's page
   * @param staff null for Fabulum itself
   */
  public long begin(
      IdentifyingKind kind,
      @Nullable NumberId number,
      @Nullable Long conversation,
      @Nullable CustomerId customer,
      @Nullable String words,
      @Nullable Long staff) {
    return holdings.insertIdentifying(
        kind,
        number == null ? null : number.value(),
        conversation,
        customer == null ? null : customer.value(),
        words,
        staff,
        clock.instant());
  }

  /**
   * Gives a number to a customer.
   *
   * @param weakBefore before that only where nobody else held it; null for never weak
   */
  public void give(
      long act,
      NumberId number,
      CustomerId customer,
      @Nullable Instant weakBefore,
      @Nullable String word) {
    holdings.insert(number.value(), customer.value(), weakBefore, null, word, act);
    changes.tell(customer);
  }

  /**
   * Adds a number to what a customer holds; what came from it before is theirs only where nobody
   * else held it.
   *
   * @param kind what kind of number it is; null for unknown
   */
  public void add(
      long act,
      NumberId number,
      CustomerId customer,
      @Nullable String kind,
      @Nullable String word) {
    holdings.insert(number.value(), customer.value(), clock.instant(), kind, word, act);
    changes.tell(customer);
  }

  /** Changes what is said about a holding. */
  public void describe(long holding, @Nullable String kind, @Nullable String word) {
    holdings.describe(holding, kind, word);
  }

  /** Makes a holding the preferred one of its customer. */
  public void prefer(CustomerId customer, long holding) {
    holdings.prefer(customer.value(), holding);
  }

  /** A number is no longer a customer's; texts until then stay theirs. */
  public void end(long act, NumberId number, CustomerId customer, Instant at) {
    holdings.end(number.value(), customer.value(), at, act);
    holdings.reckonEnds(number.value());
    changes.tell(customer);
  }

  /** From now on a number is no longer a customer's. */
  public void endNow(long act, NumberId number, CustomerId customer) {
    end(act, number, customer, clock.instant());
  }

  /** Keeps which holder wrote. */
  public void say(
      long act,
      NumberId number,
      CustomerId customer,
      @Nullable Long conversation,
      @Nullable Long entry,
      @Nullable Instant from) {
    holdings.insertSaid(act, number.value(), conversation, entry, from, customer.value());
  }

  /** Keeps that texts of a number are not for us. */
  public void notForUs(long act, NumberId number, String reason) {
    holdings.insertNotForUs(number.value(), act, reason);
  }

  /** Makes the customer that an act says there is. */
  public CustomerId newCustomer(long act, String name) {
    CustomerId id = new CustomerId(holdings.insertCustomer(name, act));
    holdings.setCustomer(act, id.value());
    return id;
  }

  /** Keeps that an act was taken back. */
  public void setUndone(long act, long staff) {
    holdings.setUndone(act, staff, clock.instant());
  }

  /** Removes the customer whom an act made that was taken back, once no conversation is theirs. */
  public void removeMade(long act) {
    holdings.deleteCustomer(act);
  }

  /** An act, if there is one. */
  public Optional<Identifying> findAct(long id) {
    return holdings.findIdentifying(id);
  }

  /** What was said of a number, the newest first; also what was taken back. */
  public List<Identifying> listActs(NumberId number) {
    return holdings.listIdentifying(number.value());
  }

  /** The numbers whose holders an act changed. */
  public List<NumberId> numbersOf(long act) {
    return holdings.listNumbersOf(act).stream().map(NumberId::new).toList();
  }

  /** Whether something later relies on the customer that an act made. */
  public boolean isReliedOn(long act) {
    return holdings.countRelying(act) > 0;
  }

  /**
   * Lets everything be as if an act had not been done, but for the record that it was and a
   * customer whom it made.
   *
   * @see #removeMade(long)
   */
  public void undo(long act, long staff) {
    holdings.listCustomersOf(act).forEach(id -> changes.tell(new CustomerId(id)));
    holdings.deleteSaid(act);
    holdings.deleteNotForUs(act);
    List<Long> numbers = holdings.listNumbersOf(act);
    holdings.deleteEnds(act);
    holdings.deleteMade(act);
    numbers.forEach(holdings::reckonEnds);
    holdings.setUndone(act, staff, clock.instant());
  }
}
