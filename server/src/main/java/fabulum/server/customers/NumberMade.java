package fabulum.server.customers;

import fabulum.core.phone.Sender;

/** A number that was not here is here now. Told within the transaction. */
public record NumberMade(NumberId id, Sender sender) {}
