package fabulum.core.identify;

import java.util.EnumMap;
import java.util.Map;

/**
 * What each kind of evidence counts: natural logarithms of the factors by which it changes the
 * odds.
 */
public final class Weights {
  /** As fitted to the tuning part of the labelled set; docs/identify.md says how. */
  private static final String FITTED =
      """
      HOLDS_NUMBER 7.00
      HELD_NUMBER 5.61
      NEAR_NUMBER 2.60
      NOTED_NUMBER 5.80
      WE_NAMED_THEM 5.11
      SAME_AREA 1.00
      FULL_NAME 8.05
      FIRST_NAME 4.06
      INITIAL 2.65
      LAST_NAME 2.23
      MENTIONED 1.64
      FIRM 5.01
      NOTED_NAME 2.77
      RELATIVE 1.58
      DETAIL 6.07
      PART_OF_DETAIL 2.74
      TOGETHER 2.58
      REFERENCE 6.67
      MAIL 6.66
      EXPECTED 0.46
      COMING 1.42
      TIME 2.06
      ANSWERS 4.87
      ASKED 1.53
      MATTER 4.87
      OTHER_NAME -3.08
      OTHER_LAST_NAME -3.94
      ADDRESSED -2.50
      FROM_ELSEWHERE -2.48
      JUST_WROTE 0.00
      NOBODY 5.29
      VISITOR 2.61
      WRONG_PERSON 1.74
      SELLING 2.15
      NEW_NAME 1.20
      NEW_NUMBER -0.37
      FAMILIAR -0.44
      FEW_WORDS 0.00
      """;

  /**
   * No labelled set has registered names, so these are not fitted. A full name alone makes them
   * about as likely as nobody: the one who pays for a phone need not be the one who writes.
   */
  private static final String SET_BY_HAND =
      """
      REGISTERED 5.50
      REGISTERED_FAMILY 1.80
      """;

  private final Map<Clue, Double> points;

  private Weights(Map<Clue, Double> points) {
    this.points = new EnumMap<>(Clue.class);
    this.points.putAll(points);
  }

  /** The weights that ship. */
  public static Weights fitted() {
    Map<Clue, Double> points = new EnumMap<>(Clue.class);
    for (String line : (FITTED + SET_BY_HAND).strip().split("\n")) {
      String[] pair = line.strip().split(" +");
      points.put(Clue.valueOf(pair[0]), Double.parseDouble(pair[1]));
    }
    return new Weights(points);
  }

  /** Weights to try; a clue that is not named counts nothing. */
  public static Weights of(Map<Clue, Double> points) {
    return new Weights(points);
  }

  /** What a piece of evidence counts. */
  public double of(Evidence evidence) {
    return points.getOrDefault(evidence.clue(), 0.0) * evidence.strength();
  }
}
