package fabulum.server.customers;

/** A text was not delivered because of its number. Told within the transaction. */
public record NumberFailed(NumberId number) {}
