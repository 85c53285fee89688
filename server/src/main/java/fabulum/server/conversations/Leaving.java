package fabulum.server.conversations;

import fabulum.core.cost.Money;
import fabulum.server.customers.NumberId;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * A text of ours as it leaves.
 *
 * @param words those that were typed, with what is appended to them
 * @param parts billed parts it takes
 * @param at not before; a writer can take it back until then
 * @param cost what it costs; empty where no price holds
 * @param numbers to which it goes
 */
public record Leaving(
    String words, int parts, Instant at, Optional<Money> cost, List<NumberId> numbers) {
  public Leaving {
    numbers = List.copyOf(numbers);
  }
}
