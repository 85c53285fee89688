package fabulum.core.sending;

/**
 * A reason that speaks against one text.
 *
 * @param severity never {@link Severity#IGNORE}
 * @param sentence what a person reads
 */
public record Objection(Reason reason, Severity severity, String sentence) {}
