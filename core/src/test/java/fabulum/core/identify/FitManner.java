package fabulum.core.identify;

import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Locale;

/** Ridge logistic regression over points of meaning, by descent with momentum. */
final class FitManner {
  private static final int ROUNDS = 1_500;
  private static final double STEP = 0.02;
  private static final double MOMENTUM = 0.9;
  private static final double PULL = 0.5;
  private static final int MOST = 127;

  private final List<float[]> points = new ArrayList<>();
  private final List<Boolean> strange = new ArrayList<>();

  void add(float[] point, boolean stranger) {
    points.add(point);
    strange.add(stranger);
  }

  Manner fit() {
    int length = points.get(0).length;
    double[] weights = new double[length + 1];
    double[] speed = new double[length + 1];
    for (int round = 0; round < ROUNDS; round++) {
      double[] slope = slope(weights);
      for (int i = 0; i <= length; i++) {
        double pull = i < length ? PULL * weights[i] : 0;
        speed[i] = MOMENTUM * speed[i] + STEP * (slope[i] - pull);
        weights[i] += speed[i] / (i < length ? 1 : 10);
      }
    }
    return packed(weights);
  }

  private double[] slope(double[] weights) {
    int length = weights.length - 1;
    double[] slope = new double[length + 1];
    for (int k = 0; k < points.size(); k++) {
      float[] point = points.get(k);
      double sum = weights[length];
      for (int i = 0; i < length; i++) {
        sum += weights[i] * point[i];
      }
      double off = (strange.get(k) ? 1 : 0) - 1 / (1 + Math.exp(-sum));
      for (int i = 0; i < length; i++) {
        slope[i] += off * point[i];
      }
      slope[length] += off;
    }
    return slope;
  }

  private static Manner packed(double[] weights) {
    int length = weights.length - 1;
    double most = 0;
    for (int i = 0; i < length; i++) {
      most = Math.max(most, Math.abs(weights[i]));
    }
    byte[] packed = new byte[length];
    for (int i = 0; i < length; i++) {
      packed[i] = (byte) Math.round(weights[i] / most * MOST);
    }
    double scale = most / MOST;
    String text = Base64.getEncoder().encodeToString(packed);
    System.out.printf(Locale.ROOT, "manner %.6f %.4f %s%n", scale, weights[length], text);
    return new Manner(packed, scale, weights[length]);
  }
}
