package fabulum.server.customers;

/** Names one customer. */
public record CustomerId(long value) {}
