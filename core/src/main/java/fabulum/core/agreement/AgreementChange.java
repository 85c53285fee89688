package fabulum.core.agreement;

import java.time.Instant;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;

/**
 * One entry of the history of what a number's holders allow. Entries are added and never changed.
 *
 * @param given whether they allowed it, or withdrew it
 * @param kinds what for; never empty
 * @param line the line it is about, by its id; empty for the whole business
 * @param until when an agreement ends by itself; empty for never
 */
public record AgreementChange(
    Instant at,
    boolean given,
    Set<TextKind> kinds,
    Ground ground,
    OptionalLong line,
    Optional<Instant> until) {
  public AgreementChange {
    kinds = Set.copyOf(kinds);
    if (kinds.isEmpty()) {
      throw new IllegalArgumentException("An agreement is about some kind of text");
    }
  }

  /** Whether it counts for texts from a line. */
  boolean concerns(long from) {
    return line.isEmpty() || line.getAsLong() == from;
  }
}
