package fabulum.server.people;

import fabulum.server.feed.Change;
import fabulum.server.feed.ChangeFeed;
import fabulum.server.feed.ChangeFound;
import java.util.function.Supplier;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Carries out what changes people and teams: in one transaction with its place in the feed. After
 * it everybody in this process works with what holds now, and every open browser is told.
 */
@Component
class PeopleChanges {
  private final People people;
  private final Teams teams;
  private final Attendances attendances;
  private final TransactionTemplate transactions;
  private final ChangeFeed feed;
  private final ApplicationEventPublisher events;

  PeopleChanges(
      People people,
      Teams teams,
      Attendances attendances,
      TransactionTemplate transactions,
      ChangeFeed feed,
      ApplicationEventPublisher events) {
    this.people = people;
    this.teams = teams;
    this.attendances = attendances;
    this.transactions = transactions;
    this.feed = feed;
    this.events = events;
  }

  void carryOut(Runnable change) {
    carryOut(() -> {
      change.run();
      return true;
    });
  }

  <T> T carryOut(Supplier<T> change) {
    T done =
        transactions.execute(status -> {
          T changed = change.get();
          feed.append(Change.Kind.PEOPLE, 0, 0, null);
          return changed;
        });
    changed();
    return done;
  }

  private void changed() {
    people.forget();
    teams.forget();
    attendances.forget();
    events.publishEvent(new PeopleChanged());
  }

  @EventListener
  void found(ChangeFound found) {
    if (found.change().kind() == Change.Kind.PEOPLE) {
      changed();
    }
  }
}
