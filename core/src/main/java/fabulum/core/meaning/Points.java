package fabulum.core.meaning;

import java.util.List;

/** Arithmetic with points of meaning. */
public final class Points {
  private Points() {}

  /** The same direction at length 1; a point without direction stays as it is. */
  public static float[] unit(float[] point) {
    double square = 0;
    for (float one : point) {
      square += one * one;
    }
    float length = (float) Math.sqrt(square);
    float[] unit = new float[point.length];
    for (int i = 0; i < unit.length && length > 0; i++) {
      unit[i] = point[i] / length;
    }
    return unit;
  }

  /** The middle of points. */
  public static float[] middle(List<float[]> points) {
    float[] sum = new float[points.get(0).length];
    for (float[] point : points) {
      for (int i = 0; i < sum.length; i++) {
        sum[i] += point[i] / points.size();
      }
    }
    return sum;
  }

  /** Adds a point to a sum of points. */
  public static void add(float[] sum, float[] point) {
    for (int i = 0; i < sum.length; i++) {
      sum[i] += point[i];
    }
  }

  /** The direction in which a point lies from a middle, at length 1. */
  public static float[] from(float[] middle, float[] point) {
    float[] moved = point.clone();
    for (int i = 0; i < middle.length; i++) {
      moved[i] -= middle[i];
    }
    return unit(moved);
  }

  /** How alike two points of length 1 are, -1 to 1. */
  public static float likeness(float[] one, float[] other) {
    // Four sums beside each other: in a single one each addition waits for the one before.
    float first = 0;
    float second = 0;
    float third = 0;
    float fourth = 0;
    int i = 0;
    for (; i + 3 < one.length; i += 4) {
      first += one[i] * other[i];
      second += one[i + 1] * other[i + 1];
      third += one[i + 2] * other[i + 2];
      fourth += one[i + 3] * other[i + 3];
    }
    for (; i < one.length; i++) {
      first += one[i] * other[i];
    }
    return first + second + third + fourth;
  }
}
