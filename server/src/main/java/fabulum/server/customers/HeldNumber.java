package fabulum.server.customers;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A number of a customer.
 *
 * @param address in E.164, or a sender's name
 * @param word about this holding, such as "shared" or "work"
 * @param weakBefore before that it counts only where nobody else held the number
 * @param heldUntil null while it is theirs
 */
public record HeldNumber(
    long id,
    long customerId,
    long numberId,
    String address,
    @Nullable String kind,
    @Nullable String word,
    boolean preferred,
    @Nullable Instant heldFrom,
    @Nullable Instant weakBefore,
    @Nullable Instant heldUntil) {}
