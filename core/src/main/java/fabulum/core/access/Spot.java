package fabulum.core.access;

import java.util.OptionalLong;

/**
 * Where a conversation is, as far as that decides who sees it.
 *
 * @param team it was handed to, other than the line's
 * @param conversation which one it is; 0 where the place alone is asked about
 */
public record Spot(long line, OptionalLong owner, OptionalLong team, long conversation) {
  /** A place, whichever conversation is there. */
  public Spot(long line, OptionalLong owner, OptionalLong team) {
    this(line, owner, team, 0);
  }
}
