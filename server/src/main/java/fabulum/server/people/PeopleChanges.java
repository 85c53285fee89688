package fabulum.server.people;

import fabulum.server.access.StaffId;
import fabulum.server.feed.Change;
import fabulum.server.feed.ChangeFeed;
import fabulum.server.feed.ChangeFound;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
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

  /** What decides over one person only. */
  void carryOut(StaffId whose, Runnable change) {
    carryOut(
        () -> {
          change.run();
          return whose;
        },
        Set::of);
  }

  /**
   * The same where more is to be known of it.
   *
   * @param whose rights it may have changed
   */
  <T> T carryOut(Supplier<T> change, Function<T, Set<StaffId>> whose) {
    T done = inFeed(change);
    changed(new PeopleChanged(Optional.of(whose.apply(done))));
    return done;
  }

  /** What may concern everybody. */
  void carryOutForAll(Runnable change) {
    inFeed(() -> {
      change.run();
      return true;
    });
    changed(new PeopleChanged(Optional.empty()));
  }

  private <T> T inFeed(Supplier<T> change) {
    return transactions.execute(status -> {
      T changed = change.get();
      feed.append(Change.Kind.PEOPLE, 0, 0, null);
      return changed;
    });
  }

  private void changed(PeopleChanged change) {
    people.forget();
    teams.forget();
    attendances.forget();
    events.publishEvent(change);
  }

  @EventListener
  void found(ChangeFound found) {
    if (found.change().kind() == Change.Kind.PEOPLE) {
      changed(new PeopleChanged(Optional.empty()));
    }
  }
}
