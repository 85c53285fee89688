package fabulum.server.customers.store;

import org.jspecify.annotations.Nullable;

/** A row of customer with the name of their site. */
public record CustomerRow(
    long id,
    String name,
    @Nullable String email,
    @Nullable String site,
    @Nullable String language) {}
