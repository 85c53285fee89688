package fabulum.server.customers;

/** Names one number. */
public record NumberId(long value) {}
