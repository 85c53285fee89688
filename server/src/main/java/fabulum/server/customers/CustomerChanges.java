package fabulum.server.customers;

import fabulum.server.access.StaffId;
import fabulum.server.customers.store.CustomerFileMapper;
import fabulum.server.feed.Change;
import fabulum.server.feed.ChangeFeed;
import fabulum.server.feed.ChangeFound;
import java.time.Clock;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Tells that something on file of a customer changed, and keeps what. */
@Component
public class CustomerChanges {
  private static final int LONGEST = 400;

  private final ChangeFeed feed;
  private final CustomerFileMapper files;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  CustomerChanges(
      ChangeFeed feed, CustomerFileMapper files, ApplicationEventPublisher events, Clock clock) {
    this.feed = feed;
    this.files = files;
    this.events = events;
    this.clock = clock;
  }

  /** Tells of a change, in its transaction. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void tell(CustomerId id) {
    feed.append(Change.Kind.CUSTOMER, id.value(), 0, null);
    events.publishEvent(new CustomerChanged(id));
  }

  /**
   * Keeps what changed, and tells of it, in its transaction.
   *
   * @param by empty for Fabulum itself
   * @param what the field
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void log(
      CustomerId id,
      Optional<StaffId> by,
      String what,
      @Nullable String before,
      @Nullable String after) {
    log(id, by.map(Changer::person).orElse(Changer.ITSELF), what, before, after);
  }

  /**
   * Keeps what changed, and tells of it, in its transaction.
   *
   * @param what the field
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void log(
      CustomerId id, Changer by, String what, @Nullable String before, @Nullable String after) {
    keep(id, by, what, before, after);
    tell(id);
  }

  /** Keeps what changed, where its transaction tells of the customer anyway. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void keep(
      CustomerId id, Changer by, String what, @Nullable String before, @Nullable String after) {
    files.insertChange(id.value(), clock.instant(), by, what, shortened(before), shortened(after));
  }

  private static @Nullable String shortened(@Nullable String words) {
    return words == null || words.length() <= LONGEST
        ? words
        : words.substring(0, LONGEST - 1) + "…";
  }

  @EventListener
  void found(ChangeFound found) {
    if (found.change().kind() == Change.Kind.CUSTOMER) {
      events.publishEvent(new CustomerChanged(new CustomerId(found.change().subject())));
    }
  }
}
