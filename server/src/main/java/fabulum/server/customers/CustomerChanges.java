package fabulum.server.customers;

import fabulum.server.feed.Change;
import fabulum.server.feed.ChangeFeed;
import fabulum.server.feed.ChangeFound;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Tells the program, and through the feed every other process, that a customer changed. */
@Component
public class CustomerChanges {
  private final ChangeFeed feed;
  private final ApplicationEventPublisher events;

  CustomerChanges(ChangeFeed feed, ApplicationEventPublisher events) {
    this.feed = feed;
    this.events = events;
  }

  /** Tells of a change, in its transaction. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void tell(CustomerId id) {
    feed.append(Change.Kind.CUSTOMER, id.value(), 0, null);
    events.publishEvent(new CustomerChanged(id));
  }

  @EventListener
  void found(ChangeFound found) {
    if (found.change().kind() == Change.Kind.CUSTOMER) {
      events.publishEvent(new CustomerChanged(new CustomerId(found.change().subject())));
    }
  }
}
