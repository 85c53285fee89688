package fabulum.server.customers;

import org.jspecify.annotations.Nullable;

/**
 * Whose the texts of a number are.
 *
 * @param customer null for nobody we know, or for more than one
 * @param notForUs whether a person said that its texts are not for us
 */
public record Match(@Nullable Long customer, boolean notForUs, boolean toIdentify) {}
