package fabulum.server.conversations;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What came of an act.
 *
 * @param undo names it for taking it back; empty when nothing was changed
 */
public record ActResponse(@Nullable String undo) {

  /** The answer to an act that changed something, or nothing. */
  public static ActResponse of(Optional<UndoStep> step) {
    return new ActResponse(step.map(UndoStep::name).orElse(null));
  }
}
