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
      HELD_NUMBER 5.93
      NEAR_NUMBER 2.43
      NOTED_NUMBER 5.71
      WE_NAMED_THEM 5.08
      SAME_AREA 1.00
      FULL_NAME 7.99
      FIRST_NAME 4.45
      INITIAL 2.49
      LAST_NAME 2.69
      MENTIONED 1.93
      FIRM 4.81
      NOTED_NAME 3.08
      RELATIVE 1.63
      DETAIL 5.89
      PART_OF_DETAIL 2.65
      TOGETHER 2.64
      REFERENCE 6.62
      MAIL 6.61
      EXPECTED 0.38
      COMING 1.42
      TIME 2.08
      ANSWERS 5.17
      ASKED 1.04
      MATTER 5.29
      OTHER_NAME -3.09
      OTHER_LAST_NAME -3.98
      ADDRESSED -2.50
      FROM_ELSEWHERE -2.32
      JUST_WROTE 0.00
      NOBODY 5.24
      VISITOR 2.01
      WRONG_PERSON 1.61
      SELLING 2.13
      NEW_NAME 1.25
      NEW_NUMBER -0.47
      FAMILIAR -0.44
      FEW_WORDS 0.00
      """;

  /** The same where there is evidence from what texts mean as well. */
  private static final String FITTED_WITH_MEANING =
      """
      HOLDS_NUMBER 7.00
      HELD_NUMBER 5.87
      NEAR_NUMBER 2.38
      NOTED_NUMBER 5.74
      WE_NAMED_THEM 5.12
      SAME_AREA 1.00
      FULL_NAME 7.83
      FIRST_NAME 4.36
      INITIAL 2.50
      LAST_NAME 2.44
      MENTIONED 1.70
      FIRM 4.76
      NOTED_NAME 2.89
      RELATIVE 1.64
      DETAIL 5.77
      PART_OF_DETAIL 2.56
      TOGETHER 2.69
      REFERENCE 6.66
      MAIL 6.62
      EXPECTED 0.33
      COMING 1.37
      TIME 2.07
      ANSWERS 4.06
      ASKED 1.16
      MATTER 4.04
      MEANS_ANSWER 8.68
      MEANS_MATTER 8.38
      OTHER_NAME -3.08
      OTHER_LAST_NAME -4.00
      ADDRESSED -2.51
      FROM_ELSEWHERE -2.32
      JUST_WROTE -0.06
      NOBODY 5.78
      VISITOR 1.72
      WRONG_PERSON 1.50
      SELLING 2.00
      NEW_NAME 1.28
      READS_STRANGE 2.39
      READS_FAMILIAR -1.25
      NEW_NUMBER -0.41
      FAMILIAR -0.35
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

  private static final Weights WORDS = read(FITTED);
  private static final Weights MEANING = read(FITTED_WITH_MEANING);

  private final Map<Clue, Double> points;

  private Weights(Map<Clue, Double> points) {
    this.points = new EnumMap<>(Clue.class);
    this.points.putAll(points);
  }

  /**
   * The weights that ship.
   *
   * @param withMeaning whether there is evidence from what texts mean
   */
  public static Weights fitted(boolean withMeaning) {
    return withMeaning ? MEANING : WORDS;
  }

  private static Weights read(String fitted) {
    Map<Clue, Double> points = new EnumMap<>(Clue.class);
    for (String line : (fitted + SET_BY_HAND).strip().split("\n")) {
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
