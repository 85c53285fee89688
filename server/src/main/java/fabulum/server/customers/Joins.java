package fabulum.server.customers;

import fabulum.server.customers.store.FilledField;
import fabulum.server.customers.store.JoinMapper;
import fabulum.server.customers.store.Owned;
import fabulum.server.customers.store.Single;
import java.util.List;
import org.springframework.stereotype.Service;

/**
 * Two customers who turn out to be one. What belongs to one of them belongs to the other since;
 * each row that moved is remembered, so that joining can be taken back exactly. To be used within a
 * transaction that has held both.
 */
@Service
public class Joins {
  private final JoinMapper joins;
  private final CustomerChanges changes;

  Joins(JoinMapper joins, CustomerChanges changes) {
    this.joins = joins;
    this.changes = changes;
  }

  /** Holds customers until the transaction ends; those who are there and are not joined. */
  public List<CustomerId> hold(List<CustomerId> ids) {
    return joins.lock(ids.stream().map(CustomerId::value).sorted().toList()).stream()
        .map(CustomerId::new)
        .toList();
  }

  /** Numbers whose writers are decided by what belongs to a customer. */
  public List<NumberId> numbersOf(CustomerId id) {
    return joins.listNumbers(id.value()).stream().map(NumberId::new).toList();
  }

  /** Lets all that is one customer's belong to the other. */
  public void join(long act, CustomerId stays, CustomerId gone) {
    for (Owned owned : Owned.values()) {
      joins.remember(act, owned, gone.value());
      joins.move(owned, gone.value(), stays.value());
    }
    for (Single single : Single.values()) {
      joins.rememberSingle(act, single, gone.value(), stays.value());
      joins.moveSingle(act, single, gone.value(), stays.value());
    }
    for (FilledField filled : FilledField.values()) {
      if (joins.fill(filled, gone.value(), stays.value()) > 0) {
        joins.rememberFilled(act, filled);
      }
    }
    joins.setJoined(gone.value(), stays.value(), act);
    changes.tell(stays);
    changes.tell(gone);
  }

  /**
   * Whether something was said since that holds only because the two are one: of the numbers that
   * moved, or by joining once more.
   */
  public boolean isReliedOn(long act, CustomerId stays) {
    return joins.countRelying(act, stays.value()) > 0;
  }

  /** Gives back what moved, as far as it is still there. */
  public void undo(long act, CustomerId stays) {
    CustomerId gone = new CustomerId(joins.getGone(act));
    for (Owned owned : Owned.values()) {
      joins.moveBack(act, owned, gone.value());
    }
    for (Single single : Single.values()) {
      joins.moveSingleBack(act, single, gone.value(), stays.value());
    }
    for (FilledField filled : FilledField.values()) {
      joins.unfill(act, filled, gone.value(), stays.value());
    }
    joins.forget(act);
    joins.setApart(act);
    changes.tell(stays);
    changes.tell(gone);
  }

  /** Who turned out to be another by an act. */
  public CustomerId goneBy(long act) {
    return new CustomerId(joins.getGone(act));
  }
}
