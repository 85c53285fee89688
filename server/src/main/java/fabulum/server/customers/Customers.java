package fabulum.server.customers;

import static java.util.stream.Collectors.toMap;

import fabulum.core.phone.Sender;
import fabulum.core.sending.SendQuestion.NumberState;
import fabulum.server.customers.CustomerView.NextAppointment;
import fabulum.server.customers.CustomerView.OpenJob;
import fabulum.server.customers.store.CustomerMapper;
import fabulum.server.customers.store.CustomerMapper.AddressRow;
import fabulum.server.customers.store.CustomerRow;
import fabulum.server.platform.LikePattern;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Customers and the numbers they hold. */
@Service
public class Customers {
  private final CustomerMapper customers;
  private final CustomerChanges changes;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Customers(
      CustomerMapper customers,
      CustomerChanges changes,
      ApplicationEventPublisher events,
      Clock clock) {
    this.customers = customers;
    this.changes = changes;
    this.events = events;
    this.clock = clock;
  }

  /**
   * The number of a sender, made when it is new. Call inside a transaction; when two make the same
   * at once, one fails and is tried again.
   */
  public NumberId numberOf(Sender sender) {
    return known(sender).orElseGet(() -> new NumberId(make(sender)));
  }

  /** The number of a sender, if there is one. */
  public Optional<NumberId> known(Sender sender) {
    return customers.findNumber(sender.address()).map(NumberId::new);
  }

  private long make(Sender sender) {
    long id = customers.insertNumber(sender.address());
    events.publishEvent(new NumberMade(new NumberId(id), sender));
    return id;
  }

  /**
   * What is known of a number; empty when it never wrote and nobody wrote to it. It is wrong when
   * it is marked so for everybody who holds it.
   */
  public Optional<NumberFacts> facts(Sender sender) {
    return customers.findFacts(sender.address(), null);
  }

  /**
   * What is known of a number for one of its holders: for them it may be the wrong one.
   *
   * @param holder null where it is not known who is meant, as {@link #facts(Sender)}
   */
  public Optional<NumberFacts> facts(Sender sender, @Nullable CustomerId holder) {
    return customers.findFacts(sender.address(), holder == null ? null : holder.value());
  }

  /**
   * Marks a number as the wrong one: no more texts for this customer go there. Call inside a
   * transaction.
   *
   * @param holder null where nobody on file is meant: for everybody then
   */
  public void markWrong(NumberId number, @Nullable CustomerId holder) {
    if (holder == null) {
      setState(number, NumberState.MARKED_WRONG);
    } else {
      customers.insertWrongFor(number.value(), holder.value(), clock.instant());
    }
  }

  /** Takes such a mark back. Call inside a transaction. */
  public void markRight(NumberId number, @Nullable CustomerId holder) {
    customers.deleteWrongFor(number.value(), holder == null ? null : holder.value());
    setState(number, NumberState.GOOD);
  }

  /** A text came from a number, so it exists and can be texted, whatever was said of it. */
  public void wrote(NumberId number, Instant at) {
    customers.setFirstWrote(number.value(), at);
    customers.clearState(number.value());
  }

  /** A text had come from a number before, as a file tells; it says nothing of the number now. */
  public void wroteBefore(NumberId number, Instant at) {
    customers.setFirstWrote(number.value(), at);
  }

  /** A network gave up a text because of its number. */
  public void failed(NumberId number, NumberState state) {
    setState(number, state);
    events.publishEvent(new NumberFailed(number));
  }

  /** The spellings of numbers, by id. */
  public Map<Long, String> addresses(List<NumberId> numbers) {
    return numbers.isEmpty()
        ? Map.of()
        : customers.listAddresses(numbers.stream().map(NumberId::value).toList()).stream()
            .collect(toMap(AddressRow::id, AddressRow::address));
  }

  /** Keeps what is known of a number. */
  public void setState(NumberId number, NumberState state) {
    customers.setState(number.value(), state);
  }

  /**
   * Numbers whose own digits, or whose holder's name or details, contain the words; by name.
   *
   * @param words not blank
   */
  public List<FoundNumber> search(String words, int limit) {
    return customers.search(LikePattern.containing(words), LikePattern.digits(words), limit);
  }

  /** Adds a customer who holds a number. */
  @Transactional
  public CustomerId add(String name, Sender sender) {
    long id = customers.insert(name);
    customers.insertHolder(numberOf(sender).value(), id);
    changes.tell(new CustomerId(id));
    return new CustomerId(id);
  }

  /** Whether there is no such customer, or they turned out to be another. */
  public boolean isGone(CustomerId id) {
    return !customers.isThere(id.value());
  }

  /** The numbers a customer holds. */
  public List<NumberId> numbersOf(CustomerId id) {
    return customers.listNumbers(id.value()).stream().map(NumberId::new).toList();
  }

  /** Everybody who holds a number now, by name. */
  public List<Holder> holders(NumberId number) {
    return customers.listHolders(number.value());
  }

  /** Names of everybody who holds a number. */
  public List<String> holderNames(NumberId number) {
    return holders(number).stream().map(Holder::name).toList();
  }

  /**
   * The customer as the dossier shows them.
   *
   * @param writingFrom left out of the other numbers
   */
  public Optional<CustomerView> find(CustomerId id, NumberId writingFrom) {
    return customers.find(id.value()).map(row -> view(row, writingFrom));
  }

  private CustomerView view(CustomerRow row, NumberId writingFrom) {
    Optional<NextAppointment> next = customers.findNextAppointment(row.id(), clock.instant());
    List<OpenJob> jobs = customers.listJobs(row.id());
    return new CustomerView(
        row.id(),
        row.name(),
        row.email(),
        row.site(),
        row.language(),
        customers.listDetails(row.id()),
        customers.listOtherNumbers(row.id(), writingFrom.value()),
        next.orElse(null),
        jobs);
  }
}
