package fabulum.server.customers;

import org.jspecify.annotations.Nullable;

/**
 * A number that was sought.
 *
 * @param address in E.164, or a sender's name
 * @param customerId a holder; empty when nobody is known to hold it
 * @param siteId the site of the holder, where it is known
 * @param detail the detail that contains what was sought
 */
public record FoundNumber(
    long numberId,
    String address,
    @Nullable Long customerId,
    @Nullable String customerName,
    @Nullable Long siteId,
    @Nullable String detail) {}
