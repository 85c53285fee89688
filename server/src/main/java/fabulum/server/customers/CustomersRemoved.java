package fabulum.server.customers;

import java.util.List;

/**
 * Customers were removed for good; told within that transaction, so that whatever else speaks of
 * them goes with it.
 *
 * @param customers the one and those that turned out to be the same
 * @param name what they were called
 */
public record CustomersRemoved(List<CustomerId> customers, String name) {
  public CustomersRemoved {
    customers = List.copyOf(customers);
  }
}
