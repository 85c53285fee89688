package fabulum.standins;

import org.jspecify.annotations.Nullable;

/**
 * How the network misbehaves just now.
 *
 * @param down it answers nobody and tells nothing
 * @param strangeKey it does not know the key it is shown
 * @param delayMillis it answers this much later
 * @param refuse the next texts are refused for now: as many as this
 * @param refuseForGood the next texts are refused for good: as many as this
 * @param loseAnswers the next texts are taken, and the answer is lost: as many as this
 * @param failWith texts are accepted and then not delivered, with this code; null for none
 * @param repeat it tells everything this many times more
 * @param outOfOrder it tells later reports before earlier ones
 */
public record Faults(
    boolean down,
    boolean strangeKey,
    int delayMillis,
    int refuse,
    int refuseForGood,
    int loseAnswers,
    @Nullable String failWith,
    int repeat,
    boolean outOfOrder) {

  /** Behaves. */
  public static final Faults NONE = new Faults(false, false, 0, 0, 0, 0, null, 0, false);

  Faults oneLess(int refusals, int refusalsForGood, int answers) {
    return new Faults(
        down,
        strangeKey,
        delayMillis,
        refuse - refusals,
        refuseForGood - refusalsForGood,
        loseAnswers - answers,
        failWith,
        repeat,
        outOfOrder);
  }
}
