package fabulum.core.identify;

/**
 * A reason for or against a customer.
 *
 * @param strength how plain it is, 0 to 1
 * @param sentence for people
 */
public record Evidence(Clue clue, double strength, String sentence) {}
