package fabulum.server.customers;

/**
 * Customers who are kept together by hand.
 *
 * @param size how many are on it
 */
public record CustomerList(long id, String name, int size) {}
