package fabulum.server.customers;

/** A customer who holds a number. */
public record Holder(long id, String name) {}
