package fabulum.server.customers;

/** A number that a customer has now. */
public record Reachable(long customerId, String address) {}
