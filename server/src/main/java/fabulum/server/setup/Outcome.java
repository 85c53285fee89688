package fabulum.server.setup;

/**
 * What a change of the set-up came to.
 *
 * @param id of what was changed or made
 * @param reckoned how many conversations are due at another time than before
 */
public record Outcome(long id, int reckoned) {}
