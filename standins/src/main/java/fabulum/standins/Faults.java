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
 * @param loseMedia what goes with texts cannot be fetched: as many times as this
 * @param spoilMedia what goes with texts is spoilt on the way: as many times as this
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
    boolean outOfOrder,
    int loseMedia,
    int spoilMedia) {

  /** Behaves. */
  public static final Faults NONE = new Faults(false, false, 0, 0, 0, 0, null, 0, false, 0, 0);

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
        outOfOrder,
        loseMedia,
        spoilMedia);
  }

  Faults mediaLess(int lost, int spoilt) {
    return new Faults(
        down,
        strangeKey,
        delayMillis,
        refuse,
        refuseForGood,
        loseAnswers,
        failWith,
        repeat,
        outOfOrder,
        loseMedia - lost,
        spoilMedia - spoilt);
  }
}
