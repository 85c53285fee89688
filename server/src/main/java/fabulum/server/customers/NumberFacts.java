package fabulum.server.customers;

import fabulum.core.sending.SendQuestion.NumberState;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * What is known of a number besides who holds it.
 *
 * @param firstWroteAt when the first text came from it; null for none yet
 */
public record NumberFacts(long id, NumberState state, @Nullable Instant firstWroteAt) {}
