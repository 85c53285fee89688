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
      FEW_WORDS 0.00
      HOLDS_NUMBER 7.00
      HELD_NUMBER 5.63
      NEAR_NUMBER 2.66
      NOTED_NUMBER 5.83
      WE_NAMED_THEM 5.19
      SAME_AREA 1.00
      FULL_NAME 7.86
      FIRST_NAME 4.21
      INITIAL 2.56
      LAST_NAME 2.27
      MENTIONED 1.57
      FIRM 4.82
      NOTED_NAME 2.65
      RELATIVE 1.56
      DETAIL 6.20
      PART_OF_DETAIL 2.82
      REFERENCE 6.62
      MAIL 6.69
      EXPECTED 0.47
      COMING 1.44
      TIME 1.99
      ANSWERS 4.69
      ASKED 1.49
      MATTER 4.94
      OTHER_NAME -3.17
      OTHER_LAST_NAME -4.10
      ADDRESSED -2.50
      FROM_ELSEWHERE -2.58
      JUST_WROTE 0.00
      NOBODY 5.33
      VISITOR 2.48
      WRONG_PERSON 1.77
      SELLING 2.15
      NEW_NAME 1.34
      NEW_NUMBER -0.38
      FAMILIAR -0.43
      FEW_WORDS 0.00
      """;

  private final Map<Clue, Double> points;

  private Weights(Map<Clue, Double> points) {
    this.points = new EnumMap<>(Clue.class);
    this.points.putAll(points);
  }

  /** The weights that ship. */
  public static Weights fitted() {
    Map<Clue, Double> points = new EnumMap<>(Clue.class);
    for (String line : FITTED.strip().split("\n")) {
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
