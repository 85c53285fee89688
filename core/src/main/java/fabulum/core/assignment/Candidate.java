package fabulum.core.assignment;

import java.util.OptionalInt;

/**
 * A person who may use the line.
 *
 * @param in whether they are in
 * @param waiting conversations of theirs in which it is our turn
 * @param limit at this number they get no more; empty for no limit
 * @param lastTurn number of the turn in which this line gave them something last; 0 for never
 */
public record Candidate(long who, boolean in, int waiting, OptionalInt limit, long lastTurn) {

  /** Whether they can be given something now. */
  public boolean isEligible() {
    return in && (limit.isEmpty() || waiting < limit.getAsInt());
  }
}
