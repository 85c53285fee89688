package fabulum.server.customers;

import fabulum.core.access.Act;
import fabulum.core.text.OneLine;
import fabulum.server.access.Permits;
import fabulum.server.access.StaffId;
import fabulum.server.customers.store.CustomerListMapper;
import fabulum.server.platform.Problem;
import java.time.Clock;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The lists on which customers are kept together. */
@Service
public class CustomerLists {
  private static final int LONGEST_NAME = 80;
  private static final int CHUNK = 500;

  private final CustomerListMapper lists;
  private final CustomerChanges changes;
  private final Permits permits;
  private final Clock clock;

  CustomerLists(CustomerListMapper lists, CustomerChanges changes, Permits permits, Clock clock) {
    this.lists = lists;
    this.changes = changes;
    this.permits = permits;
    this.clock = clock;
  }

  /** All lists, by name. */
  public List<CustomerList> list() {
    return lists.list();
  }

  /** The lists with these customers on them. */
  public List<Long> of(CustomerId customer) {
    return lists.listOf(customer.value());
  }

  /** Makes a list. */
  @Transactional
  public CustomerList add(String name, StaffId by) {
    permits.require(by, Act.WORK);
    String wanted = name(name);
    try {
      return new CustomerList(lists.insert(wanted, by.value(), clock.instant()), wanted, 0);
    } catch (DuplicateKeyException taken) {
      throw DetailKinds.field("name", "There is a list with this name.");
    }
  }

  /** Gives a list another name. */
  @Transactional
  public void rename(long id, String name, StaffId by) {
    permits.require(by, Act.WORK);
    try {
      if (lists.rename(id, name(name)) == 0) {
        throw Problem.notFound("list");
      }
    } catch (DuplicateKeyException taken) {
      throw DetailKinds.field("name", "There is a list with this name.");
    }
  }

  /** Removes a list; its customers stay. */
  @Transactional
  public void remove(long id, StaffId by) {
    permits.require(by, Act.WORK);
    CustomerList gone = present(id);
    for (long customer : lists.listCustomers(id)) {
      changes.log(new CustomerId(customer), Optional.of(by), "list", gone.name(), null);
    }
    lists.clear(id);
    lists.delete(id);
  }

  /**
   * Puts customers on a list, or takes them off it. Those who are on it, or off it, already stay
   * so.
   *
   * @return of how many that changed something
   */
  @Transactional
  public int set(long id, Collection<CustomerId> customers, boolean on, StaffId by) {
    permits.require(by, Act.WORK);
    CustomerList list = present(id);
    List<Long> ids = customers.stream().map(CustomerId::value).distinct().sorted().toList();
    int changed = 0;
    for (int i = 0; i < ids.size(); i += CHUNK) {
      List<Long> some = ids.subList(i, Math.min(ids.size(), i + CHUNK));
      List<Long> moved = lists.listAmong(id, some, !on);
      for (long customer : moved) {
        if (on) {
          lists.put(id, customer);
        } else {
          lists.take(id, customer);
        }
        String before = on ? null : list.name();
        String after = on ? list.name() : null;
        changes.log(new CustomerId(customer), Optional.of(by), "list", before, after);
      }
      changed += moved.size();
    }
    return changed;
  }

  private CustomerList present(long id) {
    return lists.list().stream()
        .filter(list -> list.id() == id)
        .findFirst()
        .orElseThrow(() -> Problem.notFound("list"));
  }

  private static String name(String name) {
    String stripped = name.strip();
    if (stripped.isEmpty() || stripped.length() > LONGEST_NAME) {
      throw DetailKinds.field("name", "A name has 1 to " + LONGEST_NAME + " characters.");
    }
    OneLine.objection(stripped)
        .ifPresent(why -> {
          throw DetailKinds.field("name", why);
        });
    return stripped;
  }
}
