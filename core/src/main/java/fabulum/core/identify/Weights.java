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
