package fabulum.core.suggest;

import fabulum.core.meaning.Points;
import java.util.List;

/** How near texts are to what customers commonly ask. */
final class Asks {
  /** How sharply the nearest ask stands out from the others; chosen on the tuned cases. */
  private static final double SHARPNESS = 20;

  private final List<List<float[]>> wordings;

  /** By where the wordings of each ask lie, at length 1. */
  Asks(List<List<float[]>> wordings) {
    this.wordings = wordings;
  }

  /** The same as seen from a middle. */
  Asks from(float[] middle) {
    return new Asks(
        wordings.stream()
            .map(ask -> ask.stream().map(point -> Points.from(middle, point)).toList())
            .toList());
  }

  /** How near a point is to each ask: the mean likeness of its nearest two wordings. */
  float[] nearness(float[] point) {
    float[] near = new float[wordings.size()];
    for (int i = 0; i < near.length; i++) {
      float first = -1;
      float second = -1;
      for (float[] wording : wordings.get(i)) {
        float like = Points.likeness(point, wording);
        second = Math.max(second, Math.min(first, like));
        first = Math.max(first, like);
      }
      near[i] = (first + second) / 2;
    }
    return near;
  }

  /** What a text is about: how much each ask stands out, from how near the text is to each. */
  static float[] standing(float[] nearness) {
    float[] standing = new float[nearness.length];
    for (int i = 0; i < standing.length; i++) {
      standing[i] = (float) Math.exp(SHARPNESS * nearness[i] / 2);
    }
    return standing;
  }

  /** Lets each ask stand out as far as in the text in which it stands out more. */
  static void raise(float[] standing, float[] other) {
    for (int i = 0; i < standing.length; i++) {
      standing[i] = Math.max(standing[i], other[i]);
    }
  }

  /**
   * How near two are to the ask that they are both nearest to: the mean of their nearness.
   *
   * @return 0 where there is no ask
   */
  static double nearest(float[] one, float[] other) {
    double most = 1;
    for (int i = 0; i < one.length; i++) {
      most = i == 0 ? (double) one[i] * other[i] : Math.max(most, (double) one[i] * other[i]);
    }
    return Math.log(most) / SHARPNESS;
  }

  /**
   * How far two are about the same asks, 0 to 1: the Bhattacharyya coefficient of what each is
   * probably about.
   */
  static double alike(float[] one, float[] other) {
    double sum = 0;
    double ones = 0;
    double others = 0;
    for (int i = 0; i < one.length; i++) {
      sum += (double) one[i] * other[i];
      ones += (double) one[i] * one[i];
      others += (double) other[i] * other[i];
    }
    return one.length == 0 ? 0 : sum / Math.sqrt(ones * others);
  }
}
