package fabulum.server.several;

import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What an act on several would come to.
 *
 * @param will how many it would be done to
 * @param parts billed parts in all, for a text
 * @param cost in all, for a text; null where no price is set
 * @param currency of the cost, ISO 4217
 * @param against what speaks against it as a whole, each a sentence
 * @param refused whether it cannot be done because of that
 */
public record CheckView(
    int will,
    int parts,
    @Nullable BigDecimal cost,
    @Nullable String currency,
    List<Skipped> skipped,
    List<String> against,
    boolean refused) {
  public CheckView {
    skipped = List.copyOf(skipped);
    against = List.copyOf(against);
  }

  /** What an act without a text comes to. */
  static CheckView of(int will, List<Skipped> skipped) {
    return new CheckView(will, 0, null, null, skipped, List.of(), false);
  }
}
