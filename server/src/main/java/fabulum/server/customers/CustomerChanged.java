package fabulum.server.customers;

/**
 * What is on file of a customer changed, or whose a number of theirs is. Told in the transaction;
 * may be told twice.
 */
public record CustomerChanged(CustomerId id) {}
