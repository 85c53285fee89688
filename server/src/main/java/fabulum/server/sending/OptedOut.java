package fabulum.server.sending;

import fabulum.server.customers.NumberId;
import fabulum.server.lines.LineId;
import org.jspecify.annotations.Nullable;

/**
 * The holders of a number want no more texts. Told in the transaction that notes it.
 *
 * @param line of which they want none; null for all
 */
public record OptedOut(NumberId number, @Nullable LineId line) {}
